/**
 * `npm run restore -- <file> [--into <database>]`: restores a backup into the empty database in DATABASE_URL, or into one
 * of another name beside it. A database that holds anything is never written over.
 */
import { parseArgs } from 'node:util';
import { letServerIn } from '~/data/migrate.ts';
import { BackupTrouble, restore, sibling } from '~/server/backup/tools.ts';
import { step, Trouble } from './lib/say.ts';
import { requireOwnerUrl } from './lib/url.ts';

const USE = 'npm run restore -- backups/fern-basket-2026-11-26-031500.dump --into fern_restored';

await step('restore', async () => {
  const { values, positionals } = read();
  const [file, ...more] = positionals;
  if (!file || more.length) throw new Trouble('Name one backup.', USE);
  try {
    const { tables, database } = await restore(file, requireOwnerUrl(), values.into);
    const owner = requireOwnerUrl();
    await letServerIn(values.into ? sibling(owner, values.into) : owner);
    console.log(`    ${tables} tables are in the database ${database} now`);
  } catch (error) {
    throw error instanceof BackupTrouble ? new Trouble(error.message, USE) : error;
  }
}).catch(() => process.exit(1));

function read() {
  try {
    return parseArgs({ allowPositionals: true, options: { into: { type: 'string' } } });
  } catch (error) {
    throw new Trouble((error as Error).message, USE);
  }
}
