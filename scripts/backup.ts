/**
 * `npm run backup [-- --folder backups] [--keep 14] [--base] [--daily]`: writes a backup of the database in BACKUP_URL,
 * sealed with the key in BACKUP_KEY and read to its end meanwhile, and keeps the newest. `--base` copies the whole cluster
 * instead, for restoring any moment since; `--daily` does both once a day and notes for the page of the day what became of
 * it. `--new-key <file>` makes a key.
 */
import { parseArgs } from 'node:util';
import { closeDatabase } from '~/data/pools.ts';
import { onceToday } from '~/server/backup/daily.ts';
import { backUp, keepNewest, newKey } from '~/server/backup/dump.ts';
import { copyCluster, keepNewestBases } from '~/server/backup/moment.ts';
import { BackupTrouble } from '~/server/backup/tools.ts';
import { step, Trouble } from './lib/say.ts';
import { requireUrl } from './lib/url.ts';

const USUAL_KEPT = 14;

await step('backup', async () => {
  const { values } = read();
  const keep = Number(values.keep ?? process.env.BACKUP_KEEP ?? USUAL_KEPT);
  if (!(Number.isInteger(keep) && keep > 0))
    throw new Trouble('--keep takes a whole number of at least 1.', 'such as --keep 14');
  try {
    const made = values['new-key'];
    if (made !== undefined) {
      const recipient = await newKey(made);
      console.log(`    Set BACKUP_KEY=${recipient}`);
      console.log(
        `    Then take ${made} to another place than the backups, and keep it twice: nobody reads a backup without it.`,
      );
      return;
    }
    const url = requireUrl('BACKUP_URL', 'DATABASE_OWNER_URL', 'DATABASE_URL');
    const recipient = values.plain ? undefined : process.env.BACKUP_KEY;
    if (recipient === undefined && !values.plain)
      throw new Trouble(
        'BACKUP_KEY is not set: a backup holds everything that families told, so it is sealed.',
        'make a key with npm run backup -- --new-key key.txt; --plain writes one that anybody can read.',
      );
    const dump = async (): Promise<string> => {
      const from = Date.now();
      const { file, bytes, tables } = await backUp(url, values.folder, { recipient });
      const gone = await keepNewest(values.folder, keep);
      return `${file}: ${tables} tables, ${Math.ceil(bytes / 1000)} kB in ${((Date.now() - from) / 1000).toFixed(1)} s, read to its end${recipient === undefined ? '' : ', sealed'}; ${gone} older ones thrown away`;
    };
    const base = async (): Promise<string> => {
      const { file, bytes } = await copyCluster(url, values.folder, { recipient });
      const gone = await keepNewestBases(values.folder, keep);
      return `${file}: ${Math.ceil(bytes / 1000)} kB; ${gone} older files thrown away`;
    };
    if (!values.daily) return console.log(`    ${await (values.base ? base : dump)()}`);
    process.env.DATABASE_URL = url;
    const told = await onceToday(async () => (values.base ? `${await dump()}\n    ${await base()}` : dump()));
    await closeDatabase();
    console.log(`    ${told?.told ?? 'The backup of today was taken before.'}`);
    if (told && !told.done) throw new BackupTrouble(told.told.replace(/^failed: /, ''));
  } catch (error) {
    throw error instanceof BackupTrouble
      ? new Trouble(error.message, 'nothing that was there before was changed.')
      : error;
  }
}).catch(() => process.exit(1));

function read() {
  try {
    return parseArgs({
      options: {
        folder: { type: 'string', default: 'backups' },
        keep: { type: 'string' },
        base: { type: 'boolean', default: false },
        daily: { type: 'boolean', default: false },
        plain: { type: 'boolean', default: false },
        'new-key': { type: 'string' },
      },
    });
  } catch (error) {
    throw new Trouble((error as Error).message, 'npm run backup -- --folder backups --keep 14');
  }
}
