/** A pooler between the servers and the database: pgbouncer in transaction mode, on loopback. */
import { spawn } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { accountIn } from '../../data/address.ts';
import { account, freePort } from './postgres.ts';
import { Trouble } from './say.ts';
import { installDebian } from './system.ts';
import { waiting } from './waiting.ts';

const PROGRAM = '/usr/sbin/pgbouncer';

export interface Pooler {
  /** The same database through the pooler. */
  through(url: string): string;
  stop(): Promise<void>;
}

/** Starts a pooler that hands out `connections` connections for each account and database, one transaction at a time. */
export async function startPooler(urls: readonly string[], connections: number): Promise<Pooler> {
  if (!existsSync(PROGRAM)) installDebian(['pgbouncer'], 'The pooler');
  const owner = account();
  const folder = mkdtempSync(join(tmpdir(), 'fern-pooler-'));
  const port = await freePort();
  const { hostname, port: behind } = new URL(urls[0]!);
  const users = urls.map((url) => accountIn(url)).map(({ user, password }) => `"${user}" "${password}"\n`);
  const files = { users: join(folder, 'users.txt'), settings: join(folder, 'pgbouncer.ini') };
  writeFileSync(files.users, users.join(''), { mode: 0o600 });
  writeFileSync(
    files.settings,
    `[databases]
* = host=${hostname} port=${behind}
[pgbouncer]
listen_addr = 127.0.0.1
listen_port = ${port}
unix_socket_dir =
auth_type = scram-sha-256
auth_file = ${files.users}
pool_mode = transaction
default_pool_size = ${connections}
max_client_conn = 200
`,
    { mode: 0o600 },
  );
  if (owner) for (const path of [folder, ...Object.values(files)]) chownSync(path, owner.uid, owner.gid);
  const child = spawn(PROGRAM, [files.settings], { ...owner, cwd: '/', stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  child.stderr.on('data', (data: Buffer) => (said = (said + data.toString()).slice(-2000)));
  const through = (url: string): string => {
    const other = new URL(url);
    other.port = String(port);
    return other.href;
  };
  const stop = async (): Promise<void> => {
    const ended = new Promise((done) => child.on('exit', done));
    if (child.exitCode === null) {
      child.kill('SIGKILL');
      await ended;
    }
    rmSync(folder, { recursive: true, force: true });
  };
  const awaited = waiting('the pooler', child);
  while (child.exitCode === null && awaited.goOn()) {
    const client = new pg.Client({ connectionString: through(urls[0]!), connectionTimeoutMillis: 2000 });
    client.on('error', () => undefined);
    const answers = await client.connect().then(
      () => client.query('select 1').then(() => true),
      () => false,
    );
    await client.end().catch(() => undefined);
    if (answers) return { through, stop };
    await pause(100);
  }
  await stop();
  throw new Trouble(
    `The pooler did not start: ${said.trim().split('\n').at(-1) ?? ''}`,
    'read the line above.',
  );
}
