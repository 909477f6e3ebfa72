/** Schools that were kept by earlier editions: their data comes along, and every page of today shows it. */
import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import pg from 'pg';
import { afterAll, describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games/shelf';
import { databaseAt } from '~/data/address';
import { migrate } from '~/data/migrate';
import { closeDatabase, ownerUrl } from '~/data/pools';
import { useDatabase } from '~/scripts/lib/url';
import { freePortFrom, serve } from '~/scripts/lib/web';
import { hashPassword } from '~/server/people/password';
import { Visitor } from '../probe/visitor';

const FOLDER = 'tests/editions';
const EDITIONS = readdirSync(FOLDER).map((name) => name.slice(0, 4));
const LANE = process.env.VITEST_POOL_ID ?? '1';
const PASSWORD = 'a password of this edition';
/** What a school would miss. */
const KEPT = ['family', 'copy', 'loan', 'answer', 'kit', 'variant', 'person', 'stock_move'];

const owner = ownerUrl();
const names: string[] = [];
afterAll(async () => {
  await closeDatabase();
  useDatabase(owner);
  for (const name of names)
    await asked(databaseAt(owner, 'postgres'), (db) =>
      db.query(`drop database if exists ${name} with (force)`),
    );
});

async function asked<T>(url: string, ask: (db: pg.Client) => Promise<T>): Promise<T> {
  const db = new pg.Client({ connectionString: url });
  await db.connect();
  try {
    return await ask(db);
  } finally {
    await db.end();
  }
}
/** How many rows of each kind there are; a table that an edition did not have yet counts none. */
const counted = (url: string): Promise<Record<string, number>> =>
  asked(url, async (db) => {
    const found: Record<string, number> = {};
    for (const table of KEPT) {
      const there = await db.query<{ there: boolean }>(
        `select to_regclass('public.${table}') is not null as there`,
      );
      if (!there.rows[0]!.there) continue;
      const { rows } = await db.query<{ n: string }>(`select count(*) as n from public.${table}`);
      found[table] = Number(rows[0]!.n);
    }
    return found;
  });

/** A database with what an edition has left. */
async function leftBy(edition: string): Promise<string> {
  const name = `fern_edition_${edition}_${LANE}`;
  names.push(name);
  await asked(databaseAt(owner, 'postgres'), async (db) => {
    await db.query(`drop database if exists ${name} with (force)`);
    await db.query(`create database ${name}`);
  });
  const url = databaseAt(owner, name);
  execFileSync('psql', ['--quiet', '--set', 'ON_ERROR_STOP=1', '--dbname', url], {
    input: gunzipSync(readFileSync(`${FOLDER}/${edition}.sql.gz`)),
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  return url;
}

const GAME = new RegExp(`/(?:${SHELF.map(({ id }) => id).join('|')})(/|$)`);
/** An address without what tells one row from another. */
const patternOf = (path: string): string =>
  path
    .split('?')[0]!
    .replace(/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f-]{22}/g, ':id')
    .replace(/\/[\w-]{22}(?=\/|$)/g, '/:key')
    .replace(GAME, '/:game$1')
    .replace(/\/(:game|:id|family|labels|answers)\/[^/]+$/, '/$1/:part')
    .replace(/^\/word\/[^/]+\/[^/]+$/, '/word/:set/:line')
    .replace(/^\/fill\/store\/(?!count|import|add)[^/]+/, '/fill/store/:material');
/** Addresses that change something by being looked at, or that are no page of this school. */
const NOT_WALKED = /^\/(sign-out|set-up|sign-in|confirm)|#/;
const mostAlike = (path: string): number => (/\.\w+$/.test(path) ? 1 : 2);

/** Follows every link from a page on, some of each kind. Answers what did not come, and how many kinds there were. */
async function walk(visitor: Visitor, from: string): Promise<{ kinds: Set<string>; bad: string[] }> {
  const kinds = new Map<string, number>();
  const known = new Set([from]);
  const bad: string[] = [];
  const ahead = [from];
  for (let path = ahead.shift(); path !== undefined; path = ahead.shift()) {
    const kind = patternOf(path);
    if ((kinds.get(kind) ?? 0) >= mostAlike(kind)) continue;
    kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
    const { status, text, location } = await visitor.get(path);
    if (status !== 200 && !(status === 302 && location && !location.startsWith('/sign-in')))
      bad.push(`${path}: ${status}`);
    for (const [, found] of [...text.matchAll(/(?:href|src)="(\/[^"#]*)"/g), ['', location ?? '']]) {
      const next = found?.replaceAll('&amp;', '&');
      if (
        !next?.startsWith('/') ||
        known.has(next) ||
        NOT_WALKED.test(next) ||
        /^\/(assets|fonts)\//.test(next)
      )
        continue;
      known.add(next);
      ahead.push(next);
    }
  }
  return { kinds: new Set(kinds.keys()), bad };
}

describe('data of an earlier edition', () => {
  it('has a school of each of several editions', () => {
    expect(EDITIONS.length).toBeGreaterThanOrEqual(6);
  });
  it.each(EDITIONS)('that stopped at migration %s comes along, and every page shows it', async (edition) => {
    const url = await leftBy(edition);
    const before = await counted(url);
    expect(before.family).toBeGreaterThan(0);
    useDatabase(url);
    await closeDatabase();
    await migrate();
    expect(await counted(url)).toMatchObject(before);
    // Twice is once.
    await migrate();
    const people = await asked(url, async (db) => {
      await db.query('update person set password_hash = $1', [await hashPassword(PASSWORD)]);
      const { rows } = await db.query<{ name: string; key: string }>(
        `select (select name from person join membership on person_id = person.id where role = 'coordinator' and person.active
                 order by name limit 1) as name, link_key as key from copy limit 3`,
      );
      return rows;
    });
    const server = await serve({
      port: await freePortFrom(4930 + 10 * Number(LANE)),
      databaseUrl: url,
      quiet: true,
      env: { EVENING_HOUR: '24' },
    });
    try {
      const visitor = new Visitor(server.address);
      expect((await visitor.signIn(people[0]!.name, PASSWORD)).status).toBe(302);
      const { kinds, bad } = await walk(visitor, '/today');
      expect(bad).toEqual([]);
      expect(kinds.size).toBeGreaterThan(60);
      for (const { key } of people)
        for (const path of [`/p/${key}`, `/p/${key}/answer`, `/p/${key}/next`])
          expect([path, (await new Visitor(server.address).get(path)).status]).not.toContain(500);
    } finally {
      await server.stop();
      await closeDatabase();
    }
  });
});
