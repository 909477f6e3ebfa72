/** Backups with PostgreSQL's own tools, in its custom format. */
import { spawn } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import pg from 'pg';

/** A failure a person can act on. */
export class BackupTrouble extends Error {}

const SERVER_FOLDER = '/usr/lib/postgresql';

/** A tool of PostgreSQL: where Debian puts it, the newest first, else from the path. */
function tool(name: 'pg_dump' | 'pg_restore'): string {
  if (!existsSync(SERVER_FOLDER)) return name;
  const found = readdirSync(SERVER_FOLDER)
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => join(SERVER_FOLDER, version, 'bin', name))
    .find((file) => existsSync(file));
  return found ?? name;
}

/** The parts of an address as the tools read them from their environment: a password is no argument others could see. */
function environment(url: string): NodeJS.ProcessEnv {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url);
  return {
    ...process.env,
    PGHOST: searchParams.get('host') ?? decodeURIComponent(hostname),
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    PGCONNECT_TIMEOUT: '20',
  };
}

function run(name: 'pg_dump' | 'pg_restore', args: string[], url?: string): Promise<string> {
  return new Promise((done, fail) => {
    const child = spawn(tool(name), args, {
      env: url ? environment(url) : process.env,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let out = '';
    let said = '';
    // What a full reading prints is only counted on to end well; of a list the lines are kept.
    child.stdout.on('data', (data: Buffer) => (out = out.length < 2_000_000 ? out + data : out));
    child.stderr.on('data', (data: Buffer) => (said = (said + data).slice(-2000)));
    child.on('error', (error: NodeJS.ErrnoException) =>
      fail(
        new BackupTrouble(
          error.code === 'ENOENT'
            ? `${name} is not on this machine. Install it: apt-get install postgresql-client`
            : `${name} could not be started: ${error.message}`,
        ),
      ),
    );
    child.on('close', (code) =>
      code === 0
        ? done(out)
        : fail(new BackupTrouble(`${name} failed: ${said.trim().split('\n').at(-1) ?? ''}`)),
    );
  });
}

const stamp = (at: Date): string => at.toISOString().slice(0, 19).replace('T', '-').replaceAll(':', '');
const NAME = /^fern-basket-\d{4}-\d{2}-\d{2}-\d{6}\.dump$/;

/** The tables that a backup holds with their data. */
async function tablesIn(file: string): Promise<string[]> {
  const list = await run('pg_restore', ['--list', file]);
  return [...list.matchAll(/^\d+; \d+ \d+ TABLE DATA \S+ (\S+) /gm)].map((match) => match[1]!).sort();
}

/**
 * Writes a backup into a folder and reads it again to its end before it gets its name: what has the name of a backup
 * is one. Answers the file. Throws BackupTrouble.
 */
export async function backUp(
  url: string,
  folder: string,
  at = new Date(),
): Promise<{ file: string; bytes: number; tables: number }> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `fern-basket-${stamp(at)}.dump`);
  if (existsSync(file)) throw new BackupTrouble(`${file} is there already. Nothing was written.`);
  const unfinished = `${file}.unfinished`;
  await dropUnfinished(folder);
  try {
    await run(
      'pg_dump',
      [
        '--format=custom',
        '--no-owner',
        '--no-privileges',
        // The application has no large objects: what somebody else left there stops no backup.
        '--no-blobs',
        '--lock-wait-timeout=10000',
        `--file=${unfinished}`,
      ],
      url,
    );
    const tables = await tablesIn(unfinished);
    if (!tables.includes('school') || !tables.includes('loan'))
      throw new BackupTrouble('What was written does not hold the tables of a school. It was thrown away.');
    // Every row is read and unpacked once, as for a restore.
    await run('pg_restore', ['--file=/dev/null', unfinished]);
    await rename(unfinished, file);
    return { file, bytes: (await stat(file)).size, tables: tables.length };
  } finally {
    await rm(unfinished, { force: true });
  }
}

/** A backup takes no longer; one that was begun before and has not ended lost its server. */
const LONGEST_BACKUP_MS = 3_600_000;
/** Throws away what servers left that were stopped while they wrote: it holds everything, and is no backup. */
async function dropUnfinished(folder: string): Promise<void> {
  for (const name of await readdir(folder))
    if (/^fern-basket-[\d-]+\.dump\.unfinished$/.test(name)) {
      const { mtimeMs } = await stat(join(folder, name));
      if (Date.now() - mtimeMs > LONGEST_BACKUP_MS) await rm(join(folder, name), { force: true });
    }
}

/** Keeps the newest `keep` backups of a folder and throws older ones away; other files are left alone. Answers how many went. */
export async function keepNewest(folder: string, keep: number): Promise<number> {
  const old = (await readdir(folder))
    .filter((name) => NAME.test(name))
    .sort()
    .reverse()
    .slice(Math.max(1, keep));
  for (const name of old) await rm(join(folder, name));
  return old.length;
}

async function asked<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 20_000 });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** The address of another database on the same server. */
export function sibling(url: string, database: string): string {
  const other = new URL(url);
  other.pathname = `/${encodeURIComponent(database)}`;
  return other.href;
}

/**
 * Restores a backup into the database of this address, or into one of that name beside it, which is made when it is not
 * there. A database that holds anything is never written over. All of it is restored or nothing. Throws BackupTrouble.
 */
export async function restore(
  file: string,
  url: string,
  into?: string,
): Promise<{ tables: number; database: string }> {
  if (!existsSync(file)) throw new BackupTrouble(`There is no file ${file}.`);
  if (into !== undefined && !/^[a-z_][a-z0-9_]{0,62}$/.test(into))
    throw new BackupTrouble(
      'The name of a database has small letters, figures and underscores, such as fern_restored.',
    );
  const tables = await tablesIn(file);
  if (!tables.includes('school')) throw new BackupTrouble(`${file} is no backup of a school.`);
  const target = into === undefined ? url : sibling(url, into);
  const database = decodeURIComponent(new URL(target).pathname.slice(1));
  let made = false;
  if (into !== undefined)
    made = await asked(sibling(url, 'postgres'), async (client) => {
      const { rowCount } = await client.query('select 1 from pg_database where datname = $1', [into]);
      if (!rowCount)
        await client.query(`create database "${into}"`).catch((error: Error & { code?: string }) => {
          throw error.code === '42501'
            ? new BackupTrouble(`This account may not make databases. Make it first: createdb ${into}`)
            : error;
        });
      return !rowCount;
    });
  const held = await asked(target, async (client) => {
    const { rows } = await client.query<{ count: number }>(
      `select count(*)::int as count from pg_class c join pg_namespace n on n.oid = c.relnamespace
       where c.relkind in ('r', 'p', 'v', 'm') and n.nspname not like 'pg\\_%' and n.nspname <> 'information_schema'`,
    );
    return rows[0]!.count;
  });
  if (held)
    throw new BackupTrouble(
      `The database ${database} holds ${held} tables already, so nothing was written into it. Restore into another one: --into fern_restored`,
    );
  try {
    await run(
      'pg_restore',
      [
        '--single-transaction',
        '--exit-on-error',
        '--no-owner',
        '--no-privileges',
        `--dbname=${database}`,
        file,
      ],
      target,
    );
  } catch (error) {
    // What was made only for this goes again.
    if (made)
      await asked(sibling(url, 'postgres'), (client) =>
        client.query(`drop database if exists "${into!}"`),
      ).catch(() => undefined);
    throw error;
  }
  return { tables: tables.length, database };
}
