/**
 * `npm run failover [-- proxy|hosts]`: what `docs/operating.md` says of several machines, rehearsed on this one. Two servers on three
 * databases are put to work, machines fail one after the other, and it is told what that cost.
 */
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { migrate } from '~/data/migrate.ts';
import { closeDatabase } from '~/data/pools.ts';
import { smallSchool } from '~/tests/world.ts';
import { Load, type Seen } from './failover/load.ts';
import { Machines } from './failover/machines.ts';
import { step } from './lib/say.ts';
import { serverUrl, useDatabase } from './lib/url.ts';
import { ensureBuild, freePortFrom, serve, type WebServer } from './lib/web.ts';

const DATABASE = 'fern_basket';
/** Only the servers that come through HAProxy, or only those that know all hosts. */
const only = process.argv[2];
/** So long a case is looked at. */
const CASE_MS = 25_000;
/** The next write is taken within this. */
const MOST_PAUSE_MS = 15_000;

// What was started goes when this is broken off.
let broken = false;
process.on('SIGINT', () => void (broken = true));
const machines = await step('three databases, each on a machine of its own', () => Machines.start());
const web: { servers: WebServer[]; ports: number[] } = { servers: [], ports: [] };
let bad = 0;

/** Two servers that come to the databases through HAProxy, or know the machines themselves. */
async function serveTwo(through: 'proxy' | 'hosts', ports: readonly number[]): Promise<WebServer[]> {
  const { web: port } = machines.ports;
  return Promise.all(
    ports.map((own) =>
      serve({
        port: own,
        databaseUrl: machines.url(DATABASE, through),
        quiet: true,
        env: {
          DATABASE_READ_URL: serverUrl(machines.readerUrl(DATABASE)),
          PUBLIC_URL: `http://127.0.0.1:${port}`,
          TRUST_PROXY: '1',
          FAMILY_VISITS_PER_ADDRESS: '1000000',
          EVENING_HOUR: '24',
        },
      }),
    ),
  );
}

const seconds = (ms: number): string => (ms / 1000).toFixed(1);
function tell(
  what: string,
  { written, longestPauseMs, read, older, longestUnreadMs, told }: Seen,
  lost: string[],
  doubled: string[],
  most = MOST_PAUSE_MS,
): void {
  const late = longestPauseMs > most ? ['the next write took too long'] : [];
  const strange = [...told].filter(([kind]) => /an answer|family: \d/.test(kind)).map(([kind]) => kind);
  console.log(
    `${what.padEnd(46)} ${String(lost.length).padStart(4)} ${String(doubled.length).padStart(7)} ${seconds(longestPauseMs).padStart(7)} ${String(written).padStart(7)} ${String(read).padStart(6)} ${seconds(longestUnreadMs).padStart(7)} ${String(older).padStart(6)}  ${[...told].map(([kind, times]) => `${times} × ${kind}`).join(', ')}`,
  );
  const faults = [
    ...lost.map((one) => `lost: ${one}`),
    ...doubled.map((one) => `twice: ${one}`),
    ...late,
    ...strange,
  ];
  for (const fault of faults.slice(0, 8)) console.log(`    ✗ ${fault}`);
  bad += faults.length;
}

try {
  await step('the tables of a school', async () => {
    const owner = new pg.Client({
      connectionString: machines.url('postgres', 'hosts').replace(/@([^,/]*),[^/]*/, '@$1'),
    });
    await owner.connect();
    await owner.query(`create database ${DATABASE}`);
    await owner.end();
    // This process itself comes to whoever takes what is written.
    useDatabase(machines.url(DATABASE, 'hosts'));
    await migrate();
    await ensureBuild();
    web.ports = [await freePortFrom(4750), await freePortFrom(4780)];
  });
  await step('HAProxy before them', () => machines.proxy(web.ports));
  useDatabase(machines.url(DATABASE, 'proxy'));
  console.log('');
  console.log(
    `${'What failed'.padEnd(46)} lost doubled pause s written   read unread s  older  what people were told`,
  );
  for (const through of (['proxy', 'hosts'] as const).filter((one) => !only || one === only)) {
    web.servers = await serveTwo(through, web.ports);
    const world = await smallSchool();
    const load = new Load(world, `http://127.0.0.1:${machines.ports.web}`);
    await load.begin();
    const names = through === 'proxy' ? '' : ' (servers that know all hosts)';

    const tried = async (
      what: string,
      fail: () => Promise<void>,
      mend: () => Promise<void> = async () => undefined,
      most?: number,
    ): Promise<void> => {
      if (broken) return;
      load.since();
      await fail();
      await pause(CASE_MS);
      const seen = load.since();
      await mend();
      await machines.untilWhole();
      const { lost, doubled } = await load.rest(() => load.missing(machines.url(DATABASE, 'proxy')));
      tell(what + names, seen, lost, doubled, most);
    };

    await tried('nothing', async () => undefined, undefined, 2000);
    await tried('the process of the primary, killed', async () =>
      machines.signal(await machines.primary(), 'SIGKILL', false),
    );
    if (through === 'proxy')
      await tried(
        'a server, killed',
        async () => {
          process.kill(web.servers[0]!.pid, 'SIGKILL');
          await web.servers[0]!.ended;
        },
        async () => {
          web.servers[0] = (await serveTwo(through, [web.ports[0]!]))[0]!;
        },
      );
    const stopped = await machines.primary();
    await tried(
      'the primary, stopped in its tracks',
      async () => machines.signal(stopped, 'SIGSTOP', true),
      async () => machines.signal(stopped, 'SIGCONT', true),
    );
    const cut = await machines.standby();
    await tried(
      'the standby, cut off',
      async () => machines.signal(cut, 'SIGSTOP', true),
      async () => machines.signal(cut, 'SIGCONT', true),
    );
    await tried('a planned switch', () => machines.switchOver(), undefined, 5000);
    await load.stop();
    await Promise.all(web.servers.map((server) => server.stop()));
  }
} finally {
  await Promise.all(web.servers.map((server) => server.stop().catch(() => undefined)));
  await closeDatabase();
  await machines.stop();
}
console.log(bad ? `\n${bad} things went wrong.` : '\nNothing was lost, and nothing was done twice.');
process.exit(bad ? 1 : 0);
