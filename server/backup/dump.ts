/** Backups with PostgreSQL's own tools, in its custom format, sealed with a key whose other half is somewhere else. */
import { createReadStream, createWriteStream, existsSync } from 'node:fs';
import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { PassThrough, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import pg from 'pg';
import { addressesIn, databaseAt } from '~/data/address';
import { BackupTrouble, opened, recipientOf, run, start } from './tools';

export const stamp = (at: Date): string =>
  at.toISOString().slice(0, 19).replace('T', '-').replaceAll(':', '');
const NAME = /^fern-basket-\d{4}-\d{2}-\d{2}-\d{6}\.dump(\.age)?$/;
const UNFINISHED = /^fern-basket-[\w.-]+\.unfinished$/;

/** The tables that a backup holds with their data, from the list that pg_restore makes of it. */
const tablesIn = (list: string): string[] =>
  [...list.matchAll(/^\d+; \d+ \d+ TABLE DATA \S+ (\S+) /gm)].map((match) => match[1]!).sort();

/** Writes `from` into a file, sealed where a key is named. */
export async function write(from: Readable, file: string, recipient: string | undefined): Promise<void> {
  if (recipient === undefined) return pipeline(from, createWriteStream(file, { mode: 0o600 }));
  const sealing = start('age', ['--encrypt', '--recipient', recipientOf(recipient)], { hands: true });
  await Promise.all([
    pipeline(from, sealing.stdin).catch(async (error: unknown) => {
      // A tool that ended knows better why.
      await sealing.ended;
      throw error;
    }),
    pipeline(sealing.stdout, createWriteStream(file, { mode: 0o600 })),
    sealing.ended,
  ]);
}

/**
 * Writes a backup into a folder. While it is written it is read to its end, as for a restore, before it gets its name:
 * what has the name of a backup is one, and nothing lies on the disk that is not sealed. Answers the file. Throws
 * BackupTrouble.
 */
export async function backUp(
  url: string,
  folder: string,
  { at = new Date(), recipient }: { at?: Date; recipient?: string | undefined } = {},
): Promise<{ file: string; bytes: number; tables: number }> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `fern-basket-${stamp(at)}.dump${recipient === undefined ? '' : '.age'}`);
  if (existsSync(file)) throw new BackupTrouble(`${file} is there already. Nothing was written.`);
  const unfinished = `${file}.unfinished`;
  await dropUnfinished(folder);
  try {
    const dumping = start(
      'pg_dump',
      [
        '--format=custom',
        '--no-owner',
        '--no-privileges',
        // The application has no large objects: what somebody else left there stops no backup.
        '--no-blobs',
        '--lock-wait-timeout=10000',
      ],
      { url, hands: true },
    );
    const reading = start('pg_restore', ['--file=/dev/null']);
    const listing = start('pg_restore', ['--list']);
    const copies = [new PassThrough(), new PassThrough(), new PassThrough()];
    for (const copy of copies) dumping.stdout.pipe(copy);
    // A list is made of the beginning: what follows is let go.
    const ignored = (): void => undefined;
    const [, list] = await Promise.all([
      dumping.ended,
      listing.ended,
      reading.ended,
      write(copies[0]!, unfinished, recipient),
      pipeline(copies[1]!, reading.stdin).catch(ignored),
      pipeline(copies[2]!, listing.stdin).catch(() => void copies[2]!.resume()),
    ]).catch((error: unknown) => {
      for (const { child } of [dumping, reading, listing]) child.kill();
      throw error;
    });
    const tables = tablesIn(list);
    if (!tables.includes('school') || !tables.includes('loan'))
      throw new BackupTrouble('What was written does not hold the tables of a school. It was thrown away.');
    await rename(unfinished, file);
    return { file, bytes: (await stat(file)).size, tables: tables.length };
  } finally {
    await rm(unfinished, { force: true });
  }
}

/** A backup takes no longer; one that was begun before and has not ended was stopped. */
const LONGEST_BACKUP_MS = 3_600_000;
/** Throws away what was left of backups that were stopped while they were written. */
export async function dropUnfinished(folder: string): Promise<void> {
  for (const name of await readdir(folder))
    if (UNFINISHED.test(name)) {
      const { mtimeMs } = await stat(join(folder, name));
      if (Date.now() - mtimeMs > LONGEST_BACKUP_MS) await rm(join(folder, name), { force: true });
    }
}

/** Keeps the newest `keep` backups of a folder and throws older ones away; other files are left alone. Answers how many went. */
export async function keepNewest(folder: string, keep: number, named = NAME): Promise<number> {
  const old = (await readdir(folder))
    .filter((name) => named.test(name))
    .sort()
    .reverse()
    .slice(Math.max(1, keep));
  for (const name of old) await rm(join(folder, name));
  return old.length;
}

/** Asks the database of an address. */
export async function asked<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 20_000 });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** Looks that nothing is written over, and makes the database that is named beside the one of the address. Answers whether it was made. */
async function madeReady(url: string, into: string | undefined): Promise<boolean> {
  let made = false;
  if (into !== undefined)
    made = await asked(databaseAt(url, 'postgres'), async (client) => {
      const { rowCount } = await client.query('select 1 from pg_database where datname = $1', [into]);
      if (!rowCount)
        await client.query(`create database "${into}"`).catch((error: Error & { code?: string }) => {
          throw error.code === '42501'
            ? new BackupTrouble(`This account may not make databases. Make it first: createdb ${into}`)
            : error;
        });
      return !rowCount;
    });
  const target = into === undefined ? url : databaseAt(url, into);
  const held = await asked(target, async (client) => {
    const { rows } = await client.query<{ count: number }>(
      `select count(*)::int as count from pg_class c join pg_namespace n on n.oid = c.relnamespace
       where c.relkind in ('r', 'p', 'v', 'm') and n.nspname not like 'pg\\_%' and n.nspname <> 'information_schema'`,
    );
    return rows[0]!.count;
  });
  if (held)
    throw new BackupTrouble(
      `The database ${nameIn(target)} holds ${held} tables already, so nothing was written into it. Restore into another one: --into fern_restored`,
    );
  return made;
}
const nameIn = (url: string): string => decodeURIComponent(new URL(addressesIn(url)[0]!).pathname.slice(1));

/** How a backup comes in. */
export interface Restoring {
  /** The name of a database beside the one of the address, made when it is not there. */
  into?: string | undefined;
  /** The file that holds the key of a sealed backup. */
  keyFile?: string | undefined;
}

/**
 * Restores a backup into the database of this address, or into one of another name beside it. A database that holds
 * anything is never written over. All of it is restored or nothing. Throws BackupTrouble.
 */
export async function restore(
  file: string,
  url: string,
  { into, keyFile }: Restoring = {},
): Promise<{ tables: number; database: string }> {
  if (!existsSync(file)) throw new BackupTrouble(`There is no file ${file}.`);
  if (into !== undefined && !/^[a-z_][a-z0-9_]{0,62}$/.test(into))
    throw new BackupTrouble(
      'The name of a database has small letters, figures and underscores, such as fern_restored.',
    );
  /** Hands what the file holds to pg_restore; answers what that printed. */
  const reading = async (args: readonly string[], to?: string): Promise<string> => {
    const opening = await opened(file, keyFile);
    const from = opening?.stdout ?? createReadStream(file);
    const restoring = start('pg_restore', args, { url: to });
    const handed = pipeline(from, restoring.stdin).catch(() => void opening?.child.kill());
    // Whoever cannot open the file says why before pg_restore wonders at its end.
    const [printed] = await Promise.all([
      restoring.ended.catch(async (error: unknown) => {
        await opening?.ended.catch((sooner: Error) => {
          throw new BackupTrouble(
            /no identity matched/i.test(sooner.message)
              ? `${file} cannot be opened with this key.`
              : `${file} is damaged: ${sooner.message}`,
          );
        });
        throw error;
      }),
      handed,
    ]);
    return printed;
  };
  const tables = tablesIn(await reading(['--list']));
  if (!tables.includes('school')) throw new BackupTrouble(`${file} is no backup of a school.`);
  const target = into === undefined ? url : databaseAt(url, into);
  const database = nameIn(target);
  const made = await madeReady(url, into);
  try {
    await reading(
      ['--single-transaction', '--exit-on-error', '--no-owner', '--no-privileges', `--dbname=${database}`],
      target,
    );
  } catch (error) {
    // What was made only for this goes again.
    if (made)
      await asked(databaseAt(url, 'postgres'), (client) =>
        client.query(`drop database if exists "${into!}"`),
      ).catch(() => undefined);
    throw error;
  }
  return { tables: tables.length, database };
}

/** Makes the key that backups are sealed with: its file is for another disk, what it answers for this one. */
export async function newKey(file: string): Promise<string> {
  if (existsSync(file)) throw new BackupTrouble(`${file} is there already. Nothing was written.`);
  await run('age-keygen', ['-o', file]);
  return (await run('age-keygen', ['-y', file])).trim();
}
