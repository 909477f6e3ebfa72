/** A field to try things on: a database of its own and two servers on it, which may be killed and come back. */
import { readdirSync, readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { closeDatabase } from '~/data/pools';
import { migrate } from '~/data/migrate';
import { useDatabase } from '~/scripts/lib/url';
import { ensureDatabase, startCluster, type Cluster } from '~/scripts/lib/postgres';
import { ensureBuild, freePortFrom, serve, type WebServer } from '~/scripts/lib/web';
import { smallSchool, type SmallSchool } from '../world';
import { Visitor } from './visitor';

export interface Row {
  /** What was tried. */
  what: string;
  /** How many times. */
  tried: number;
  /** How many of them were refused in a sentence, as they should be. */
  refused?: number;
  /** What went wrong: must be empty. */
  lost: string[];
  /** What was measured. */
  note?: string;
}

export class Field {
  readonly servers: WebServer[] = [];
  world!: SmallSchool;

  private constructor(
    private readonly name: string,
    public cluster: Cluster,
    public readonly databaseUrl: string,
  ) {}

  static async open(name: string): Promise<Field> {
    // Not a throwaway cluster: what it acknowledged must outlive a kill.
    const cluster = await startCluster(name);
    const databaseUrl = await ensureDatabase(cluster, 'fern_probe', { fresh: true });
    useDatabase(databaseUrl);
    await migrate();
    await ensureBuild();
    const field = new Field(name, cluster, databaseUrl);
    for (const first of [4710, 4760]) field.servers.push(await field.serve(first));
    await field.begin();
    return field;
  }

  private serve = async (first: number): Promise<WebServer> =>
    serve({ port: await freePortFrom(first), databaseUrl: this.databaseUrl, quiet: !process.env.PROBE_LOUD });

  /** Begins anew with a small school. */
  async begin(): Promise<SmallSchool> {
    this.world = await smallSchool();
    return this.world;
  }

  /** A visitor of one of the servers, signed in under a name of the small school. */
  async visitor(name = 'Coordinator', server = 0): Promise<Visitor> {
    const visitor = new Visitor(this.servers[server]!.address);
    await visitor.signIn(name);
    return visitor;
  }

  /** Somebody who is not signed in. */
  stranger = (): Visitor => new Visitor(this.servers[0]!.address);

  /** Kills a server, as a power cut would, and starts it again on its port. */
  async killServer(server: number): Promise<void> {
    process.kill(this.servers[server]!.pid, 'SIGKILL');
    await this.servers[server]!.ended;
  }
  async startServer(server: number): Promise<void> {
    this.servers[server] = await this.serve(Number(new URL(this.servers[server]!.address).port));
  }

  /** Kills the database with all its processes, and starts it again on its port. */
  async killDatabase(): Promise<void> {
    this.toDatabase('SIGKILL');
    await pause(300);
  }
  async startDatabase(): Promise<void> {
    this.cluster = await startCluster(this.name, { port: Number(new URL(this.databaseUrl).port) });
  }
  /** Stops the database in its tracks: it takes connections and answers nothing. */
  holdDatabase = (signal: 'SIGSTOP' | 'SIGCONT'): void => this.toDatabase(signal);

  /** Sends a signal to the database server and to the process of each connection. */
  private toDatabase(signal: NodeJS.Signals): void {
    for (const pid of [this.cluster.pid, ...childrenOf(this.cluster.pid)])
      try {
        process.kill(pid, signal);
      } catch {
        // It has ended meanwhile.
      }
  }

  /** Waits until every server says that it is ready; answers after how many milliseconds. */
  async untilReady(): Promise<number> {
    const from = Date.now();
    for (const { address } of this.servers)
      while (
        !(await fetch(`${address}/healthz`).then(
          (answer) => answer.ok,
          () => false,
        ))
      ) {
        if (Date.now() - from > 60_000) throw new Error(`${address} does not come back`);
        await pause(50);
      }
    return Date.now() - from;
  }

  async close(): Promise<void> {
    await Promise.all(this.servers.map((server) => server.stop().catch(() => undefined)));
    await closeDatabase();
    await this.cluster.stop();
  }
}

/** Processes that this one has started. */
function childrenOf(parent: number): number[] {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((name) => {
      try {
        return Number(readFileSync(`/proc/${name}/stat`, 'utf8').split(') ')[1]!.split(' ')[1]) === parent;
      } catch {
        return false;
      }
    })
    .map(Number);
}

/** Does something many times, so many at a time. */
export async function many<T>(count: number, atOnce: number, work: (i: number) => Promise<T>): Promise<T[]> {
  const results: T[] = [];
  let next = 0;
  await Promise.all(
    Array.from({ length: Math.min(atOnce, count) }, async () => {
      while (next < count) {
        const i = next++;
        results[i] = await work(i);
      }
    }),
  );
  return results;
}
