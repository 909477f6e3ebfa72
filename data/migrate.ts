/** Brings the database to the newest schema, as the account that owns its tables. */
import { getLocalTimeZone } from '@internationalized/date';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate as runMigrations } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { databaseUrl, ownerUrl } from './db';
import { layQueue } from './queue';

/** A number for the lock under which one process at a time changes the schema. */
const MIGRATING = 7_306_411;

/** Runs `work` on a connection of the account that owns the tables. */
async function asOwner<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 30_000 });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** Brings the database to the newest schema, and lets the server's role in; safe when several processes do it at once. */
export async function migrate(): Promise<void> {
  await asOwner(ownerUrl(), async (client) => {
    await client.query('select pg_advisory_lock($1)', [MIGRATING]);
    // Where the one school lay before schools knew it themselves.
    await client.query("select set_config('fern.time_zone', $1, false)", [getLocalTimeZone()]);
    await runMigrations(drizzle(client), { migrationsFolder: 'data/migrations' });
    await layQueue(client);
    await letIn(client);
  });
}

/**
 * What the database keeps to for the server's role, whoever hands it the connection. Plans of a page are not compiled:
 * that takes longer than what it saves.
 */
const SETTINGS: Readonly<Record<string, string>> = {
  statement_timeout: '5s',
  lock_timeout: '4s',
  idle_in_transaction_session_timeout: '10s',
  jit: 'off',
};

/** Lets the server's role read and write the tables of a restored database. */
export const letServerIn = (url: string): Promise<void> => asOwner(url, letIn);

/** The server's role, from DATABASE_URL, made when it is not there; it may read and write rows and do nothing else. */
async function letIn(client: pg.Client): Promise<void> {
  const { username, password } = new URL(databaseUrl());
  const [role, secret] = [decodeURIComponent(username), decodeURIComponent(password)];
  const { rows } = await client.query<{ owner: string; known: boolean }>(
    'select current_user as owner, exists (select from pg_roles where rolname = $1) as known',
    [role],
  );
  if (rows[0]!.owner === role) return;
  const name = pg.escapeIdentifier(role);
  if (!rows[0]!.known)
    await client
      .query(`create role ${name} login nosuperuser nobypassrls password ${pg.escapeLiteral(secret)}`)
      .catch((error: Error & { code?: string }) => {
        // Another process may have made it in the same moment.
        if (!['42710', '23505'].includes(error.code ?? '')) throw error;
      });
  await client.query(`
    grant usage on schema public, pgboss, drizzle to ${name};
    grant select on all tables in schema drizzle to ${name};
    grant select, insert, update, delete on all tables in schema public, pgboss to ${name};
    grant usage on all sequences in schema public to ${name};
    grant execute on all functions in schema public to ${name}`);
  for (const [setting, value] of Object.entries(SETTINGS))
    await client
      .query(`alter role ${name} set ${setting} = ${pg.escapeLiteral(value)}`)
      .catch((error: Error & { code?: string }) => {
        if (error.code !== '42501') throw error;
        // The owner may not: whoever made the role is told what to set.
        console.warn(
          `The role ${role} should be given this by whoever made it: alter role ${name} set ${setting} = '${value}'`,
        );
      });
}
