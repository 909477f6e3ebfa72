/** PostgreSQL's own tools and age, which seals what they write: started as programs of their own, one handing on to the other. */
import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { open, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable, Writable } from 'node:stream';
import { accountIn, addressesIn } from '~/data/address';

/** A failure a person can act on. */
export class BackupTrouble extends Error {}

const SERVER_FOLDER = '/usr/lib/postgresql';

export type Tool = 'pg_dump' | 'pg_restore' | 'pg_basebackup' | 'postgres' | 'age' | 'age-keygen' | 'tar';
const PACKAGE: Readonly<Record<Tool, string>> = {
  pg_dump: 'postgresql-client',
  pg_restore: 'postgresql-client',
  pg_basebackup: 'postgresql-client',
  postgres: 'postgresql',
  age: 'age',
  'age-keygen': 'age',
  tar: 'tar',
};

/** Where a tool is: where Debian puts those of PostgreSQL, the newest first, else from the path. */
export function pathOf(tool: Tool): string {
  if (!existsSync(SERVER_FOLDER)) return tool;
  return (
    readdirSync(SERVER_FOLDER)
      .sort((a, b) => Number(b) - Number(a))
      .map((version) => join(SERVER_FOLDER, version, 'bin', tool))
      .find((file) => existsSync(file)) ?? tool
  );
}

/** The parts of an address as the tools read them from their environment: a password is no argument others could see. */
export function environment(url: string): NodeJS.ProcessEnv {
  const each = addressesIn(url).map((one) => new URL(one));
  const { pathname, searchParams } = each[0]!;
  const { user, password } = accountIn(url);
  return {
    ...process.env,
    PGHOST: searchParams.get('host') ?? each.map(({ hostname }) => decodeURIComponent(hostname)).join(','),
    PGPORT: each.map(({ port }) => port || '5432').join(','),
    PGUSER: user,
    PGPASSWORD: password,
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    PGSSLMODE: searchParams.get('sslmode') ?? undefined,
    PGCONNECT_TIMEOUT: '20',
  };
}

export interface Running {
  stdin: Writable;
  stdout: Readable;
  /** What it printed, as far as that is kept, once it ended well. Rejects with BackupTrouble. */
  ended: Promise<string>;
  child: ChildProcess;
}

/** The line that says why, of what a tool said. */
function reasonIn(said: string): string | undefined {
  const lines = said.trim().split('\n');
  return (
    lines.findLast((line) => /error|fatal/i.test(line) && !/report unexpected/.test(line)) ?? lines.at(-1)
  );
}

/** Starts a tool. With `hands`, what it prints is somebody else's to read, and not kept. */
export function start(
  tool: Tool,
  args: readonly string[],
  {
    url,
    hands = false,
    ...account
  }: { url?: string | undefined; hands?: boolean; uid?: number; gid?: number } = {},
): Running {
  const child = spawn(pathOf(tool), args, {
    ...account,
    env: url ? environment(url) : process.env,
    cwd: '/',
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  let out = '';
  let said = '';
  // What a full reading prints is only counted on to end well; of a list the lines are kept.
  if (!hands)
    child.stdout.on('data', (data: Buffer) => (out = out.length < 2_000_000 ? out + data.toString() : out));
  child.stderr.on('data', (data: Buffer) => (said = (said + data.toString()).slice(-2000)));
  // One that ended early takes no more: why it ended is told below.
  child.stdin.on('error', () => undefined);
  const ended = new Promise<string>((done, fail) => {
    child.on('error', (error: NodeJS.ErrnoException) =>
      fail(
        new BackupTrouble(
          error.code === 'ENOENT'
            ? `${tool} is not on this machine. Install it: apt-get install ${PACKAGE[tool]}`
            : `${tool} could not be started: ${error.message}`,
        ),
      ),
    );
    child.on('close', (code) =>
      code === 0 ? done(out) : fail(new BackupTrouble(`${tool} failed: ${reasonIn(said) ?? `code ${code}`}`)),
    );
  });
  ended.catch(() => undefined);
  return { stdin: child.stdin, stdout: child.stdout, ended, child };
}

/** Runs a tool to its end; answers what it printed. */
export function run(tool: Tool, args: readonly string[], url?: string): Promise<string> {
  const { ended, stdin } = start(tool, args, { url });
  stdin.end();
  return ended;
}

/** Whose key a backup is sealed with: what `age-keygen` calls the public key. Throws BackupTrouble for anything else. */
export function recipientOf(key: string): string {
  if (!/^age1[a-z0-9]{58}$/.test(key))
    throw new BackupTrouble(
      'That is no public key: it begins with age1, and npm run backup -- --new-key makes one.',
    );
  return key;
}

/** Whether a file was sealed. */
export async function isSealed(file: string): Promise<boolean> {
  const handle = await open(file);
  try {
    const { buffer } = await handle.read(Buffer.alloc(21), 0, 21, 0);
    return buffer.toString('latin1') === 'age-encryption.org/v1';
  } finally {
    await handle.close();
  }
}

/** Opens what was sealed; a file that was not is handed on as it is. */
export async function opened(file: string, keyFile: string | undefined): Promise<Running | undefined> {
  if (!(await isSealed(file))) return undefined;
  if (keyFile === undefined)
    throw new BackupTrouble(
      `${file} is sealed. Name the file that holds its key, which is not kept on this machine: --key /media/key.txt`,
    );
  const key = await readFile(keyFile, 'utf8').catch(() => '');
  if (!key.includes('AGE-SECRET-KEY-'))
    throw new BackupTrouble(
      `${keyFile} holds no key. The file of a key has a line that begins with AGE-SECRET-KEY-.`,
    );
  return start('age', ['--decrypt', '--identity', keyFile, file], { hands: true });
}
