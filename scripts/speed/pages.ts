/** How long a built server takes for every page, with the demo schools and with a large district. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import pg from 'pg';
import { closeDatabase } from '~/data/pools.ts';
import { migrate } from '~/data/migrate.ts';
import { BIG, fillBig, largeDistrict } from '~/data/demo/big.ts';
import { loadDemoWhenEmpty } from '~/data/demo/load.ts';
import { hashPassword } from '~/server/people/password.ts';
import { ensureDatabase, startCluster, type Cluster } from '../lib/postgres.ts';
import { useDatabase } from '../lib/url.ts';
import { ensureBuild, freePortFrom, serve, type WebServer } from '../lib/web.ts';
import { miss, quantile } from './rows.ts';

const ASKS = 20;
const WANTED_MS = 200;
const WANTED_FAMILY_MS = 150;
const MOST_KB = 300;
const WANTED_A_SECOND = 20;

const TICK_MS = 1000 / Number(execFileSync('getconf', ['CLK_TCK'], { encoding: 'utf8' }));
/** Processor time that the server has used, with its threads. */
function processorMs({ pid }: WebServer): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
  return (Number(fields[11]) + Number(fields[12])) * TICK_MS;
}
const residentMb = ({ pid }: WebServer): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

interface Asked {
  ms: number;
  kB: number;
  /** How often the database was asked for it. */
  queries: number;
  status: number;
}
async function ask(address: string, path: string, cookie: string): Promise<Asked> {
  const from = performance.now();
  const answer = await fetch(address + path, { headers: { Cookie: cookie }, redirect: 'manual' });
  const { byteLength } = await answer.arrayBuffer();
  return {
    ms: performance.now() - from,
    kB: byteLength / 1000,
    status: answer.status,
    queries: Number(answer.headers.get('X-Queries') ?? 0),
  };
}

/** Every page of a school, by its address. */
async function pagesOf(owner: string): Promise<{ staff: string[]; family: string }> {
  const client = new pg.Client({ connectionString: owner });
  await client.connect();
  try {
    const one = async (text: string): Promise<string> =>
      Object.values((await client.query<Record<string, string>>(text)).rows[0] ?? {})[0] ?? '';
    const ours = `school_id = (select m.school_id from membership m join person p on p.id = m.person_id where p.name = 'Maren')`;
    const kit = await one(
      `select kit_id from copy where ${ours} group by kit_id order by count(*) desc limit 1`,
    );
    const own = await one(`select id from own_game where ${ours} limit 1`);
    const family = await one(
      `select family_id from loan where ${ours} group by family_id order by count(*) desc limit 1`,
    );
    const copy = await one(
      `select copy_id from loan where ${ours} group by copy_id order by count(*) desc limit 1`,
    );
    const tag = await one(`select tag from copy where ${ours} and length(tag) = 5 limit 1`);
    const evening = await one(`select id from evening where ${ours} limit 1`);
    const loan = await one(`select id from loan where ${ours} and closed_as is null limit 1`);
    const printed = await one(`select id from copy where ${ours} and printed_at is not null limit 1`);
    const link = await one(
      `select link_key from copy where ${ours} and length(link_key) = 22 and id in (select copy_id from loan where ${ours}) limit 1`,
    );
    return {
      staff: [
        '/choose',
        '/choose/two-tone-spill',
        '/choose/five-to-mark',
        '/choose/compare',
        '/choose/deck',
        '/choose/own/new',
        `/choose/own/${own}`,
        '/fill',
        '/fill/new',
        `/fill/${kit}`,
        '/word',
        '/word/two-tone-spill?language=es',
        '/print',
        `/print?copy=${printed}`,
        '/print/prices',
        '/lend',
        `/lend?copy=${tag}&family=${family}`,
        '/today',
        '/lend/hall',
        '/lend/rounds',
        '/lend/waiting',
        '/lend/messages',
        '/lend/rules',
        '/lend/tables',
        '/lend/evenings',
        ...(evening ? [`/lend/evenings/${evening}`] : []),
        '/lend/rehearse',
        '/lend/rehearse/two-tone-spill',
        '/lend/families',
        '/lend/families?q=tid',
        '/lend/families/new',
        `/lend/families/${family}`,
        '/take-back',
        '/take-back/tasks',
        '/fill/store',
        '/fill/runs',
        '/fill/runs/new',
        `/take-back/${loan}`,
        '/listen',
        '/listen/games',
        '/listen/calls',
        '/listen/slips',
        '/listen/texts',
        `/listen/families/${family}`,
        '/look-back',
        '/look-back/wear',
        '/look-back/copies',
        '/look-back/play',
        `/copies/${copy}`,
        '/people',
        '/me',
        '/school',
        '/schools',
        '/district',
        '/district/shared',
        '/district/move',
        '/scan?q=fam',
        '/scan?q=spl',
      ],
      family: `/p/${link}`,
    };
  } finally {
    await client.end();
  }
}

async function signedIn(address: string): Promise<string> {
  const answer = await fetch(`${address}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    headers: { Origin: address },
    body: new URLSearchParams({ name: 'Runa', password: 'tide-and-timber' }),
  });
  return answer.headers.getSetCookie()[0]?.split(';')[0] ?? '';
}

/** Opens the school of Maren for Runa, who sees the district as well. */
async function openLargest(owner: string): Promise<void> {
  const client = new pg.Client({ connectionString: owner });
  await client.connect();
  await client.query(`
    update membership set opened_at = now() where person_id = (select id from person where name = 'Runa')
      and school_id = (select m.school_id from membership m join person p on p.id = m.person_id where p.name = 'Maren')`);
  await client.end();
}

interface Measured {
  ms: number;
  p95: number;
  cpu: number;
  kB: number;
  /** How often the database was asked for it. */
  queries: number;
}

async function measure(cluster: Cluster, database: string): Promise<Map<string, Measured>> {
  const owner = cluster.url(database);
  await openLargest(owner);
  const web = await serve({
    port: await freePortFrom(4850),
    databaseUrl: owner,
    quiet: true,
    env: { FAMILY_VISITS_PER_ADDRESS: '100000', TELL_QUERIES: '1' },
  });
  const found = new Map<string, Measured>();
  try {
    await ask(web.address, '/sign-in', '');
    found.set('memory of a cold server', { ms: residentMb(web), p95: 0, cpu: 0, kB: 0, queries: 0 });
    const cookie = await signedIn(web.address);
    const { staff, family } = await pagesOf(owner);
    for (const path of [...staff, family]) {
      const name = path
        .replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, '…')
        .replace(/^\/p\/.*/, '/p/…')
        .replace(/copy=[0-9A-Z]{5}/, 'copy=…');
      // The first is asked twice over: it warms up what others have asked for in a day.
      for (let i = 0; i < 2; i++) await ask(web.address, path, cookie);
      const before = processorMs(web);
      const asked: Asked[] = [];
      for (let i = 0; i < ASKS; i++) asked.push(await ask(web.address, path, cookie));
      const bad = asked.find(({ status }) => status !== 200);
      if (bad) throw new Error(`${name} answered ${bad.status}`);
      const times = asked.map(({ ms }) => ms);
      found.set(name, {
        ms: quantile(times, 0.5),
        p95: quantile(times, 0.95),
        cpu: (processorMs(web) - before) / ASKS,
        kB: asked[0]!.kB,
        queries: asked.at(-1)!.queries,
      });
    }
    // Four desks at once, each asking for the next page as soon as it has one.
    const until = performance.now() + 5000;
    const desk = ['/lend', '/take-back', '/lend/families', '/scan?q=fam'];
    let pages = 0;
    await Promise.all(
      desk.map(async (_, i) => {
        for (let n = i; performance.now() < until; n++, pages++)
          await ask(web.address, desk[n % desk.length]!, cookie);
      }),
    );
    found.set('four desks at once: pages a second', { ms: pages / 5, p95: 0, cpu: 0, kB: 0, queries: 0 });
    // A family opens its page while the staff asks for everything there is.
    let goOn = true;
    const busy = Promise.all(
      [0, 1].map(async (from) => {
        for (let n = from; goOn; n++) await ask(web.address, staff[n % staff.length]!, cookie);
      }),
    );
    const visits: number[] = [];
    for (let i = 0; i < 60; i++) visits.push((await ask(web.address, family, '')).ms);
    goOn = false;
    await busy;
    found.set('family page while anything is asked', {
      ms: quantile(visits, 0.5),
      p95: quantile(visits, 0.95),
      cpu: 0,
      kB: 0,
      queries: 0,
    });
    return found;
  } finally {
    await web.stop();
  }
}

/** Measures every page at both sizes, and says what is not as it is wanted. */
export async function measurePages(schools = BIG.schools, times = 1): Promise<void> {
  const sizes = largeDistrict(schools, times);
  const name = `fern_big_${schools}${times === 1 ? '' : `_${times}`}`;
  await ensureBuild();
  const cluster = await startCluster('speed', { throwaway: true });
  try {
    for (const [database, big] of [
      ['fern_small', false],
      [name, true],
    ] as const) {
      useDatabase(await ensureDatabase(cluster, database));
      await migrate();
      await loadDemoWhenEmpty(hashPassword);
      await closeDatabase();
      if (!big) continue;
      const client = new pg.Client({ connectionString: cluster.url(database) });
      client.on('error', () => undefined);
      await client.connect();
      // One that was broken off while it was filled is filled now.
      const { rows } = await client.query<{ full: boolean }>(`select count(*) >= $1 as full from family`, [
        sizes.families,
      ]);
      if (!rows[0]!.full) await fillBig(client, sizes);
      await client.end();
    }
    const [small, large] = [await measure(cluster, 'fern_small'), await measure(cluster, name)];
    say(small, large);
  } finally {
    await cluster.stop();
  }
}

function say(small: Map<string, Measured>, large: Map<string, Measured>): void {
  console.log(
    `\nEvery page, ${ASKS} times: the middle and the slowest of 95 in 100 in ms, processor time of the server in ms, HTML in kB, queries\n`,
  );
  console.log(`${''.padEnd(42)} ${'demo'.padStart(33)} ${'large district'.padStart(35)}`);
  const cell = ({ ms, p95, cpu, kB, queries }: Measured): string =>
    [ms.toFixed(0), p95.toFixed(0), cpu.toFixed(0), kB.toFixed(0), String(queries)]
      .map((text) => text.padStart(6))
      .join(' ');
  for (const [name, a] of small) {
    const b = large.get(name);
    if (!b || b.kB === 0) continue;
    const wanted = name === '/p/…' ? WANTED_FAMILY_MS : WANTED_MS;
    const bad = b.p95 > wanted || b.kB > MOST_KB;
    if (bad) miss();
    console.log(`${name.padEnd(42)} ${cell(a)} ${cell(b)}${bad ? '  MISSED' : ''}`);
  }
  for (const [name, wanted, more] of [
    ['four desks at once: pages a second', WANTED_A_SECOND, true],
    ['family page while anything is asked', WANTED_FAMILY_MS, false],
    ['memory of a cold server', 200, false],
  ] as const) {
    const [a, b] = [small.get(name)!, large.get(name)!];
    const value = (one: Measured): number => one.p95 || one.ms;
    const bad = more ? value(b) < wanted : value(b) > wanted;
    if (bad) miss();
    console.log(
      `${name.padEnd(42)} ${value(a).toFixed(0).padStart(20)} ${value(b).toFixed(0).padStart(28)}   wanted ${more ? 'at least' : 'at most'} ${wanted}${bad ? '  MISSED' : ''}`,
    );
  }
}
