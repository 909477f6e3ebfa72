/**
 * `npm run backup [-- --folder backups] [--keep 14]`: writes a backup of the database in DATABASE_URL, reads it again to
 * its end, and keeps the newest.
 */
import { parseArgs } from 'node:util';
import { backUp, BackupTrouble, keepNewest } from '~/server/backup/tools.ts';
import { step, Trouble } from './lib/say.ts';
import { requireOwnerUrl } from './lib/url.ts';

await step('backup', async () => {
  const { values } = read();
  const keep = values.keep === undefined ? undefined : Number(values.keep);
  if (keep !== undefined && !(Number.isInteger(keep) && keep > 0))
    throw new Trouble('--keep takes a whole number of at least 1.', 'such as --keep 14');
  try {
    const { file, bytes, tables } = await backUp(requireOwnerUrl(), values.folder);
    console.log(`    ${file}: ${tables} tables, ${Math.ceil(bytes / 1000)} kB, read again to its end`);
    if (keep) console.log(`    ${await keepNewest(values.folder, keep)} older backups thrown away`);
  } catch (error) {
    throw error instanceof BackupTrouble
      ? new Trouble(error.message, 'nothing that was there before was changed.')
      : error;
  }
}).catch(() => process.exit(1));

function read() {
  try {
    return parseArgs({
      options: { folder: { type: 'string', default: 'backups' }, keep: { type: 'string' } },
    });
  } catch (error) {
    throw new Trouble((error as Error).message, 'npm run backup -- --folder backups --keep 14');
  }
}
