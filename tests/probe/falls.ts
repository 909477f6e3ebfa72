/** Servers and databases that end in the middle of work, and come back. */
import { everything } from '../owner';
import { setTimeout as pause } from 'node:timers/promises';
import { sql } from 'drizzle-orm';
import pg from 'pg';

import type { Field, Row } from './field';
import type { Visitor } from './visitor';

const LONGEST_MS = 10_000;

/** Families are added without a pause until `stop`; what was acknowledged is noted. */
function adding(visitors: readonly Visitor[]) {
  const said: string[] = [];
  const slow: number[] = [];
  const strange: number[] = [];
  let tried = 0;
  let going = true;
  const hands = visitors.flatMap((visitor, v) =>
    Array.from({ length: 4 }, async (_, hand) => {
      for (let i = 0; going; i++) {
        const name = `Family ${v}-${hand}-${i}-${Math.random().toString(36).slice(2, 8)}`;
        const from = Date.now();
        tried++;
        try {
          const answer = await visitor.post('/lend/families/new', {
            name,
            language: 'en',
            reach: '',
            allergens: '',
          });
          if (answer.status === 302 && answer.location?.includes('added=')) said.push(name);
          else if (answer.status !== 503) strange.push(answer.status);
        } catch {
          // Nobody answered: nothing was acknowledged.
          await pause(20);
        }
        if (Date.now() - from > LONGEST_MS + 500) slow.push(Date.now() - from);
      }
    }),
  );
  return {
    said,
    async stop(): Promise<{ tried: number; lost: string[] }> {
      going = false;
      await Promise.all(hands);
      const { rows } = await everything().execute<{ name: string }>(sql`select name from family`);
      const there = new Set(rows.map((row) => row.name));
      return {
        tried,
        lost: [
          ...said
            .filter((name) => !there.has(name))
            .map((name) => `${name} was acknowledged and is not there`),
          ...slow.map((ms) => `an answer took ${ms} ms`),
          ...strange.filter((status) => status >= 500).map((status) => `answered ${status}`),
        ],
      };
    },
  };
}

const bothDesks = async (field: Field): Promise<Visitor[]> => [
  await field.visitor('Coordinator', 0),
  await field.visitor('Coordinator', 1),
];

/** Every connection of the servers is ended while nobody uses it. */
export async function connectionsEnded(field: Field, size: number): Promise<Row> {
  await field.begin();
  const desks = await bothDesks(field);
  const lost: string[] = [];
  for (let i = 0; i < size; i++) {
    await Promise.all(desks.map((desk) => desk.get('/lend/families')));
    const client = new pg.Client({ connectionString: field.databaseUrl });
    await client.connect();
    await client.query(
      'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
    );
    await client.end();
    await pause(100);
    for (const [server, desk] of desks.entries()) {
      const { status } = await desk.get('/lend/families');
      if (status !== 200) lost.push(`server ${server} answers ${status}`);
    }
  }
  return { what: 'idle connections ended by the database', tried: size * 2, lost };
}

/** One of two servers is killed while families are added. */
export async function serverKilled(field: Field, size: number): Promise<Row> {
  await field.begin();
  const work = adding(await bothDesks(field));
  for (let i = 0; i < size; i++) {
    await pause(400);
    await field.killServer(i % 2);
    await pause(150);
    await field.startServer(i % 2);
  }
  await pause(300);
  const { tried, lost } = await work.stop();
  return {
    what: 'a server killed (-9) under load',
    tried,
    lost,
    note: `${size} kills, ${work.said.length} writes acknowledged`,
  };
}

/** The database is killed while families are added; the servers are left alone and must recover by themselves. */
export async function databaseKilled(field: Field, size: number): Promise<Row> {
  await field.begin();
  const desks = await bothDesks(field);
  const work = adding(desks);
  const lost: string[] = [];
  const times: number[] = [];
  for (let i = 0; i < size; i++) {
    await pause(500);
    await field.killDatabase();
    const answer = await desks[i % 2]!.get('/lend');
    if (answer.status !== 503 || !/Retry|One moment/i.test(answer.text))
      lost.push(`without a database: ${answer.status}`);
    const [live, ready] = await Promise.all(
      ['/healthz/live', '/healthz'].map((path) => fetch(desks[0]!.address + path).then((one) => one.status)),
    );
    if (live !== 200 || ready !== 503) lost.push(`health says ${live} and ${ready}`);
    await field.startDatabase();
    times.push(await field.untilReady());
  }
  await pause(300);
  const ended = await work.stop();
  return {
    what: 'the database killed (-9) under load',
    tried: ended.tried,
    lost: [...lost, ...ended.lost],
    note: `${size} kills, ${work.said.length} writes acknowledged, ready again after ${Math.max(...times)} ms at most`,
  };
}

/** The database stops answering without going away: pages say so in time. */
export async function databaseHeld(field: Field, size: number): Promise<Row> {
  await field.begin();
  const desks = await bothDesks(field);
  const lost: string[] = [];
  let longest = 0;
  field.holdDatabase('SIGSTOP');
  try {
    await Promise.all(
      Array.from({ length: size }, async (_, i) => {
        const from = Date.now();
        const path = ['/lend', '/choose', '/fill', '/print', '/listen'][i % 5]!;
        const answer = await desks[i % 2]!.get(path);
        longest = Math.max(longest, Date.now() - from);
        if (answer.status !== 503) lost.push(`${path}: ${answer.status}`);
      }),
    );
  } finally {
    field.holdDatabase('SIGCONT');
  }
  if (longest > LONGEST_MS) lost.push(`a page hung for ${longest} ms`);
  await field.untilReady();
  for (const desk of desks) {
    const { status } = await desk.get('/lend');
    if (status !== 200) lost.push(`afterwards: ${status}`);
  }
  return {
    what: 'a database that does not answer',
    tried: size,
    lost,
    note: `the longest page took ${longest} ms`,
  };
}

/** A server that is told to stop lets the requests end that it has begun. */
export async function serverStopped(field: Field, size: number): Promise<Row> {
  const { families } = await field.begin();
  const desk = await field.visitor('Coordinator', 0);
  const lost: string[] = [];
  // The row is held, so that the requests are under way when the signal comes.
  const client = new pg.Client({ connectionString: field.databaseUrl });
  await client.connect();
  await client.query('begin');
  await client.query('select 1 from family where id = $1 for update', [families[0]!.id]);
  const fields = await desk.form(`/lend/families/${families[0]!.id}`, 'version');
  const begun = Array.from({ length: size }, (_, i) =>
    desk
      .post(`/lend/families/${families[0]!.id}`, {
        ...fields,
        name: families[0]!.name,
        language: 'es',
        reach: `${i}`,
        allergens: '',
      })
      .then(
        ({ status }) => status,
        () => 0,
      ),
  );
  await pause(400);
  process.kill(field.servers[0]!.pid, 'SIGTERM');
  await pause(400);
  await client.query('commit');
  await client.end();
  const statuses = await Promise.all(begun);
  if (statuses.some((status) => ![302, 409].includes(status)))
    lost.push(`requests ended with ${statuses.join(', ')}`);
  const code = await field.servers[0]!.ended;
  if (code !== 0) lost.push(`the server ended with ${code}`);
  await field.startServer(0);
  return {
    what: 'a server told to stop (SIGTERM) with requests under way',
    tried: size,
    refused: statuses.filter((one) => one === 409).length,
    lost,
  };
}
