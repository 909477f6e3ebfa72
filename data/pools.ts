/**
 * The connections of a server to PostgreSQL, at the addresses of its environment, and what it does while machines change:
 * what is asked waits some seconds for a database that is being switched, finds the host that takes what is written, and
 * reads from a standby where a page may be some seconds old.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { addressesIn, hostsIn } from './address';
import { databaseTrouble } from './trouble';

// Days stay "2026-03-01": they have no clock and no time zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (value) => value);

/** How long somebody is let wait; on a machine that is shared with much else, PATIENCE times as long. */
export function patient(ms: number): number {
  const times = Number(process.env.PATIENCE);
  return times >= 1 && times <= 20 ? ms * times : ms;
}

/**
 * Nobody waits longer than these for a database that does not answer; together they are less than ten seconds. What the
 * database itself keeps to (statements 5 s, locks 4 s) are settings of the server's role: `data/migrate.ts` makes them, and
 * nothing is set for a connection, so that a pooler may hand any of them to anybody.
 */
const CONNECT_MS = patient(3000);
const ANSWER_MS = patient(5500);
/** A switch to another machine takes some seconds: what is asked in them waits. Later it is said at once that nobody answers. */
const SWITCH_MS = 5000;

/** Families have connections of their own, which no page of the workroom takes. */
export type Lane = 'staff' | 'family';
const CONNECTIONS: Readonly<Record<Lane | 'standby', number>> = { staff: 10, family: 4, standby: 8 };
/** What is known of a request while it is worked at. */
export interface Asking {
  readonly lane: Lane;
  /** Whether it only reads, as far as it says of itself. */
  readonly reads: boolean;
  /** Whether what it reads may be some seconds old. */
  readonly mayLag: boolean;
  /** Under what stamp that which a school has settled is read in it, by school; emptied by whatever it changes. */
  readonly stamps: Map<string, string>;
  /** What it was told before, by what it asked; emptied likewise. */
  readonly told: Map<string, Promise<unknown>>;
  /** The schools whose rows it has come to. */
  readonly schools: Set<string>;
  /** How often it has asked the database. */
  queries: number;
  /** How old what it read is, where it is older than a page should be. */
  asOf?: Date;
}
const requests = new AsyncLocalStorage<Asking>();
/** Does `work` for a request, on the connections of its lane; `asking` is filled meanwhile. */
export const forRequest = <T>(asking: Asking, work: () => T): T => requests.run(asking, work);
/** The request that is worked at. */
export const asking = (): Asking | undefined => requests.getStore();

/** The request reads what a school has settled under this stamp. */
export const readUnder = (schoolId: string, stamp: string): void =>
  void requests.getStore()?.stamps.set(schoolId, stamp);

const required = (name: string): string => {
  const url = process.env[name];
  if (!url) throw new Error(`${name} is not set: start the application with npm run demo.`);
  return url;
};
/** The address of the database for the server. Throws Error when DATABASE_URL is not set. */
export const databaseUrl = (): string => required('DATABASE_URL');
/** The address of the database for the account that owns its tables: it migrates, and writes backups. */
export const ownerUrl = (): string => process.env.DATABASE_OWNER_URL || databaseUrl();
/** The address of a standby that may be read from; undefined where there is none. */
const standbyUrl = (): string | undefined => process.env.DATABASE_READ_URL || undefined;

const pools = new Map<Lane | 'standby', pg.Pool>();

/** The host to which connections are opened now, of those in DATABASE_URL. */
let host = 0;

function made(kind: Lane | 'standby', connectionString: string): pg.Pool {
  const known = pools.get(kind);
  if (known) return known;
  const pool = new pg.Pool({
    connectionString,
    max: CONNECTIONS[kind],
    connectionTimeoutMillis: CONNECT_MS,
    query_timeout: ANSWER_MS,
    keepAlive: true,
    // What belongs together is sent at once, and answered at once.
    pipeline: true,
    // Of several hosts, one that was the first machine yesterday may only read today, and be behind.
    ...(kind !== 'standby' && addressesIn(databaseUrl()).length > 1 ? { onConnect: refuseReader } : {}),
  });
  // A connection that ends while nobody uses it is replaced at the next use; without a listener it ends the server.
  pool.on('error', () => undefined);
  // The same for one that is just being taken out, given back or thrown away, when nobody listens to it for a moment.
  pool.on('connect', (client) => void client.on('error', () => undefined));
  pools.set(kind, pool);
  return pool;
}

/** Whether the database that a connection leads to takes nothing. */
async function onlyReads(client: pg.ClientBase): Promise<boolean> {
  const { rows } = await client.query<{ reads: boolean }>(
    `select pg_is_in_recovery() or current_setting('transaction_read_only')::boolean as reads`,
  );
  return rows[0]!.reads;
}

async function refuseReader(client: pg.ClientBase): Promise<void> {
  if (await onlyReads(client)) throw Object.assign(new Error('This host only reads.'), { code: '25006' });
}

/** The pool of the lane, opened at first use. Throws Error when DATABASE_URL is not set. */
export function connectionPool(): pg.Pool {
  const addresses = addressesIn(databaseUrl());
  return made(requests.getStore()?.lane ?? 'staff', addresses[host % addresses.length]!);
}

/** Closes all connections; the next use opens new ones. */
export async function closeDatabase(): Promise<void> {
  const closing = [...pools.values()];
  pools.clear();
  awaySince = undefined;
  await Promise.all(closing.map((pool) => pool.end()));
}

/** Since when nobody answers. */
let awaySince: number | undefined;

/** A connection to the database that takes what is written; while machines are switched it is waited for. */
export async function connection(): Promise<pg.PoolClient> {
  for (;;) {
    try {
      const client = await connectionPool().connect();
      awaySince = undefined;
      return client;
    } catch (error) {
      if (databaseTrouble(error) !== 'away') {
        void turnToWriter();
        throw error;
      }
      awaySince ??= Date.now();
      if (Date.now() - awaySince > SWITCH_MS) throw error;
      await Promise.all([turnToWriter(), pause(100 + Math.random() * 100)]);
    }
  }
}

/** Since when whoever answers takes nothing. */
let readingSince: number | undefined;
/** Something was written: what a school has settled, perhaps. */
export function wrote(settled: boolean): void {
  readingSince = undefined;
  const request = asking();
  request?.told.clear();
  if (settled) request?.stamps.clear();
}

/**
 * Whether something that was begun at `from` and failed now is worth another try: the machine that takes the place of the
 * one that failed may be there in a moment.
 */
export function maySwitch(reading: boolean, from: number): boolean {
  if (reading) readingSince ??= Date.now();
  const since = (reading ? readingSince : awaySince) ?? from;
  return Date.now() - Math.min(since, from) <= SWITCH_MS;
}

/** Which of several addresses, counted from 0, takes what is written. Throws where none does. */
export const writerAmong = (addresses: readonly string[]): Promise<number> =>
  Promise.any(
    addresses.map(async (connectionString, index) => {
      const client = new pg.Client({ connectionString, connectionTimeoutMillis: 1500, query_timeout: 1500 });
      client.on('error', () => undefined);
      try {
        await client.connect();
        await refuseReader(client);
        return index;
      } finally {
        void client.end().catch(() => undefined);
      }
    }),
  );

let turning: Promise<void> | undefined;
/** Finds the host that takes what is written, where the address names several; connections to others are not opened again. */
export function turnToWriter(): Promise<void> {
  const addresses = addressesIn(databaseUrl());
  if (addresses.length < 2) return Promise.resolve();
  return (turning ??= writerAmong(addresses)
    .then(
      (index) => {
        if (index === host) return;
        host = index;
        for (const kind of ['staff', 'family'] as const) {
          const pool = pools.get(kind);
          pools.delete(kind);
          // What is still asked on the old connections ends first.
          void pool?.end().catch(() => undefined);
        }
      },
      () => undefined,
    )
    .finally(() => (turning = undefined)));
}

/** A page that may be old is not older than this, unless nobody else answers. */
const MOST_BEHIND_MS = 5000;
const LOOK_MS = 1000;
const MOST_SAMPLES = 600;

/** How far the log of the database had come at a moment, in bytes; the newest last. */
const written: { at: number; bytes: number }[] = [];
/** The moment up to which the standby holds everything. */
let standbyHolds: number | undefined;

/** Up to what moment the standby holds everything, from how far the log had come then; undefined when it was never so far. */
export function holdsUntil(
  samples: readonly { at: number; bytes: number }[],
  replayed: number,
): number | undefined {
  return samples.findLast(({ bytes }) => bytes <= replayed)?.at;
}

/** Looks how far the standby is behind. */
export async function lookAtStandby(): Promise<void> {
  const url = standbyUrl();
  if (!url) return;
  const at = Date.now();
  const [writer, reader] = await Promise.allSettled([
    made('staff', addressesIn(databaseUrl())[host]!).query<{ bytes: string }>(
      `select pg_current_wal_lsn() - '0/0' as bytes`,
    ),
    made('standby', url).query<{ bytes: string }>(
      `select case when pg_is_in_recovery() then pg_last_wal_replay_lsn() else pg_current_wal_lsn() end - '0/0' as bytes`,
    ),
  ]);
  if (writer.status === 'fulfilled') written.push({ at, bytes: Number(writer.value.rows[0]!.bytes) });
  else if (databaseTrouble(writer.reason) === 'away') awaySince ??= at;
  if (written.length > MOST_SAMPLES) written.shift();
  standbyHolds =
    reader.status === 'fulfilled' ? holdsUntil(written, Number(reader.value.rows[0]!.bytes)) : undefined;
}

/** Looks at the standby from time to time; undefined where there is none. */
export function watchStandby(): NodeJS.Timeout | undefined {
  if (!standbyUrl()) return undefined;
  void lookAtStandby();
  const timer = setInterval(() => void lookAtStandby().catch(() => undefined), LOOK_MS);
  timer.unref();
  return timer;
}

/**
 * The pool of the standby, for a request that may read what is some seconds old; undefined where the database itself is
 * to be asked. While nobody takes what is written, families go on reading however old it is, and the request tells so.
 */
export function standbyPool(): pg.Pool | undefined {
  const request = requests.getStore();
  const url = standbyUrl();
  if (!request?.mayLag || !url || standbyHolds === undefined) return undefined;
  const old = Date.now() - standbyHolds > MOST_BEHIND_MS;
  if (old) {
    if (request.lane !== 'family' || awaySince === undefined) return undefined;
    request.asOf = new Date(standbyHolds);
  }
  return made('standby', url);
}
/** Whether nobody takes what is written now, and a standby can be read from. */
export const onlyStandby = (): boolean => awaySince !== undefined && standbyPool() !== undefined;

/** Why the address of the database must not be used, in a sentence; undefined when it may. */
export function addressFault(url = databaseUrl()): string | undefined {
  const sslmode = new URL(addressesIn(url)[0]!).searchParams.get('sslmode') ?? '';
  const away = hostsIn(url).find(
    (name) => !['', 'localhost', '127.0.0.1', '[::1]'].includes(name) && !name.startsWith('%2F'),
  );
  return away === undefined || /^verify-(ca|full)$/.test(sslmode)
    ? undefined
    : `The database is on another machine (${away}), and what goes there could be read on the way. Add ?sslmode=verify-full to DATABASE_URL, and give PostgreSQL a certificate that this machine trusts.`;
}
