/**
 * `npm run restore -- <file> [--into <database>] [--key <file>]`: restores a backup into the empty database in
 * DATABASE_OWNER_URL, or into one of another name beside it. `npm run restore -- --until 2026-11-26T10:15 --from backups`
 * restores what the database held at that moment. A database that holds anything is never written over.
 */
import { parseArgs } from 'node:util';
import { databaseAt } from '~/data/address.ts';
import { letServerIn } from '~/data/migrate.ts';
import { databaseUrl } from '~/data/pools.ts';
import { forgetAgain } from '~/server/backup/again.ts';
import { restore } from '~/server/backup/dump.ts';
import { restoreUntil } from '~/server/backup/moment.ts';
import { BackupTrouble } from '~/server/backup/tools.ts';
import { account } from './lib/postgres.ts';
import { step, Trouble } from './lib/say.ts';
import { requireOwnerUrl } from './lib/url.ts';

const USE =
  'npm run restore -- backups/fern-basket-2026-11-26-031500.dump.age --key /media/key.txt --into fern_restored';

await step('restore', async () => {
  const { values, positionals } = read();
  const [file, ...more] = positionals;
  const until = values.until === undefined ? undefined : new Date(values.until);
  if (until ? file !== undefined || Number.isNaN(until.getTime()) : !file || more.length)
    throw new Trouble('Name one backup, or a moment such as --until 2026-11-26T10:15.', USE);
  try {
    const owner = requireOwnerUrl();
    const { into, key: keyFile } = values;
    const { tables, database } = until
      ? await restoreUntil(until, values.from, owner, account(), { into, keyFile }).then((made) => {
          console.log(
            `    from ${made.base} and ${made.pieces} pieces of the log, as it was at ${until.toISOString()}`,
          );
          return made;
        })
      : await restore(file!, owner, { into, keyFile });
    const restored = into ? databaseAt(owner, into) : owner;
    await letServerIn(restored);
    console.log(`    ${tables} tables are in the database ${database} now`);
    if (!into) {
      console.log('    Families that were forgotten after that moment are in it again: forget them anew.');
      return;
    }
    const { forgotten, withBag } = await forgetAgain(owner, {
      owner: restored,
      server: databaseAt(databaseUrl(), into),
    });
    console.log(
      `    ${forgotten} families that were forgotten since were forgotten in it again${withBag ? `; ${withBag} have a bag there and cannot be: forget them when it is back` : ''}`,
    );
  } catch (error) {
    throw error instanceof BackupTrouble ? new Trouble(error.message, USE) : error;
  }
}).catch(() => process.exit(1));

function read() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        into: { type: 'string' },
        key: { type: 'string' },
        until: { type: 'string' },
        from: { type: 'string', default: 'backups' },
      },
    });
  } catch (error) {
    throw new Trouble((error as Error).message, USE);
  }
}
