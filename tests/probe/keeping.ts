/** What must go when it is asked to, and what must come back. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { hashPassword } from '~/server/people/password';
import { loadDemoWhenEmpty } from '~/data/demo/load';
import { databaseAt } from '~/data/address';
import { backupUrl } from '~/scripts/lib/url';
import { backUp, newKey, restore } from '~/server/backup/dump';
import { randomCard } from '~/core/lending/card';
import { giveCards, listFamilies } from '~/data/queries/families';
import { openGathering, tickIn } from '~/data/queries/gatherings';
import { doAct } from '~/server/lending/hall';
import { secureRandom } from '~/server/random';
import { today } from '~/server/today';
import { lendOut, emptyDatabase, type SmallSchool, answersOf } from '../world';
import { lagOf } from './bodies';
import { raw, type Visitor } from './visitor';
import type { Field, Row } from './field';
import { newOwnGame } from '~/core/own/definition';
import type { SchoolHandle } from '~/data/db';
import { takeBack } from '~/data/queries/returns';
import { sql } from 'drizzle-orm';
import { addPicture } from '~/data/queries/pictures';
import { familyLook, workPicture } from '~/data/schema';
import { receive } from '~/server/listening/texts';

/** Every row of every table as text, by table. */
export async function everything(url: string): Promise<Map<string, string[]>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows: tables } = await client.query<{ name: string }>(
      `select quote_ident(schemaname) || '.' || quote_ident(tablename) as name from pg_tables where schemaname not in ('pg_catalog', 'information_schema') order by 1`,
    );
    const found = new Map<string, string[]>();
    for (const { name } of tables) {
      // The queue writes down there when it last looked after itself, whenever it does.
      const row = name === 'pgboss.version' ? 't.version::text' : 't::text';
      const { rows } = await client.query<{ row: string }>(`select ${row} as row from ${name} t order by 1`);
      found.set(
        name,
        rows.map(({ row }) => row),
      );
    }
    return found;
  } finally {
    await client.end();
  }
}

/** A family that has left traces everywhere is forgotten: no table knows a word of it. */
/** The family is reminded, waits, came to an evening, and was named at the desk in the hall. */
async function knownElsewhere(world: SmallSchool, coordinator: Visitor, id: string): Promise<void> {
  const { at, copies, people } = world;
  await coordinator.post('/lend/messages', { intent: 'now' });
  const table = (await openGathering(at, {
    name: 'Evening',
    onDay: today(at),
    keyHash: randomUUID(),
    expiresAt: new Date(),
    personId: people.coordinator.id,
  }))!;
  await tickIn(at, table, id, true);
  await giveCards(at, () => randomCard(secureRandom));
  const act = { day: today(at), away: true };
  const other = (await listFamilies(at)).find((one) => one.id !== id)!;
  // What was refused names who has the bag.
  await doAct(
    at,
    { ...act, id: randomUUID(), kind: 'lend', tag: copies[0]!.tag, card: other.card! },
    people.helper.id,
  );
}

export async function forgetting(field: Field, size: number): Promise<Row> {
  const lost: string[] = [];
  let searched = 0;
  for (let i = 0; i < size; i++) {
    const world = await field.begin();
    const coordinator = await field.visitor('Coordinator');
    const words = {
      name: 'Family Zzyxquorn',
      reach: '555-0199-7731',
      allergens: 'wolframite',
      said: 'quibblefrost',
      lost: 'grumblewort',
      more: 'snarkleberry',
      later: 'Family Zzyxquist',
      nickname: 'Yxsolda',
      changed: 'flimmerwick',
      texted: 'bramblethwack',
      thanked: 'glimmerdank',
    };
    const made = await coordinator.post('/lend/families/new', {
      name: words.name,
      language: 'es',
      reach: words.reach,
      underThree: 'true',
      allergens: words.allergens,
    });
    const id = /added=([0-9a-f-]{36})/.exec(made.location ?? '')?.[1] ?? '';
    const path = `/lend/families/${id}`;
    const version = await coordinator.form(path, 'reach');
    await coordinator.post(path, {
      ...version,
      name: words.later,
      language: 'es',
      reach: words.reach,
      underThree: 'true',
      allergens: words.allergens,
    });
    world.families[0] = { ...world.families[0]!, id };
    const loan = await lendOut(world, { lentOn: '2026-11-20', dueOn: today(world.at) });
    await knownElsewhere(world, coordinator, id);
    const page = await coordinator.get(`/p/${world.copies[0]!.linkKey}/answer?now=1`);
    const hidden = /name="loan" value="([^"]+)"/.exec(page.text)?.[1] ?? '';
    const answered = await coordinator.post(`/p/${world.copies[0]!.linkKey}/answer`, {
      loan: hidden,
      'g0.said': 'justRight',
      'g0.childSaid': words.said,
      'g0.child': words.nickname,
      'g0.changed': words.changed,
      minutes: '9',
      missing: words.lost,
      anythingElse: words.more,
    });
    if (answered.status !== 302) lost.push(`the answer was not kept: ${answered.status}`);
    // They write a text that nobody understands, are thanked, looked at, and a picture lies with their answer.
    await receive(field.world.at, { id: randomUUID(), from: words.reach, text: words.texted });
    const [said] = await answersOf(field.world.at);
    await coordinator.post('/listen', { intent: 'line', answer: said!.answer.id, line: words.thanked });
    await addPicture(field.world.at, {
      answerId: said!.answer.id,
      image: Buffer.from('x'),
      width: 1,
      height: 1,
      goesOn: today(world.at),
    });
    await coordinator.get(`/listen/families/${id}`);
    const refused = await coordinator.post(path, { intent: 'forget' });
    if (refused.status !== 409) lost.push(`forgotten while a copy is out: ${refused.status}`);
    await takeBack(field.world.at, { loanId: loan, returnedOn: '2026-11-25', personId: null, counts: [] });
    const there = [...(await everything(field.databaseUrl)).values()].flat().join('\n');
    for (const word of Object.values(words))
      if (!there.includes(word)) lost.push(`the search is blind: ${word} was not there before`);
    const forgotten = await coordinator.post(path, { intent: 'forget' });
    if (forgotten.status !== 302) lost.push(`not forgotten: ${forgotten.status}`);
    for (const [table, rows] of await everything(field.databaseUrl)) {
      searched++;
      for (const word of Object.values(words))
        if (rows.some((row) => row.includes(word))) lost.push(`${table} still knows ${word}`);
    }
    if (await field.world.at.$count(workPicture)) lost.push('a picture of theirs is still here');
    if (await field.world.at.$count(familyLook)) lost.push('it is still known who looked at them');
    const [answer] = await answersOf(field.world.at);
    if (answer?.games[0]?.said !== 'justRight') lost.push('the numbers of the answer are gone too');
    const listen = await coordinator.get('/listen');
    if (Object.values(words).some((word) => listen.text.includes(word)))
      lost.push('Listen still shows their words');
  }
  return { what: 'forgetting a family, searched in every table', tried: searched, lost };
}

/** An answer belongs to the loan its page was opened for, whoever has the basket when it is sent. */
export async function answersOfOthers(field: Field, size: number): Promise<Row> {
  const lost: string[] = [];
  let refused = 0;
  for (let i = 0; i < size; i++) {
    const world = await field.begin();
    const { Visitor } = await import('./visitor');
    const phone = new Visitor(field.servers[i % 2]!.address);
    const path = `/p/${world.copies[0]!.linkKey}/answer`;
    const first = await lendOut(world, { lentOn: '2026-11-01', dueOn: '2026-11-22' });
    const form = await phone.form(path, 'anythingElse');
    const today = new Date().toISOString().slice(0, 10);
    await takeBack(field.world.at, { loanId: first, returnedOn: today, personId: null, counts: [] });
    const second = await lendOut(world, { family: 1, lentOn: today, dueOn: '2027-01-20' });
    await phone.post(path, { ...form, anythingElse: 'ours', 'g0.said': 'tooHard' });
    const kept = (await answersOf(field.world.at)).map(({ answer }) => answer);
    if (kept.length !== 1 || kept[0]!.loanId !== first)
      lost.push('the answer of the first family went to the next one');
    // The same phone opens the page anew: it still speaks for the first family.
    const anew = await phone.form(path, 'anythingElse');
    if (anew.loan === second) lost.push('the page of the first family opens for the next one');
    const without = await phone.post(path, { anythingElse: 'whose', 'g0.said': 'tooHard' });
    if (without.status === 400) refused++;
    else lost.push(`an answer for no loan was taken: ${without.status}`);
    const other = new Visitor(phone.address);
    const theirs = await other.form(path, 'anythingElse');
    if (theirs.loan !== second) lost.push('the next family cannot answer');
  }
  return { what: 'answers sent after the basket went on', tried: size * 3, refused, lost };
}

/** Many years of a large school: 2,000 families, 400 copies, 20,000 loans with what was counted and answered. */
export async function growSchool(at: SchoolHandle): Promise<void> {
  await at.execute(sql`
    insert into family (name, language, reach)
    select 'Family number ' || n, (array['en', 'es', 'ar', 'pt'])[1 + n % 4], '555-' || n from generate_series(1, 2000) n`);
  await at.execute(sql`
    insert into copy (kit_id, build_run_id, tag, link_key, printed_at, ready_at)
    select kit_id, id, 'BIG' || n, md5(n::text || 'link'), now(), now() from generate_series(1, 400) n, (select id, kit_id from build_run order by id limit 1) run`);
  await at.execute(sql`
    with f as (select id, row_number() over (order by id) as n from family), c as (select id, row_number() over (order by id) as n from copy)
    insert into loan (copy_id, family_id, lent_on, due_on, returned_on, closed_as)
    select c.id, f.id, date '2020-01-01' + (s / 20), date '2020-01-22' + (s / 20), date '2020-01-20' + (s / 20), 'returned'
    from generate_series(1, 20000) s join c on c.n = 1 + s % 400 join f on f.n = 1 + s % 2000`);
  await at.execute(sql`
    insert into part_count (copy_id, loan_id, cause, material, expected, counted)
    select copy_id, id, 'return', m, 6, 6 from loan, unnest(array['two-colour-counter', 'mat', 'cup']) m`);
  await at.execute(
    sql`insert into loan_event (loan_id, kind) select id, k from loan, unnest(array['lent', 'returned']) k`,
  );
  await at.execute(sql`
    with said as (
      insert into answer (send_key, loan_id, language, minutes, child_did)
      select id::text, id, 'es', 9, 'They counted to ' || lent_on from loan where lent_on > date '2021-01-01'
      returning school_id, id)
    insert into answer_game (school_id, answer_id, position, said) select school_id, id, 0, 'justRight' from said`);
}

/** Backs up, restores into a new database and compares every row of every table; what holds something is not written over. */
export async function backupAndRestore(field: Field, size: number): Promise<Row> {
  const lost: string[] = [];
  const folder = mkdtempSync(join(tmpdir(), 'fern-backup-'));
  const keyFile = join(folder, 'key.txt');
  let rows = 0;
  let note = '';
  try {
    const recipient = await newKey(keyFile);
    for (let i = 0; i < size; i++) {
      await emptyDatabase();
      await loadDemoWhenEmpty(hashPassword);
      // The demo first, then a large school.
      if (i > 0) await growSchool(field.world.at);
      const from = Date.now();
      const at = new Date(Date.UTC(2026, 0, 1 + i));
      const { file, bytes } = await backUp(backupUrl(field.databaseUrl), folder, { at, recipient });
      const wrote = Date.now() - from;
      const into = `fern_restored_${i}`;
      const client = new pg.Client({ connectionString: databaseAt(field.databaseUrl, 'postgres') });
      await client.connect();
      await client.query(`drop database if exists ${into}`);
      const again = Date.now();
      await restore(file, field.databaseUrl, { into, keyFile });
      note += `${note && '; '}${i > 0 ? 'large school' : 'demo'}: written in ${wrote} ms (${Math.ceil(bytes / 1000)} kB), restored in ${Date.now() - again} ms`;
      const [before, after] = [
        await everything(field.databaseUrl),
        await everything(databaseAt(field.databaseUrl, into)),
      ];
      if ([...before.keys()].join() !== [...after.keys()].join()) lost.push('the tables are not the same');
      for (const [table, list] of before) {
        rows += list.length;
        if (list.join('\n') !== after.get(table)?.join('\n')) lost.push(`${table} came back otherwise`);
      }
      for (const target of [undefined, into])
        if (
          await restore(file, field.databaseUrl, { into: target, keyFile }).then(
            () => true,
            () => false,
          )
        )
          lost.push('a database that holds something was written over');
      await client.query(`drop database if exists ${into}`);
      await client.end();
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  return { what: 'backup, restore, every row compared', tried: rows, lost, note };
}

/** Games that would take minutes to reckon are refused in a sentence, and others are answered meanwhile. */
export async function heavyGames(field: Field, size: number): Promise<Row> {
  await field.begin();
  const coordinator = await field.visitor('Coordinator');
  const lost: string[] = [];
  let refused = 0;
  let longest = 0;
  const turn = { kind: 'draw', count: 3, from: 0, to: 20, copies: 8 } as const;
  const cells = Array.from({ length: 24 }, (_, i) => i);
  const heavy = [
    { turn, make: 'cover', cells, end: { when: 'covered', number: 1 } },
    {
      turn: { ...turn, kind: 'roll' },
      make: 'cover',
      cells: [0, 60, ...cells.slice(2)],
      end: { when: 'covered', number: 1 },
    },
    {
      turn: { ...turn, kind: 'roll' },
      make: 'collect',
      end: { when: 'turns', number: 200 },
      players: { fewest: 1, most: 8 },
    },
    {
      turn: { ...turn, kind: 'show', count: 1, from: 0, to: 1 },
      make: 'path',
      end: { when: 'reached', number: 200 },
    },
    {
      turn: { ...turn, kind: 'roll', count: 3, from: 0, to: 1 },
      make: 'path',
      end: { when: 'reached', number: 200 },
    },
  ];
  const names = [
    'Race to {goal}',
    '<b>Bold</b>',
    "{'",
    '}{',
    '{goal, plural, one {x}}',
    'Tom & Jerry’s "game"',
  ];
  for (let i = 0; i < size; i++)
    for (const [h, change] of [...heavy, ...names].entries()) {
      const named = typeof change === 'string';
      const game = {
        ...newOwnGame(),
        name: { en: named ? change : `Heavy ${i} ${h}`, es: `x${i}` },
        goal: { en: 'Load.', es: 'Suban.' },
        ...(named ? {} : change),
      };
      if (named) game.name.en = `${change} ${i}`;
      const watch = lagOf(coordinator.address);
      const answer = await coordinator.post('/choose/own/new', { definition: JSON.stringify(game) });
      if (answer.status === 400) refused++;
      else if (answer.status !== 302) lost.push(`${game.name.en}: ${answer.status}`);
      const shelf = await coordinator.get('/choose');
      if (shelf.status !== 200) lost.push(`the shelf after ${game.name.en}: ${shelf.status}`);
      if (answer.location) {
        const bench = await coordinator.get(answer.location);
        if (bench.status !== 200) lost.push(`the bench of ${game.name.en}: ${bench.status}`);
      }
      longest = Math.max(longest, await watch());
    }
  const { status } = await raw(coordinator.address, { method: 'GET', path: '/healthz' });
  if (status !== 200) lost.push(`health: ${status}`);
  return {
    what: 'own games that are heavy, or oddly named',
    tried: size * (heavy.length + names.length),
    refused,
    lost,
    note: `others waited ${longest} ms at most`,
  };
}
