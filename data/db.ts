/** The connection to PostgreSQL: one pool for each server process, at the address in DATABASE_URL. */
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

let pool: pg.Pool | undefined;
let database: Database | undefined;

/** The pool, opened at first use. Throws Error when DATABASE_URL is not set. */
export function connectionPool(): pg.Pool {
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) throw new Error('DATABASE_URL is not set: start the application with npm run demo.');
  pool ??= new pg.Pool({ connectionString, max: 10 });
  return pool;
}

export function db(): Database {
  database ??= drizzle(connectionPool(), { schema, casing: 'snake_case' });
  return database;
}

/** Brings the database to the newest schema. */
export const migrate = (): Promise<void> => runMigrations(db(), { migrationsFolder: 'data/migrations' });

/** Closes all connections; the next use opens new ones. */
export async function closeDatabase(): Promise<void> {
  const closing = pool;
  pool = undefined;
  database = undefined;
  await closing?.end();
}

/** The name of the unique or check constraint that refused a change, or undefined for any other error. */
export function refusedBy(error: unknown): string | undefined {
  for (let at: unknown = error; at instanceof Error; at = at.cause) {
    const { code, constraint } = at as Error & { code?: string; constraint?: string };
    if (code === '23505' || code === '23514') return constraint;
  }
  return undefined;
}
