/** What pages bring into a browser, and when they answer to a hand: on a phone, over a slow line. */
import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { chromium, type Browser } from 'playwright-core';
import { closeDatabase } from '~/data/pools.ts';
import { migrate } from '~/data/migrate.ts';
import { loadDemoWhenEmpty } from '~/data/demo/load.ts';
import { hashPassword } from '~/server/people/password.ts';
import { hashOf } from '~/server/people/session.ts';
import { chromiumPath, CHROMIUM_FLAGS, ensureBrowser } from '../lib/browser.ts';
import { ensureDatabase, startCluster } from '../lib/postgres.ts';
import { useDatabase } from '../lib/url.ts';
import { ensureBuild, freePortFrom, serve } from '../lib/web.ts';
import { miss } from './rows.ts';

/** A phone of some years ago, in a house at the edge of the town. */
const SLOWER = 4;
const LINE = {
  latency: 150,
  downloadThroughput: (1.6e6 / 8) * 1,
  uploadThroughput: 750_000 / 8,
  offline: false,
};
const WANTED = { family: 90, staff: 160, seconds: 2.5 };

interface Opened {
  /** Scripts as they come over the line, in kB. */
  scriptsKb: number;
  /** Until the page answers to its scripts; for one without, until it is there. */
  seconds: number;
}

async function open(
  browser: Browser,
  address: string,
  path: string,
  cookie: string | undefined,
): Promise<Opened> {
  const context = await browser.newContext({ viewport: { width: 390, height: 800 } });
  if (cookie) {
    const [name, value] = cookie.split('=') as [string, string];
    await context.addCookies([{ name, value, url: address }]);
  }
  const page = await context.newPage();
  const client = await context.newCDPSession(page);
  await client.send('Network.enable');
  await client.send('Network.emulateNetworkConditions', LINE);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const scripts = new Set<string>();
  let bytes = 0;
  client.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  const from = performance.now();
  const answer = await page.goto(address + path, { waitUntil: 'domcontentloaded', timeout: 120_000 });
  if (answer?.status() !== 200) throw new Error(`${path} answered ${answer?.status()}`);
  const lives = await page.evaluate(
    () => document.querySelector('script[type=module], script[async]') !== null,
  );
  if (lives)
    await page.waitForFunction(() => document.documentElement.dataset.ready === 'yes', undefined, {
      timeout: 120_000,
    });
  const seconds = (performance.now() - from) / 1000;
  await page.waitForLoadState('networkidle', { timeout: 120_000 });
  await context.close();
  return { scriptsKb: bytes / 1000, seconds };
}

/** Opens each kind of page in a browser that has nothing of it yet, and says what is not as it is wanted. */
export async function measureBrowser(): Promise<void> {
  ensureBrowser();
  await ensureBuild();
  const cluster = await startCluster('speed', { throwaway: true });
  const owner = await ensureDatabase(cluster, 'fern_small');
  useDatabase(owner);
  await migrate();
  await loadDemoWhenEmpty(hashPassword);
  const client = new pg.Client({ connectionString: owner });
  await client.connect();
  const { rows } = await client.query<{ key: string }>(
    `select c.link_key as key from copy c join loan l on l.copy_id = c.id where l.closed_as is null order by c.tag limit 1`,
  );
  const link = rows[0]!.key;
  // A reader of the demo's first school.
  const key = randomBytes(24).toString('base64url');
  await client.query(
    `insert into reader_link (school_id, key_hash, reader, language, game_id, again, person_id, expires_at)
     select m.school_id, $1, 'A neighbor', 'es', 'two-tone-spill', true, p.id, now() + interval '1 day'
     from person p join membership m on m.person_id = p.id where p.name = 'Maren' limit 1`,
    [hashOf(key)],
  );
  await client.end();
  await closeDatabase();
  const web = await serve({ port: await freePortFrom(4850), databaseUrl: owner, quiet: true });
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_FLAGS });
  try {
    const signedIn = await fetch(`${web.address}/sign-in`, {
      method: 'POST',
      redirect: 'manual',
      headers: { Origin: web.address },
      body: new URLSearchParams({ name: 'Maren', password: 'fern-and-twine' }),
    });
    const cookie = signedIn.headers.getSetCookie()[0]?.split(';')[0];
    const pages: [string, 'family' | 'staff'][] = [
      ['/sign-in', 'family'],
      [`/p/${link}`, 'family'],
      [`/p/${link}/answer`, 'family'],
      [`/read/${key}`, 'family'],
      ...[
        '/today',
        '/lend',
        '/lend/hall',
        '/take-back',
        '/lend/families',
        '/fill',
        '/fill/new',
        '/choose',
        '/choose/two-tone-spill',
        '/word',
        '/print',
        '/listen',
        '/look-back',
        '/people',
      ].map((path) => [path, 'staff'] as [string, 'staff']),
    ];
    console.log(`\nEach page for the first time: a processor ${SLOWER} times slower, 1.6 Mbit/s, 150 ms\n`);
    for (const [path, kind] of pages) {
      const { scriptsKb, seconds } = await open(
        browser,
        web.address,
        path,
        path === '/sign-in' ? undefined : cookie,
      );
      const bad = scriptsKb > WANTED[kind] || seconds > WANTED.seconds;
      if (bad) miss();
      console.log(
        `${path.replace(/^\/(p|read)\/[\w-]{22,}/, '/$1/…').padEnd(40)} ${scriptsKb.toFixed(0).padStart(6)} kB of scripts ${seconds.toFixed(1).padStart(6)} s   wanted ${WANTED[kind]} kB, ${WANTED.seconds} s${bad ? '  MISSED' : ''}`,
      );
    }
  } finally {
    await browser.close();
    await web.stop();
    await cluster.stop();
  }
}
