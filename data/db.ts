/**
 * The way to PostgreSQL: one pool for each server process, at the address in DATABASE_URL. Queries go through a handle
 * that is bound to one school; the rows of others are hidden from it by PostgreSQL itself, since the role of the pool
 * neither owns the tables nor may pass their policies.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import { setTimeout as pause } from 'node:timers/promises';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { LRUCache } from 'lru-cache';
import pg from 'pg';
import journal from './migrations/meta/_journal.json' with { type: 'json' };

// Days stay "2026-03-01": they have no clock and no time zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (value) => value);

/** The database, or a transaction in it. */
export type Queryable = Pick<
  NodePgDatabase,
  'select' | 'insert' | 'update' | 'delete' | 'execute' | 'selectDistinctOn' | 'selectDistinct' | '$count'
>;

/** A school as a handle is bound to it. */
export interface OneSchool {
  readonly schoolId: string;
  readonly districtId: string;
  /** There it is decided what day it is. */
  readonly timeZone: string;
}

/** A way to the rows of one school, and of no other. */
export type SchoolHandle = Queryable & OneSchool;
/** A way to what belongs to no single school: people, sessions, schools and districts. */
export type Installation = Queryable & { readonly schoolId?: undefined; readonly districtId?: string };

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

/** Families have connections of their own, which no page of the workroom takes. */
export type Lane = 'staff' | 'family';
const CONNECTIONS: Readonly<Record<Lane, number>> = { staff: 10, family: 4 };
/** What is known of a request while it is worked at. */
export interface Asking {
  readonly lane: Lane;
  /** The schools whose rows it has come to. */
  readonly schools: Set<string>;
  /** How often it has asked the database. */
  queries: number;
}
const requests = new AsyncLocalStorage<Asking>();
/** Does `work` for a request, on the connections of its lane; `asking` is filled meanwhile. */
export const forRequest = <T>(asking: Asking, work: () => T): T => requests.run(asking, work);

const pools = new Map<Lane, pg.Pool>();

const required = (name: string): string => {
  const url = process.env[name];
  if (!url) throw new Error(`${name} is not set: start the application with npm run demo.`);
  return url;
};
/** The address of the database for the server. Throws Error when DATABASE_URL is not set. */
export const databaseUrl = (): string => required('DATABASE_URL');
/** The address of the database for the account that owns its tables: it migrates, and writes backups. */
export const ownerUrl = (): string => process.env.DATABASE_OWNER_URL || databaseUrl();

/** The pool of the lane, opened at first use. Throws Error when DATABASE_URL is not set. */
export function connectionPool(): pg.Pool {
  const lane = requests.getStore()?.lane ?? 'staff';
  const known = pools.get(lane);
  if (known) return known;
  const pool = new pg.Pool({
    connectionString: databaseUrl(),
    max: CONNECTIONS[lane],
    connectionTimeoutMillis: CONNECT_MS,
    query_timeout: ANSWER_MS,
    keepAlive: true,
    // What belongs together is sent at once, and answered at once.
    pipeline: true,
  } as pg.PoolConfig);
  // A connection that ends while nobody uses it is replaced at the next use; without a listener it ends the server.
  pool.on('error', () => undefined);
  // The same for one that is just being taken out, given back or thrown away, when nobody listens to it for a moment.
  pool.on('connect', (client) => void client.on('error', () => undefined));
  pools.set(lane, pool);
  return pool;
}

type Scope = Partial<OneSchool>;
type Query = pg.PoolClient['query'];

/** Sets for the rest of a transaction whose rows are read and written. */
const binding = ({ schoolId = '', districtId = '' }: Scope): string =>
  `select set_config('fern.school', ${pg.escapeLiteral(schoolId)}, true), set_config('fern.district', ${pg.escapeLiteral(districtId)}, true)`;

/** A handle whose queries all go through `query`. */
function handle<S extends Scope>(scope: S, query: (...asked: Parameters<Query>) => unknown): Queryable & S {
  const counted = (...asked: Parameters<Query>): unknown => {
    const asking = requests.getStore();
    if (asking) asking.queries++;
    return query(...asked);
  };
  return Object.assign(drizzle({ query: counted } as unknown as pg.Client, { casing: 'snake_case' }), scope);
}

/** Takes a connection out of the pool for `work`. One that broke is thrown away. */
async function borrowed<T>(
  work: (client: pg.PoolClient, broke: (error: unknown) => void) => Promise<T>,
): Promise<T> {
  const client = await connectionPool().connect();
  let lost: Error | undefined;
  const broke = (error: unknown): void =>
    void (lost ??= error instanceof Error ? error : new Error(String(error)));
  // While it is out of the pool, its end is nobody's but ours to hear.
  client.on('error', broke);
  try {
    return await work(client, broke);
  } catch (error) {
    if (databaseTrouble(error)) broke(error);
    throw error;
  } finally {
    client.off('error', broke);
    client.release(lost);
  }
}

type Ask = (...asked: unknown[]) => Promise<unknown>;

/**
 * A handle that takes a connection of the pool for each query. One that is bound to a school is a transaction of its own:
 * the school is set for it and is gone with it, whoever has the connection next.
 */
const pooled = <S extends Scope>(scope: S): Queryable & S =>
  handle(scope, (...asked) =>
    borrowed(async (client) => {
      const ask = (client.query as Ask).bind(client);
      if (scope.schoolId === undefined && scope.districtId === undefined) return ask(...asked);
      const [begun, answer, ended] = await Promise.allSettled([
        ask(`begin; ${binding(scope)}`),
        ask(...asked),
        ask('commit'),
      ]);
      if (begun.status === 'rejected') throw begun.reason;
      if (answer.status === 'rejected') throw answer.reason;
      if (ended.status === 'rejected') throw ended.reason;
      return answer.value;
    }),
  );

const handles = new LRUCache<string, SchoolHandle>({ max: 500 });

/** The handle of a school. */
export function atSchool({ schoolId, districtId, timeZone }: OneSchool): SchoolHandle {
  requests.getStore()?.schools.add(schoolId);
  const key = `${schoolId} ${districtId} ${timeZone}`;
  const known = handles.get(key);
  if (known) return known;
  const made = pooled({ schoolId, districtId, timeZone });
  handles.set(key, made);
  return made;
}

let whole: Installation | undefined;
/** The handle of what belongs to no single school. */
export const installation = (): Installation => (whole ??= pooled({}));
/** The handle of a district: what its schools show each other, and their numbers. */
export const inDistrict = (districtId: string): Installation => pooled({ districtId });

/** The same transaction, for the rows of another school; and that a part of it was taken back, with whose rows it was for. */
const others = new WeakMap<Queryable, { at: (school: OneSchool) => SchoolHandle; tookBack: () => void }>();
/** The handle of another school in the transaction of `tx`: for what moves from one to the other. */
export function alsoAt(tx: Queryable, school: OneSchool): SchoolHandle {
  const other = others.get(tx);
  if (!other) throw new Error('Only a transaction can go on in another school.');
  return other.at(school);
}

/** Two transactions that got in each other's way: one of them is tried again. */
const COLLIDED = new Set(['40001', '40P01']);
const TRIES = 6;

/**
 * Does `work` in one transaction: all of it or nothing; within the transaction of `at`, where that is one already. It is done again, from the beginning, when it collided with
 * another one. Locks are taken in one order everywhere: variant, kit, copy, family, loan.
 */
export async function transaction<H extends SchoolHandle | Installation, T>(
  at: H,
  work: (tx: H) => Promise<T>,
): Promise<T> {
  if (others.has(at)) return within(at, work);
  for (let tries = 1; ; tries++) {
    try {
      return await once(at, work);
    } catch (error) {
      if (tries >= TRIES || !COLLIDED.has(sqlState(error) ?? '')) throw error;
      await pause(Math.random() * 20 * 2 ** tries);
    }
  }
}

/** A part of a transaction that can fail by itself. */
async function within<H extends Queryable, T>(tx: H, work: (tx: H) => Promise<T>): Promise<T> {
  await tx.execute('savepoint part');
  try {
    const result = await work(tx);
    await tx.execute('release savepoint part');
    return result;
  } catch (error) {
    // Where the whole transaction is lost there is nothing to go back to.
    if (!databaseTrouble(error))
      await tx.execute('rollback to savepoint part').then(
        () => undefined,
        () => undefined,
      );
    others.get(tx)?.tookBack();
    throw error;
  }
}

const once = <H extends SchoolHandle | Installation, T>(at: H, work: (tx: H) => Promise<T>): Promise<T> =>
  borrowed(async (client, broke) => {
    const ask = (client.query as Ask).bind(client);
    // One query follows the other: what is asked at the same moment waits for its turn.
    let turn: Promise<unknown> = Promise.resolve();
    /** For whose rows the transaction is now. */
    let bound: string | undefined;
    const bind = async (scope: Scope): Promise<void> => {
      const to = binding(scope);
      if (bound !== to) await ask(to);
      bound = to;
    };
    const boundTo = <S extends Scope>(scope: S): Queryable & S => {
      const made = handle(scope, (...asked) => {
        const answer = turn.then(async () => {
          await bind(scope);
          return ask(...asked);
        });
        turn = answer.catch(() => undefined);
        return answer;
      });
      others.set(made, {
        at: ({ schoolId, districtId, timeZone }) => boundTo({ schoolId, districtId, timeZone }),
        tookBack: () => (bound = undefined),
      });
      return made;
    };
    try {
      const { schoolId, districtId } = at;
      bound = binding({ schoolId, districtId });
      await ask(`begin; ${bound}`);
      const tx = boundTo(
        schoolId === undefined ? { districtId } : { schoolId, districtId, timeZone: at.timeZone },
      );
      const result = await work(tx as unknown as H);
      await ask('commit');
      return result;
    } catch (error) {
      // A connection that cannot even roll back is thrown away.
      if (!databaseTrouble(error)) await ask('rollback').catch(broke);
      throw error;
    }
  });

/** Why the address of the database must not be used, in a sentence; undefined when it may. */
export function addressFault(url = databaseUrl()): string | undefined {
  const { hostname, searchParams } = new URL(url);
  const here = ['', 'localhost', '127.0.0.1', '[::1]'].includes(hostname) || hostname.startsWith('%2F');
  return here || /^verify-(ca|full)$/.test(searchParams.get('sslmode') ?? '')
    ? undefined
    : `The database is on another machine (${hostname}), and what goes there could be read on the way. Add ?sslmode=verify-full to DATABASE_URL, and give PostgreSQL a certificate that this machine trusts.`;
}

/** Why the role of DATABASE_URL must not serve several schools, in a sentence; undefined when it may. */
export async function roleFault(): Promise<string | undefined> {
  const { rows } = await connectionPool().query<{ role: string; passes: boolean; owns: boolean }>(`
    select current_user as role, rolsuper or rolbypassrls as passes,
      exists (select from pg_class where relname = 'family' and pg_has_role(relowner, 'member')) as owns
    from pg_roles where rolname = current_user`);
  const { role, passes, owns } = rows[0]!;
  return passes || owns
    ? `The role ${role} of DATABASE_URL ${owns ? 'owns the tables' : 'may pass the policies of the tables'}, so nothing would keep one school from the rows of another. Name another role in DATABASE_URL and this one in DATABASE_OWNER_URL, then run: npm run migrate`
    : undefined;
}

/** Closes all connections; the next use opens new ones. */
export async function closeDatabase(): Promise<void> {
  const closing = [...pools.values()];
  pools.clear();
  await Promise.all(closing.map((pool) => pool.end()));
}

/** An error and what it was caused by, the outermost first. */
function* causes(error: unknown): Generator<Error & { code?: string; constraint?: string }> {
  for (let at: unknown = error; at instanceof Error; at = at.cause) yield at;
}

/** The five characters by which PostgreSQL tells what went wrong, when it did. */
export function sqlState(error: unknown): string | undefined {
  for (const { code } of causes(error)) if (code && /^[0-9A-Z]{5}$/.test(code)) return code;
  return undefined;
}

/** The name of the unique or check constraint that refused a change, or undefined for any other error. */
export function refusedBy(error: unknown): string | undefined {
  for (const { code, constraint } of causes(error))
    if (code === '23505' || code === '23514') return constraint;
  return undefined;
}

/** Does `work`; answers undefined when this unique constraint refused it, such as a name that is taken. */
export async function unlessTaken<T>(constraint: string, work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work();
  } catch (error) {
    if (refusedBy(error) === constraint) return undefined;
    throw error;
  }
}

/** `away`: nobody answers; `busy`: no answer in time; `empty`: there is no schema yet, or an older one. */
export type DatabaseTrouble = 'away' | 'busy' | 'empty';

const NETWORK = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'EAI_AGAIN',
  'EHOSTUNREACH',
  'ENETUNREACH',
]);
// The driver tells of these in words only.
const LOST =
  /connection terminated|not queryable|timeout exceeded when trying to connect|connection is closed/i;
const LATE = /query read timeout/i;

const READ_ONLY = '25006';
/** Whether something was not written because the database only reads now. */
export const onlyReads = (error: unknown): boolean => sqlState(error) === READ_ONLY;

/** What is the matter with the database, when that is why something failed. */
export function databaseTrouble(error: unknown): DatabaseTrouble | undefined {
  for (const at of causes(error)) {
    const code = at.code ?? '';
    // A database that only reads, as for a while after a switch of machines, is away for whoever writes.
    if (NETWORK.has(code) || /^(08|57P|58|XX)/.test(code) || code === READ_ONLY || LOST.test(at.message))
      return 'away';
    if (/^53/.test(code) || code === '57014' || code === '55P03' || code === '25P03' || LATE.test(at.message))
      return 'busy';
    if (['42P01', '42703', '3D000', '3F000', '42501'].includes(code)) return 'empty';
    if (at instanceof AggregateError && at.errors.some((one) => databaseTrouble(one))) return 'away';
  }
  return undefined;
}

/** A server whose clock is further off the database's than this must not say what day it is. */
const MOST_OFF_MS = 5000;
let offMs = 0;
/** Now, on the clock of the database as far as it is known: several servers have one day. */
export const now = (): Date => new Date(Date.now() + offMs);

/** `readOnly`: it answers and takes nothing; `clock`: the clock of this server is off. */
export type DatabaseState = 'ready' | 'readOnly' | 'clock' | DatabaseTrouble;

const newest = Math.max(...journal.entries.map(({ when }) => when));

/** Whether the database answers, takes what is written, and has every migration of this version. Waits no longer than `ms`. */
export async function databaseState(ms = 2000): Promise<DatabaseState> {
  const late = pause(ms, 'busy' as const, { ref: false });
  const from = Date.now();
  const asked = connectionPool()
    .query<{ newest: string | null; reads: boolean; now: number }>(
      `select (select max(created_at) from drizzle.__drizzle_migrations) as newest,
        pg_is_in_recovery() or current_setting('transaction_read_only')::boolean as reads,
        extract(epoch from clock_timestamp())::float8 * 1000 as now`,
    )
    .then(
      ({ rows: [row] }): DatabaseState => {
        if (Number(row!.newest) < newest) return 'empty';
        if (row!.reads) return 'readOnly';
        // It was read between the two moments; what is less than the wait is no difference.
        const off = row!.now - (from + Date.now()) / 2;
        offMs = Math.abs(off) > (Date.now() - from) / 2 + 1000 ? off : 0;
        return Math.abs(offMs) > MOST_OFF_MS ? 'clock' : 'ready';
      },
      (error: unknown) => databaseTrouble(error) ?? 'away',
    );
  return Promise.race([asked, late]);
}
