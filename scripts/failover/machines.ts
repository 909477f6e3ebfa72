/** A district's machines on this one: etcd, three PostgreSQL under Patroni, HAProxy, as `docs/machines/` sets them up. */
import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  createWriteStream,
  existsSync,
  mkdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { account, ensureBinaries, freePort, place } from '../lib/postgres.ts';
import { Trouble } from '../lib/say.ts';
import { installDebian } from '../lib/system.ts';
import { waiting } from '../lib/waiting.ts';

const HOST = '127.0.0.1';
const PROGRAMS = ['/usr/bin/patroni', '/usr/bin/etcd', '/usr/sbin/haproxy'];

/** A template of `docs/machines/` with what is of one machine. */
export const filled = (template: string, values: Readonly<Record<string, string | number>>): string =>
  template.replace(/\{\{(\w+)\}\}/g, (_, name: string) => {
    const value = values[name];
    if (value === undefined) throw new Error(`Nothing is known of {{${name}}}.`);
    return String(value);
  });

interface Machine {
  name: string;
  port: number;
  checkPort: number;
  folder: string;
  /** Patroni, which starts and stops PostgreSQL. */
  child?: ChildProcess;
}

export interface Member {
  name: string;
  role: 'primary' | 'standby' | 'away';
  /** What is acknowledged is on it. */
  synchronous: boolean;
}

export class Machines {
  readonly databases: Machine[] = [];
  readonly ports = { writer: 0, reader: 0, web: 0, etcd: 0, peers: 0 };
  private readonly children: ChildProcess[] = [];
  private readonly password = randomBytes(18).toString('base64url');
  private constructor(
    private readonly folder: string,
    private readonly owner: ReturnType<typeof account>,
  ) {}

  /** Starts etcd and the databases, from nothing. */
  static async start(): Promise<Machines> {
    if (!PROGRAMS.every((file) => existsSync(file)))
      installDebian(
        ['haproxy', 'patroni', 'etcd-server', 'python3-etcd', 'python3-psycopg2'],
        'What the machines are watched with',
      );
    const bin = ensureBinaries();
    const owner = account();
    const folder = place('failover', owner);
    rmSync(folder, { recursive: true, force: true });
    const made = new Machines(folder, owner);
    made.own(folder);
    for (const name of Object.keys(made.ports) as (keyof Machines['ports'])[])
      made.ports[name] = await freePort();
    const { etcd, peers } = made.ports;
    made.run('/usr/bin/etcd', [
      `--data-dir=${join(folder, 'etcd')}`,
      '--enable-v2=true',
      `--listen-client-urls=http://${HOST}:${etcd}`,
      `--advertise-client-urls=http://${HOST}:${etcd}`,
      `--listen-peer-urls=http://${HOST}:${peers}`,
      `--initial-advertise-peer-urls=http://${HOST}:${peers}`,
      `--initial-cluster=default=http://${HOST}:${peers}`,
    ]);
    await made.until('etcd', async () => (await fetch(`http://${HOST}:${etcd}/health`)).ok);
    const template = readFileSync('docs/machines/patroni.yml', 'utf8');
    for (const name of ['one', 'two', 'three']) {
      const own = join(folder, name);
      made.own(own);
      const machine: Machine = { name, folder: own, port: await freePort(), checkPort: await freePort() };
      const file = join(own, 'patroni.yml');
      writeFileSync(
        file,
        filled(template, {
          name,
          host: HOST,
          network: `${HOST}/32`,
          port: machine.port,
          checkPort: machine.checkPort,
          etcd: `${HOST}:${etcd}`,
          folder: own,
          bin,
          password: made.password,
        }),
        { mode: 0o600 },
      );
      made.hand(file);
      made.databases.push(machine);
      machine.child = made.run('/usr/bin/patroni', [file]);
      // The first one becomes the primary; the others copy it.
      if (name === 'one')
        await made.until('the first database', async () => (await made.members())[0]?.role === 'primary');
    }
    await made.untilWhole();
    return made;
  }

  private own(folder: string): void {
    mkdirSync(folder, { recursive: true });
    chmodSync(folder, 0o700);
    this.hand(folder);
  }
  private hand(path: string): void {
    if (this.owner) chownSync(path, this.owner.uid, this.owner.gid);
  }
  private run(file: string, args: string[]): ChildProcess {
    const log = createWriteStream(join(this.folder, `${file.split('/').at(-1)}-${this.children.length}.log`));
    const child = spawn(file, args, {
      ...this.owner,
      cwd: '/',
      detached: true,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    child.stdout.pipe(log, { end: false });
    child.stderr.pipe(log, { end: false });
    this.children.push(child);
    return child;
  }

  private async until(what: string, there: () => Promise<boolean>): Promise<void> {
    const awaited = waiting(what, this.children.at(-1)!);
    while (awaited.goOn()) {
      if (await there().catch(() => false)) return;
      await pause(200);
    }
    throw new Trouble(`${what} did not come: ${awaited.why()}`, `read the files in ${this.folder}.`);
  }

  /** What the machines are now, in their order, as Patroni tells it. */
  async members(): Promise<Member[]> {
    return Promise.all(
      this.databases.map(async ({ name, checkPort }): Promise<Member> => {
        try {
          const answer = await fetch(`http://${HOST}:${checkPort}/patroni`, {
            signal: AbortSignal.timeout(1500),
          });
          const told = (await answer.json()) as { state: string; role: string; sync_standby?: boolean };
          const role =
            told.state !== 'running' ? 'away' : /primary|master/.test(told.role) ? 'primary' : 'standby';
          return { name, role, synchronous: told.sync_standby === true };
        } catch {
          return { name, role: 'away', synchronous: false };
        }
      }),
    );
  }
  /** Waits until there is a primary with two standbys, one of which has all that is acknowledged. */
  async untilWhole(): Promise<void> {
    await this.until('three databases in step', async () => {
      const members = await this.members();
      return (
        members.filter(({ role }) => role === 'primary').length === 1 &&
        members.filter(({ role }) => role === 'standby').length === 2 &&
        members.some(({ synchronous }) => synchronous)
      );
    });
    // A machine that was just made is caught up with before the next thing happens to it.
    await pause(3000);
  }
  private async one(which: (member: Member) => boolean): Promise<Machine> {
    const index = (await this.members()).findIndex(which);
    if (index < 0) throw new Error('There is no such machine now.');
    return this.databases[index]!;
  }
  primary = (): Promise<Machine> => this.one(({ role }) => role === 'primary');
  standby = (): Promise<Machine> => this.one(({ role, synchronous }) => role === 'standby' && synchronous);

  /** Sends a signal to PostgreSQL on a machine: to its first process, or to all of them. */
  signal({ folder }: Machine, signal: NodeJS.Signals, all: boolean): void {
    const pid = Number(readFileSync(join(folder, 'data', 'postmaster.pid'), 'utf8').split('\n')[0]);
    const children = all
      ? execFileSync('pgrep', ['-P', String(pid)], { encoding: 'utf8' })
          .trim()
          .split('\n')
          .map(Number)
      : [];
    for (const one of [pid, ...children])
      try {
        process.kill(one, signal);
      } catch {
        // It has ended meanwhile.
      }
  }

  /** Hands the work of the primary over to the standby that has everything. */
  async switchOver(): Promise<void> {
    const [from, to] = [await this.primary(), await this.standby()];
    const answer = await fetch(`http://${HOST}:${from.checkPort}/switchover`, {
      method: 'POST',
      body: JSON.stringify({ leader: from.name, candidate: to.name }),
    });
    if (!answer.ok) throw new Error(`The switch was refused: ${await answer.text()}`);
  }

  /** Puts HAProxy before the databases and before servers on these ports. */
  async proxy(webs: readonly number[]): Promise<void> {
    const file = join(this.folder, 'haproxy.cfg');
    const { writer, reader, web } = this.ports;
    writeFileSync(
      file,
      filled(readFileSync('docs/machines/haproxy.cfg', 'utf8'), {
        host: HOST,
        scheme: 'http',
        writerPort: writer,
        readerPort: reader,
        webPort: web,
        writers: this.databases
          .map(({ name, port, checkPort }) => `server ${name} ${HOST}:${port} check port ${checkPort}`)
          .join('\n    '),
        webs: webs.map((port, i) => `server web${i} ${HOST}:${port} check`).join('\n    '),
      }),
    );
    this.hand(file);
    this.run('/usr/sbin/haproxy', ['-f', file, '-db']);
    await this.until('HAProxy', async () => {
      const client = new pg.Client({
        connectionString: this.url('postgres', 'proxy'),
        connectionTimeoutMillis: 2000,
      });
      client.on('error', () => undefined);
      try {
        await client.connect();
        return (await client.query('select 1')).rowCount === 1;
      } finally {
        await client.end().catch(() => undefined);
      }
    });
  }

  /** The address of a database as the account that owns everything: through HAProxy, or of all machines. */
  url(database: string, through: 'proxy' | 'hosts'): string {
    const hosts =
      through === 'proxy'
        ? `${HOST}:${this.ports.writer}`
        : this.databases.map(({ port }) => `${HOST}:${port}`).join(',');
    return `postgres://fern:${this.password}@${hosts}/${database}`;
  }
  readerUrl = (database: string): string =>
    `postgres://fern:${this.password}@${HOST}:${this.ports.reader}/${database}`;

  async stop(): Promise<void> {
    for (const child of this.children.toReversed()) {
      if (child.exitCode !== null) continue;
      const ended = new Promise((done) => child.on('exit', done));
      child.kill('SIGTERM');
      await Promise.race([ended, pause(8000)]);
      child.kill('SIGKILL');
    }
  }
}
