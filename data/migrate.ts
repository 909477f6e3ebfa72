/** Brings the database to the newest schema, as the account that owns its tables. */
import { getLocalTimeZone } from '@internationalized/date';
import { setTimeout as pause } from 'node:timers/promises';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import pg from 'pg';
import { accountIn, addressesIn } from './address';
import { databaseUrl, ownerUrl, writerAmong } from './pools';
import { layQueue } from './queue';

/** A number for the lock under which one process at a time changes the schema. */
const MIGRATING = 7_306_411;

/** Runs `work` on a connection of the account that owns the tables. */
async function connected<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const addresses = addressesIn(url);
  const connectionString = addresses[addresses.length > 1 ? await writerAmong(addresses) : 0];
  const client = new pg.Client({ connectionString, connectionTimeoutMillis: 30_000 });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** The same for the database of this installation. */
export const asOwner = <T>(work: (client: pg.Client) => Promise<T>): Promise<T> =>
  connected(ownerUrl(), work);

/** Brings the database to the newest schema, and lets the server's role in; safe when several processes do it at once. */
export async function migrate(): Promise<void> {
  // The lock is a transaction's, on a connection of its own: a pooler may stand between.
  await asOwner(async (guard) => {
    await guard.query('begin');
    await guard.query('select pg_advisory_xact_lock($1)', [MIGRATING]);
    await asOwner(async (client) => {
      await runMigrations(client);
      await layQueue(client);
      await letIn(client);
      await letBackupIn(client);
    });
    await guard.query('commit');
  });
}

/** A migration that waits for a table lets others go first, and tries again. */
const LOCK_MS = 2000;
const AGAIN_MS = 500;
/** Whoever reads a table for longer than this is told of: nothing was changed. */
const MOST_TRIES = 120;

/**
 * Runs the migrations that are not there yet, each in a transaction of its own: what it locks it gives back at once. One
 * that finds a table in use does not stand in the way of others while it waits.
 */
async function runMigrations(client: pg.Client): Promise<void> {
  await client.query(`
    create schema if not exists drizzle;
    create table if not exists drizzle.__drizzle_migrations (id serial primary key, hash text not null, created_at bigint)`);
  const { rows } = await client.query<{ last: string | null }>(
    'select max(created_at) as last from drizzle.__drizzle_migrations',
  );
  const last = Number(rows[0]!.last ?? -1);
  for (const { sql, hash, folderMillis } of readMigrationFiles({ migrationsFolder: 'data/migrations' })) {
    if (folderMillis <= last) continue;
    for (let tries = 1; ; tries++)
      try {
        await client.query('begin');
        await client.query(`set local lock_timeout = ${LOCK_MS}`);
        // Where the one school lay before schools knew it themselves.
        await client.query("select set_config('fern.time_zone', $1, true)", [getLocalTimeZone()]);
        for (const statement of sql) await client.query(statement);
        await client.query('insert into drizzle.__drizzle_migrations (hash, created_at) values ($1, $2)', [
          hash,
          folderMillis,
        ]);
        await client.query('commit');
        break;
      } catch (error) {
        await client.query('rollback');
        if ((error as { code?: string }).code !== '55P03' || tries >= MOST_TRIES) throw error;
        await pause(AGAIN_MS);
      }
  }
}

/** What happened, in the order in which it happened: the server's role adds to it. Beside each, what it may set later. */
const LEDGERS: Readonly<Record<string, string>> = {
  loan_event: '',
  part_count: '',
  stock_move: '',
  copy_step: '',
  wording_line: '',
  wording_check: '',
  due_move: 'undone_at',
  change: 'before, after',
};
/** Rows that go with what they are of, and of which only this is set later. */
const PARTLY: Readonly<Record<string, string>> = {
  hall_act: 'settled_at',
  security_event: 'times',
};
/** Rows that come and go and are never changed. */
const NEVER_CHANGED = ['family_look', 'carried', 'copy_care'];

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
export const letServerIn = (url: string): Promise<void> => connected(url, letIn);

/** The server's role, from DATABASE_URL, made when it is not there; it may read and write rows and do nothing else. */
async function letIn(client: pg.Client): Promise<void> {
  const { user: role, password: secret } = accountIn(databaseUrl());
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
  // Ledgers are added to and never changed; where something may be set, it is these columns and no others.
  for (const [table, columns] of Object.entries(LEDGERS))
    await client.query(
      `revoke update, delete on ${table} from ${name}${columns ? `; grant update (${columns}) on ${table} to ${name}` : ''}`,
    );
  for (const [table, columns] of Object.entries(PARTLY))
    await client.query(
      `revoke update on ${table} from ${name}; grant update (${columns}) on ${table} to ${name}`,
    );
  await client.query(`revoke update on ${NEVER_CHANGED.join(', ')} from ${name}`);
  // No tables of its own, not even for a moment.
  await client.query(`
    do $$ begin execute format('revoke temporary on database %I from public', current_database()); end $$`);
  for (const [setting, value] of Object.entries(SETTINGS))
    await client
      .query(`alter role ${name} set ${setting} = ${pg.escapeLiteral(value)}`)
      .catch((error: Error & { code?: string }) => {
        if (error.code !== '42501') throw error;
        // The owner may not: whoever made the role is told what to set.
        process.stderr.write(
          `The role ${role} should be given this by whoever made it: alter role ${name} set ${setting} = '${value}'\n`,
        );
      });
}

/**
 * The account of BACKUP_URL, where it is named: it reads everything of every school, copies the cluster, and writes
 * nothing but what became of a backup.
 */
async function letBackupIn(client: pg.Client): Promise<void> {
  const url = process.env.BACKUP_URL;
  if (!url) return;
  const { user, password } = accountIn(url);
  const name = pg.escapeIdentifier(user);
  const { rowCount } = await client.query('select from pg_roles where rolname = $1', [user]);
  if (!rowCount)
    await client
      .query(
        `create role ${name} login nosuperuser bypassrls replication password ${pg.escapeLiteral(password)}`,
      )
      .catch((error: Error & { code?: string }) => {
        if (['42710', '23505'].includes(error.code ?? '')) return;
        if (error.code !== '42501') throw error;
        process.stderr.write(
          `The role ${user} of BACKUP_URL has to be made by whoever may: create role ${name} login bypassrls replication password '…'; grant pg_read_all_data to ${name}\n`,
        );
      });
  await client.query(`grant pg_read_all_data to ${name}`).catch((error: Error & { code?: string }) => {
    if (!['42501', '42704'].includes(error.code ?? '')) throw error;
  });
  if ((await client.query('select from pg_roles where rolname = $1', [user])).rowCount)
    await client.query(`
      grant insert, update on daily_job to ${name};
      grant insert on landed to ${name}`);
}
