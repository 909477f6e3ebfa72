/** The connection to PostgreSQL: one pool for each server process, at the address in DATABASE_URL. */
import { setTimeout as pause } from 'node:timers/promises';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate as runMigrations } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import * as schema from './schema';

// Days stay "2026-03-01": they have no clock and no time zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (value) => value);

export type Database = NodePgDatabase<typeof schema>;
/** The database, or a transaction in it. */
export type Queryable = Pick<
  Database,
  'select' | 'insert' | 'update' | 'delete' | 'execute' | 'selectDistinctOn' | 'selectDistinct' | '$count'
>;

/** Nobody waits longer than these for a database that does not answer; together they are less than ten seconds. */
const CONNECT_MS = 3000;
const LOCK_MS = 4000;
const STATEMENT_MS = 5000;
const ANSWER_MS = 5500;
const IDLE_IN_TRANSACTION_MS = 10_000;

let pool: pg.Pool | undefined;
let database: Database | undefined;

const over = (client: pg.Pool | pg.PoolClient): Database => drizzle(client, { schema, casing: 'snake_case' });

/** The address of the database. Throws Error when DATABASE_URL is not set. */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: start the application with npm run demo.');
  return url;
}

/** The pool, opened at first use. Throws Error when DATABASE_URL is not set. */
export function connectionPool(): pg.Pool {
  if (pool) return pool;
  pool = new pg.Pool({
    connectionString: databaseUrl(),
    max: 10,
    connectionTimeoutMillis: CONNECT_MS,
    statement_timeout: STATEMENT_MS,
    lock_timeout: LOCK_MS,
    query_timeout: ANSWER_MS,
    idle_in_transaction_session_timeout: IDLE_IN_TRANSACTION_MS,
    keepAlive: true,
  });
  // A connection that ends while nobody uses it is replaced at the next use; without a listener it ends the server.
  pool.on('error', () => undefined);
  return pool;
}

export function db(): Database {
  database ??= over(connectionPool());
  return database;
}

/** Two transactions that got in each other's way: one of them is tried again. */
const COLLIDED = new Set(['40001', '40P01']);
const TRIES = 6;

/**
 * Does `work` in one transaction: all of it or nothing. It is done again, from the beginning, when it collided with
 * another one. Locks are taken in one order everywhere: variant, kit, copy, family, loan.
 */
export async function transaction<T>(work: (tx: Queryable) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await once(work);
    } catch (error) {
      if (tries >= TRIES || !COLLIDED.has(sqlState(error) ?? '')) throw error;
      await pause(Math.random() * 20 * 2 ** tries);
    }
  }
}

async function once<T>(work: (tx: Queryable) => Promise<T>): Promise<T> {
  const client = await connectionPool().connect();
  let lost: Error | undefined;
  // While it is out of the pool, its end is nobody's but ours to hear.
  const hear = (error: Error): void => void (lost = error);
  client.on('error', hear);
  try {
    await client.query('begin');
    const result = await work(over(client));
    await client.query('commit');
    return result;
  } catch (error) {
    if (databaseTrouble(error)) lost ??= error instanceof Error ? error : new Error(String(error));
    // A connection that cannot even roll back is thrown away.
    else await client.query('rollback').catch((broken: Error) => (lost = broken));
    throw error;
  } finally {
    client.off('error', hear);
    client.release(lost);
  }
}

/** A number for the lock under which one process at a time changes the schema. */
const MIGRATING = 7_306_411;

/** Brings the database to the newest schema; safe when several processes do it at once. */
export async function migrate(): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl(), connectionTimeoutMillis: 30_000 });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATING]);
    await runMigrations(drizzle(client), { migrationsFolder: 'data/migrations' });
  } finally {
    await client.end();
  }
}

/** Closes all connections; the next use opens new ones. */
export async function closeDatabase(): Promise<void> {
  const closing = pool;
  pool = undefined;
  database = undefined;
  await closing?.end();
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

/** What is the matter with the database, when that is why something failed. */
export function databaseTrouble(error: unknown): DatabaseTrouble | undefined {
  for (const at of causes(error)) {
    const code = at.code ?? '';
    if (NETWORK.has(code) || /^(08|57P|58|XX)/.test(code) || LOST.test(at.message)) return 'away';
    if (/^53/.test(code) || code === '57014' || code === '55P03' || code === '25P03' || LATE.test(at.message))
      return 'busy';
    if (['42P01', '42703', '3D000', '3F000'].includes(code)) return 'empty';
    if (at instanceof AggregateError && at.errors.some((one) => databaseTrouble(one))) return 'away';
  }
  return undefined;
}

/** Whether the database answers and has the newest schema. Waits no longer than `ms`. */
export async function databaseState(ms = 2000): Promise<'ready' | DatabaseTrouble> {
  const late = pause(ms, 'busy' as const, { ref: false });
  const asked = connectionPool()
    .query('select version from family limit 1')
    .then(
      () => 'ready' as const,
      (error: unknown) => databaseTrouble(error) ?? ('away' as const),
    );
  return Promise.race([asked, late]);
}
