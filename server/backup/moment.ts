/**
 * Back to any moment: a copy of the whole database cluster from time to time, and beside it the log of everything that was
 * written since, which PostgreSQL hands over piece by piece (`archive_command`, see docs/machines/postgresql.conf).
 */
import { createReadStream, createWriteStream } from 'node:fs';
import { chmod, chown, cp, mkdir, mkdtemp, readdir, rename, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { pipeline } from 'node:stream/promises';
import pg from 'pg';
import { accountIn, addressesIn } from '~/data/address';
import { backUp, dropUnfinished, keepNewest, restore, stamp, write, type Restoring } from './dump';
import { BackupTrouble, opened, start } from './tools';

/** Pieces of the log, in a folder of their own beside the backups. */
const LOG = 'log';
const BASE = /^fern-basket-base-(\d{4})-(\d{2})-(\d{2})-(\d{2})(\d{2})(\d{2})\.tar\.gz(\.age)?$/;
const PIECE = /^([0-9A-F]{24}|[0-9A-F]{8}\.history)(\.age)?$/;

/** Copies the whole cluster into a folder. The account of the address may replicate. Throws BackupTrouble. */
export async function copyCluster(
  url: string,
  folder: string,
  { at = new Date(), recipient }: { at?: Date; recipient?: string | undefined } = {},
): Promise<{ file: string; bytes: number }> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `fern-basket-base-${stamp(at)}.tar.gz${recipient === undefined ? '' : '.age'}`);
  const unfinished = `${file}.unfinished`;
  await dropUnfinished(folder);
  try {
    const copying = start(
      'pg_basebackup',
      ['--pgdata=-', '--format=tar', '--gzip', '--wal-method=none', '--checkpoint=fast', '--no-password'],
      { url, hands: true },
    );
    await Promise.all([copying.ended, write(copying.stdout, unfinished, recipient)]);
    await rename(unfinished, file);
    return { file, bytes: (await stat(file)).size };
  } finally {
    await rm(unfinished, { force: true });
  }
}

/** When a copy of the cluster was begun. */
function begunAt(name: string): Date | undefined {
  const [, year, month, day, hour, minute, second] = BASE.exec(name) ?? [];
  return year === undefined ? undefined : new Date(`${year}-${month}-${day}T${hour}:${minute}:${second}Z`);
}

/**
 * Keeps the newest copies of the cluster, and of the log what the oldest of them needs: pieces that lay there an hour
 * before it was begun are older than it. Answers how many files went.
 */
export async function keepNewestBases(folder: string, keep: number): Promise<number> {
  let gone = await keepNewest(folder, keep, BASE);
  const oldest = (await readdir(folder)).filter((name) => BASE.test(name)).sort()[0];
  if (!oldest) return gone;
  const before = begunAt(oldest)!.getTime() - 3_600_000;
  for (const name of await readdir(join(folder, LOG)).catch(() => []))
    if (PIECE.test(name) && (await stat(join(folder, LOG, name))).mtimeMs < before) {
      await rm(join(folder, LOG, name));
      gone++;
    }
  return gone;
}

/** The account that may run PostgreSQL here, which root may not. */
export interface Account {
  uid: number;
  gid: number;
}

const LONGEST_MS = 30 * 60_000;

/**
 * Restores what a database held at a moment, from the newest copy of the cluster before it and the log since: into the
 * database of this address or one beside it, as a backup comes in. Throws BackupTrouble.
 */
export async function restoreUntil(
  until: Date,
  folder: string,
  url: string,
  account: Account | undefined,
  { keyFile, ...restoring }: Restoring = {},
): Promise<{ tables: number; database: string; base: string; pieces: number }> {
  const bases = (await readdir(folder).catch(() => [])).filter((name) => BASE.test(name)).sort();
  const base = bases.findLast((name) => begunAt(name)! < until);
  if (!base)
    throw new BackupTrouble(
      bases.length
        ? `The oldest copy of the database in ${folder} is of ${begunAt(bases[0]!)!.toISOString()}, which is later.`
        : `There is no copy of the database in ${folder}. One is written by: npm run backup -- --base`,
    );
  // Only the account that runs the database comes in here: what was sealed lies open in it for a while.
  const room = await mkdtemp(join(tmpdir(), 'fern-moment-'));
  const [data, log] = [join(room, 'data'), join(room, 'log')];
  const hand = async (path: string): Promise<void> => {
    if (account) await chown(path, account.uid, account.gid);
  };
  try {
    await chmod(room, 0o700);
    for (const path of [room, data, log]) {
      await mkdir(path, { recursive: true, mode: 0o700 });
      await hand(path);
    }
    const opening = await opened(join(folder, base), keyFile);
    const unpacking = start('tar', ['--extract', '--gzip', '--directory', data], { ...account });
    await Promise.all([
      pipeline(opening?.stdout ?? createReadStream(join(folder, base)), unpacking.stdin),
      unpacking.ended,
      opening?.ended,
    ]);
    let pieces = 0;
    for (const name of await readdir(join(folder, LOG)).catch(() => [])) {
      if (!PIECE.test(name)) continue;
      const [from, to] = [join(folder, LOG, name), join(log, name.replace(/\.age$/, ''))];
      const piece = await opened(from, keyFile);
      if (piece)
        await Promise.all([pipeline(piece.stdout, createWriteStream(to, { mode: 0o600 })), piece.ended]);
      else await cp(from, to);
      await hand(to);
      pieces++;
    }
    const dump = await dumpAt(until, { room, data, log, url, account });
    const { tables, database } = await restore(dump, url, restoring);
    return { tables, database, base, pieces };
  } finally {
    await rm(room, { recursive: true, force: true });
  }
}

/** Lets a cluster come up to a moment, on a socket in a folder of its own, and writes a backup of its database there. */
async function dumpAt(
  until: Date,
  at: { room: string; data: string; log: string; url: string; account: Account | undefined },
): Promise<string> {
  const { room, data, log, url, account } = at;
  const [{ user }, { pathname }] = [accountIn(url), new URL(addressesIn(url)[0]!)];
  // Who comes in is decided by the folder: nobody else gets to its socket.
  await writeFile(join(data, 'pg_hba.conf'), 'local all all trust\n');
  for (const name of ['standby.signal', 'postmaster.pid']) await rm(join(data, name), { force: true });
  await writeFile(join(data, 'recovery.signal'), '');
  if (account) await chown(join(data, 'recovery.signal'), account.uid, account.gid);
  const settings = {
    listen_addresses: '',
    unix_socket_directories: room,
    archive_mode: 'off',
    ssl: 'off',
    shared_preload_libraries: '',
    logging_collector: 'off',
    log_destination: 'stderr',
    synchronous_standby_names: '',
    primary_conninfo: '',
    restore_command: `cp "${log}/%f" "%p"`,
    recovery_target_timeline: 'latest',
    recovery_target_time: until.toISOString().replace('T', ' ').replace('Z', '+00'),
    recovery_target_action: 'promote',
    hba_file: join(data, 'pg_hba.conf'),
  };
  const database = start(
    'postgres',
    ['-D', data, ...Object.entries(settings).flatMap(([name, value]) => ['-c', `${name}=${value}`])],
    { ...account },
  );
  const ended = database.ended.then(
    () => 'It ended.',
    (error: Error) => error.message,
  );
  let over: string | undefined;
  void ended.then((why) => (over = why));
  const socket = `postgres://${encodeURIComponent(user)}@localhost${pathname}?host=${encodeURIComponent(room)}`;
  try {
    for (const from = Date.now(); ; await pause(200)) {
      if (over !== undefined)
        throw new BackupTrouble(
          /before configured recovery target/.test(over)
            ? `The log that is kept does not reach to ${until.toISOString()}. Name an earlier moment.`
            : `The database did not come up: ${over}`,
        );
      if (Date.now() - from > LONGEST_MS)
        throw new BackupTrouble('The database did not come up in half an hour.');
      const client = new pg.Client({ connectionString: socket, connectionTimeoutMillis: 2000 });
      client.on('error', () => undefined);
      const there = await client
        .connect()
        .then(() => client.query<{ there: boolean }>('select not pg_is_in_recovery() as there'))
        .then(({ rows }) => rows[0]!.there)
        .catch(() => false);
      await client.end().catch(() => undefined);
      if (there) break;
    }
    return (await backUp(socket, join(room, 'out'))).file;
  } finally {
    database.child.kill('SIGINT');
    await ended;
  }
}
