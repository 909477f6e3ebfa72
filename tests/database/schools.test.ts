/** Schools beside each other: what each sees, what they share, and who goes between them. */
import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import {
  atSchool,
  closeDatabase,
  installation,
  refusedBy,
  roleFault,
  sqlState,
  type SchoolHandle,
} from '~/data/db';
import { loadDemoWhenEmpty, type Demo } from '~/data/demo/load';
import { listShortages, type Shortage } from '~/data/queries/counts';
import { copiesAtSchool, copiesNow } from '~/data/queries/desk';
import { listFamilies } from '~/data/queries/families';
import { addOwnGame, changeOwnGame, findOwnGame, listOwnGames } from '~/data/queries/games';
import { changeKit, findCopy, findKit, listKits, type KitWithVariants } from '~/data/queries/kits';
import { lend, listOut, strandOf, undoReturn } from '~/data/queries/lending';
import { moveCopies } from '~/data/queries/moving';
import {
  admit,
  appoint,
  createPerson,
  deactivatePerson,
  dismiss,
  findPersonByName,
  listPeople,
  peopleOfSisters,
} from '~/data/queries/people';
import {
  boundTo,
  changeSchool,
  findSchool,
  makeSchool,
  schoolFields,
  schoolOfLink,
  schoolsInNumbers,
  sisterOfTag,
} from '~/data/queries/schools';
import { addPasswordLink, createSession, findSession, openSchool, schoolsOf } from '~/data/queries/sessions';
import {
  followed,
  offers,
  share,
  shownByUs,
  stopFollowing,
  take,
  toShow,
  unshare,
} from '~/data/queries/sharing';
import { checkedLanguages, lineChecks, saveLineWords } from '~/data/queries/words';
import { newOwnGame } from '~/core/own/definition';
import { today } from '~/server/today';
import { everything } from '../owner';
import { emptyDatabase } from '../world';

let demo: Demo;
let at: SchoolHandle;
let sister: SchoolHandle;
beforeEach(async () => {
  await emptyDatabase();
  demo = (await loadDemoWhenEmpty((password) => Promise.resolve(password)))!;
  ({ at, sister } = demo);
});
afterAll(closeDatabase);

const idOf = async (name: string): Promise<string> => (await findPersonByName(name))!.id;
const kitNamed = async (where: SchoolHandle, name: string): Promise<KitWithVariants> =>
  (await findKit(where, (await listKits(where)).find((kit) => kit.name === name)!.id))!;
const formOf = ({ name, ageBand, players, paper, assurance, variants }: KitWithVariants) => ({
  name,
  ageBand,
  players,
  paper,
  assurance,
  variantIds: variants.map(({ id }) => id),
});

describe('the rows of another school', () => {
  /** Tables that hold nothing of a school. */
  const OF_NO_SCHOOL = [
    'daily_job',
    'district',
    'known_browser',
    'password_link',
    'person',
    'rate_limit',
    'school',
  ];

  it('are seen, changed, taken away and added by nobody else, in any table', async () => {
    const { rows: tables } = await everything().execute<{
      name: string;
      secured: boolean;
      ours: boolean;
    }>(sql`
      select c.relname as name, c.relrowsecurity as secured,
        exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'school_id') as ours
      from pg_class c join pg_namespace n on n.oid = c.relnamespace
      where n.nspname = 'public' and c.relkind = 'r' order by 1`);
    expect(tables.filter((one) => !one.ours).map((one) => one.name)).toEqual(OF_NO_SCHOOL);
    expect(tables.filter((one) => !one.secured).map((one) => one.name)).toEqual(['daily_job', 'rate_limit']);
    const theirs = at.schoolId;
    let rows = 0;
    for (const { name } of tables.filter((one) => one.ours)) {
      const table = sql.identifier(name);
      const all = async () =>
        (
          await everything().execute<{ row: string }>(
            sql`select t::text as row from ${table} t where school_id = ${theirs} order by 1`,
          )
        ).rows.map(({ row }) => row);
      const before = await all();
      rows += before.length;
      const seen = await sister.execute(sql`select 1 from ${table} where school_id = ${theirs}`);
      // What a school shows its district is seen there, and no more than seen.
      expect([name, seen.rows.length]).toEqual([name, name === 'shared' ? before.length : 0]);
      const changed = await sister.execute(
        sql`update ${table} set school_id = ${sister.schoolId} where school_id = ${theirs}`,
      );
      const taken = await sister.execute(sql`delete from ${table} where school_id = ${theirs}`);
      expect([name, changed.rowCount, taken.rowCount]).toEqual([name, 0, 0]);
      const added = await sister
        .execute(sql`insert into ${table} (school_id) values (${theirs})`)
        .catch((error: unknown) => error);
      expect([name, sqlState(added)]).toEqual([name, '42501']);
      const given = await sister
        .execute(sql`update ${table} set school_id = ${theirs}`)
        .catch((error: unknown) => error);
      // A session belongs to whoever signed in: no school sees it at all.
      if (sqlState(given) === undefined)
        expect([name, (given as { rowCount: number }).rowCount]).toEqual([name, 0]);
      expect(await all()).toEqual(before);
    }
    expect(rows).toBeGreaterThan(100);
  });

  it('are named by no row of one’s own, whatever the code does', async () => {
    const [family] = await listFamilies(sister);
    const copy = (await copiesAtSchool(at, 1))[0]!;
    const refused = await everything()
      .execute(
        sql`insert into loan (school_id, copy_id, family_id, lent_on, due_on)
            values (${at.schoolId}, ${copy.id}, ${family!.id}, '2026-11-01', '2026-11-22')`,
      )
      .catch((error: unknown) => error);
    expect(sqlState(refused)).toBe('23503');
    expect(
      await lend(at, {
        copyId: copy.id,
        familyId: family!.id,
        lentOn: '2026-11-01',
        dueOn: '2026-11-22',
        personId: null,
      }),
    ).toEqual({ ok: false, reason: 'gone' });
  });

  it('are kept by a role that cannot go round it', async () => {
    expect(await roleFault()).toBeUndefined();
    for (const attempt of [
      sql`alter table family disable row level security`,
      sql`drop policy of_this_school on family`,
      sql`set role fern`,
      sql`set session authorization fern`,
      sql`create table elsewhere as select 1`,
      sql`truncate family`,
      sql`create function f() returns int language sql security definer as 'select 1'`,
    ]) {
      const refused = await installation()
        .execute(attempt)
        .catch((error: unknown) => error);
      expect(sqlState(refused)).toBe('42501');
    }
    // Bound to no school, nothing of a school is seen.
    for (const table of ['family', 'loan', 'answer', 'copy', 'kit', 'change'])
      expect(
        (await installation().execute(sql`select 1 from ${sql.identifier(table)} limit 1`)).rows,
      ).toEqual([]);
    // Bound to a school, no password and no session is seen, not even those of its own people.
    const { rows: seen } = await sister.execute<{ name: string }>(sql`select name from person order by 1`);
    expect(seen.map(({ name }) => name)).toEqual(['Runa', 'Soren', 'Tobin']);
    expect((await sister.execute(sql`select 1 from session`)).rows).toEqual([]);
    expect((await sister.execute(sql`select name from school`)).rows).toEqual([
      { name: 'Lantern Hill Elementary' },
    ]);
  });

  it('are not mixed up by many who ask at once over few connections', async () => {
    const names = async (where: SchoolHandle) => new Set((await listFamilies(where)).map(({ name }) => name));
    const [mine, hers] = [await names(at), await names(sister)];
    expect([...mine].filter((name) => hers.has(name))).toEqual([]);
    const seen = await Promise.all(
      Array.from({ length: 120 }, (_, i) => (i % 2 ? names(sister) : names(at))),
    );
    for (const [i, found] of seen.entries()) expect(found).toEqual(i % 2 ? hers : mine);
  });
});

describe('people', () => {
  it('have one name in all schools, and a role in each', async () => {
    await expect(
      createPerson(sister, { name: 'MAREN', passwordHash: 'x', role: 'helper' }),
    ).rejects.toSatisfy((error) => refusedBy(error) === 'person_name_is_taken');
    const maren = await idOf('Maren');
    expect((await peopleOfSisters(sister)).map(({ name }) => name)).toEqual(['Ilaria', 'Maren']);
    expect(await admit(sister, maren, 'reader', null)).toBe(true);
    expect(await schoolsOf(maren)).toMatchObject([
      { name: 'Kittiwake Bay Elementary', role: 'coordinator' },
      { name: 'Lantern Hill Elementary', role: 'reader' },
    ]);
    await createSession({ tokenHash: 'm', personId: maren, expiresAt: new Date(Date.now() + 9e6) });
    expect(await findSession('m')).toMatchObject({ role: 'coordinator', schools: 2 });
    expect(await openSchool('m', maren, sister.schoolId)).toBe(true);
    expect(await findSession('m')).toMatchObject({
      role: 'reader',
      school: { name: 'Lantern Hill Elementary' },
    });
    // The next sign-in comes to the school that was opened last.
    await createSession({ tokenHash: 'n', personId: maren, expiresAt: new Date(Date.now() + 9e6) });
    expect(await findSession('n')).toMatchObject({ school: { id: sister.schoolId } });
    expect(await openSchool('m', await idOf('Ilaria'), sister.schoolId)).toBe(false);
    // Whoever is let go of one school keeps the other.
    expect(await deactivatePerson(sister, maren)).toBe('ended');
    expect(await findSession('m')).toBeUndefined();
    expect(await schoolsOf(maren)).toHaveLength(1);
    expect(await findPersonByName('maren')).toBeDefined();
    expect(await admit(sister, crypto.randomUUID(), 'helper', null)).toBe(false);
  });

  it('are given a new password by nobody who does not coordinate all of their schools', async () => {
    const [maren, soren, tobin, ilaria, runa] = await Promise.all(
      ['Maren', 'Soren', 'Tobin', 'Ilaria', 'Runa'].map(idOf),
    );
    const given = (schoolId: string, personId: string, createdBy: string) =>
      addPasswordLink({
        schoolId,
        personId,
        createdBy,
        keyHash: crypto.randomUUID(),
        expiresAt: new Date(Date.now() + 9e6),
      });
    // Tobin helps in both schools: with his password one would see the other.
    expect(await given(at.schoolId, tobin!, maren!)).toBe(false);
    expect(await given(sister.schoolId, tobin!, soren!)).toBe(false);
    expect(await given(sister.schoolId, tobin!, runa!)).toBe(true);
    expect(await given(at.schoolId, ilaria!, maren!)).toBe(true);
    expect(await given(sister.schoolId, ilaria!, soren!)).toBe(false);
    expect(await given(at.schoolId, runa!, maren!)).toBe(false);
  });

  it('of a district see all of its schools, and the last of them stays', async () => {
    const [runa, maren] = [await idOf('Runa'), await idOf('Maren')];
    const { districtId } = at;
    expect(await deactivatePerson(sister, runa)).toBe('district');
    expect(await dismiss(districtId, runa, runa)).toBe(false);
    expect(await appoint(districtId, await idOf('Tobin'), runa)).toBe(false);
    expect(await appoint(districtId, maren, runa)).toBe(true);
    const third = (await makeSchool(
      districtId,
      { name: 'Skua Point', paper: 'a4', languages: ['en'], timeZone: 'UTC' },
      runa,
    ))!;
    expect((await listPeople(atSchool(boundTo(third)))).map(({ name }) => name)).toEqual(['Maren', 'Runa']);
    expect(await schoolsOf(maren)).toHaveLength(3);
    expect(await dismiss(districtId, maren, runa)).toBe(true);
    expect(await schoolsOf(maren)).toMatchObject([{ name: 'Kittiwake Bay Elementary' }]);
    expect(
      await makeSchool(
        districtId,
        { name: 'SKUA point', paper: 'a4', languages: ['en'], timeZone: 'UTC' },
        runa,
      ),
    ).toBeUndefined();
    const numbers = await schoolsInNumbers(districtId);
    expect(numbers.map(({ name, families, copies, out }) => [name, families, copies, out])).toEqual([
      ['Kittiwake Bay Elementary', 12, 10, (await listOut(at)).length],
      ['Lantern Hill Elementary', 4, 3, 2],
      ['Skua Point', 0, 0, 0],
    ]);
    expect(numbers[0]!.overdue).toBe((await copiesNow(at, today(at))).overdue);
  });
});

describe('a school', () => {
  it('has its own day', async () => {
    const there = (timeZone: string) => today({ timeZone });
    // Twenty-five hours apart: it is never the same day in both.
    expect(there('Pacific/Kiritimati') > there('Pacific/Pago_Pago')).toBe(true);
    const school = await findSchool(sister);
    const saved = await changeSchool(
      sister,
      { ...schoolFields(school), timeZone: 'Pacific/Kiritimati' },
      school.version,
    );
    expect(saved).toMatchObject({ ok: true, version: 2 });
    const moved = atSchool(boundTo(await findSchool(sister)));
    expect(today(moved)).toBe(there('Pacific/Kiritimati'));
    expect(
      await changeSchool(sister, { ...schoolFields(school), name: 'kittiwake bay ELEMENTARY' }, 2),
    ).toBeUndefined();
  });
});

describe('what is shared', () => {
  it('is followed: a change there is a change here, and cannot be made here', async () => {
    const [kit, here] = [await kitNamed(at, 'First splits'), await kitNamed(sister, 'First splits')];
    expect(await followed(sister, 'kit', here.id)).toBe('Kittiwake Bay Elementary');
    expect(await changeKit(sister, here.id, { ...formOf(here), players: 5 }, here.version)).toBe('follows');
    const more = (await kitNamed(at, 'Rainy afternoon')).variants[0]!;
    const mine = formOf(kit);
    await changeKit(
      at,
      kit.id,
      { ...mine, players: 4, variantIds: [more.id, ...mine.variantIds] },
      kit.version,
    );
    const after = await kitNamed(sister, 'First splits');
    expect([after.players, after.variants.map(({ gameId }) => gameId)]).toEqual([
      4,
      ['skyline-rolls', 'two-tone-spill'],
    ]);
    // The setting that stayed is the same row as before; what was taken out again is put away.
    expect(after.variants[1]!.id).toBe(here.variants[0]!.id);
    await changeKit(at, kit.id, { ...mine, players: 4 }, kit.version + 1);
    expect((await kitNamed(sister, 'First splits')).variants).toHaveLength(1);
    expect(
      await take(sister, (await offers(sister)).find((one) => one.name === 'First splits')!.id, true, null),
    ).toEqual({ ok: false, reason: 'follows' });
    // Once it is one's own, it is changed here and no more from there.
    expect(await stopFollowing(sister, 'kit', here.id, await idOf('Soren'))).toBe(true);
    const own = await kitNamed(sister, 'First splits');
    expect(await changeKit(sister, own.id, { ...formOf(own), players: 3 }, own.version)).toMatchObject({
      ok: true,
    });
    await changeKit(at, kit.id, { ...mine, players: 6 }, kit.version + 2);
    expect((await kitNamed(sister, 'First splits')).players).toBe(3);
  });

  it('is taken as a copy that goes its own way, under a name that is free', async () => {
    const offer = (await offers(sister)).find((one) => one.name === 'Rainy afternoon')!;
    expect(offer).toMatchObject({ follows: false, schoolName: 'Kittiwake Bay Elementary' });
    expect(await take(sister, offer.id, false, null)).toMatchObject({ ok: true });
    const names = (await listKits(sister)).map(({ name }) => name);
    expect(names).toContain('Rainy afternoon (Kittiwake Bay Elementary)');
    const original = await kitNamed(at, 'Rainy afternoon');
    await changeKit(at, original.id, { ...formOf(original), players: 6 }, original.version);
    expect((await kitNamed(sister, 'Rainy afternoon')).players).toBe(2);
    expect(await take(at, offer.id, false, null)).toEqual({ ok: false, reason: 'gone' });
    expect(await take(sister, crypto.randomUUID(), true, null)).toEqual({ ok: false, reason: 'gone' });
  });

  it('can be a game of the school’s own, and the word of its fluent readers', async () => {
    const maren = await idOf('Maren');
    const [ferry] = await listOwnGames(at);
    expect(await share(at, 'own game', ferry!.id, maren)).toBe(true);
    expect(await share(at, 'own game', crypto.randomUUID(), maren)).toBe(false);
    const game = gameOf('two-tone-spill');
    const lines = Object.keys(game.words.en);
    const say = (right: boolean, had: boolean) =>
      saveLineWords(
        at,
        game,
        'es',
        lines.map((messageId) => ({ messageId, right, note: '', had: { right: had, note: '' } })),
        maren,
      );
    await say(true, false);
    expect((await toShow(at)).map(({ kind }) => kind)).toContain('wording');
    expect(await share(at, 'wording', 'es', maren)).toBe(true);
    const shown = await offers(sister);
    const named = (name: string) => shown.find((one) => one.name === name)!.id;
    const took = await take(sister, named('Ferry Load'), true, null);
    expect(took).toMatchObject({ ok: true });
    expect(await checkedLanguages(sister, [game])).toEqual({ [game.id]: [] });
    await take(sister, named('Spanish wording'), true, null);
    expect(await checkedLanguages(sister, [game])).toEqual({ [game.id]: ['es'] });
    await say(false, true);
    expect(await checkedLanguages(sister, [game])).toEqual({ [game.id]: [] });
    // The game changes with the one it follows, and stays when that is shown no more.
    const changed = { ...ferry!.definition, players: { fewest: 2, most: 3 } };
    expect(await changeOwnGame(at, ferry!.id, changed, ferry!.version, maren)).toMatchObject({ ok: true });
    const id = (took as { thingId: string }).thingId;
    expect((await findOwnGame(sister, id))!.definition.players).toEqual({ fewest: 2, most: 3 });
    expect(await changeOwnGame(sister, id, ferry!.definition, 2, maren)).toBe('follows');
    const ours = (await shownByUs(at)).find((one) => one.kind === 'own game')!;
    expect(ours.followers).toBe(1);
    expect(await unshare(at, ours.id, maren)).toBe(true);
    expect(await followed(sister, 'own game', id)).toBeUndefined();
    expect((await findOwnGame(sister, id))!.definition.players).toEqual({ fewest: 2, most: 3 });
  });

  it('goes on from school to school, and comes to an end where each follows the other', async () => {
    const [maren, runa] = [await idOf('Maren'), await idOf('Runa')];
    const game = gameOf('two-tone-spill');
    const lines = Object.keys(game.words.en);
    const say = (where: SchoolHandle, messageId: string) =>
      saveLineWords(
        where,
        game,
        'es',
        [{ messageId, right: true, note: '', had: { right: false, note: '' } }],
        maren,
      );
    const wording = async (where: SchoolHandle) =>
      (await offers(where)).find((one) => one.kind === 'wording')!.id;
    await say(at, lines[0]!);
    await say(sister, lines[1]!);
    await share(at, 'wording', 'es', maren);
    await share(sister, 'wording', 'es', runa);
    await take(sister, await wording(sister), true, null);
    await take(at, await wording(at), true, null);
    for (const [i, line] of lines.slice(2).entries()) await say(i % 2 ? at : sister, line);
    const all = async (where: SchoolHandle) => Object.keys(await lineChecks(where, game)).length;
    expect([await all(at), await all(sister)]).toEqual([lines.length, lines.length]);
    // A third school that follows one of them has what both of them say.
    const third = (await makeSchool(
      at.districtId,
      { name: 'Skua Point', paper: 'a4', languages: ['en'], timeZone: 'UTC' },
      runa,
    ))!;
    const there = atSchool(boundTo(third));
    await take(there, await wording(there), true, null);
    expect(await all(there)).toBe(lines.length);
  });

  it('is nothing that itself follows another school', async () => {
    const here = await kitNamed(sister, 'First splits');
    expect(await share(sister, 'kit', here.id, await idOf('Soren'))).toBe(false);
    expect((await toShow(sister)).map(({ name }) => name)).toEqual(['Rainy afternoon']);
    const id = await addOwnGame(
      sister,
      { ...newOwnGame(), name: { en: 'Lamp game', es: '' } },
      await idOf('Soren'),
    );
    expect((await toShow(sister)).some(({ thingId }) => thingId === id)).toBe(true);
  });
});

describe('copies', () => {
  it('move to another school with tag, link and what they lack, and come home again', async () => {
    const runa = await idOf('Runa');
    const to = await findSchool(sister);
    const lacking = (await listShortages(at))[0]!;
    const whole = (await copiesAtSchool(at, 20)).find((one) => !one.short)!;
    const out = (await listOut(at))[0]!;
    const before = (await findCopy(at, { id: lacking.copyId }))!;
    const lacks = (list: Shortage[]) => list.map((one) => [one.material, one.expected, one.counted]);
    const short = lacks(await listShortages(at, lacking.copyId));
    const moved = await moveCopies(at, to, [lacking.copyId, whole.id, out.copyId], runa);
    expect([moved.tags.sort(), moved.staying]).toEqual([[lacking.tag, whole.tag].sort(), [out.tag]]);
    expect(await findCopy(at, { tag: whole.tag })).toBeUndefined();
    expect(await sisterOfTag(at, whole.tag)).toBe('Lantern Hill Elementary');
    expect((await schoolOfLink(before.linkKey))!.id).toBe(sister.schoolId);
    const there = (await findCopy(sister, { tag: lacking.tag }))!;
    expect([there.linkKey, there.kitName, there.parts]).toEqual([
      before.linkKey,
      'First splits',
      before.parts,
    ]);
    expect(lacks(await listShortages(sister, there.id))).toEqual(short);
    expect((await listKits(sister)).map(({ name }) => name).sort()).toEqual([
      'First splits',
      'Rainy afternoon',
    ]);
    expect((await strandOf(at, lacking.copyId)).at(-1)).toMatchObject({
      kind: 'moved',
      note: 'Moved to Lantern Hill Elementary',
    });
    // Nothing more happens to it here: it is not lent, and no return of it is undone.
    const [family] = await listFamilies(at);
    const order = { familyId: family!.id, lentOn: '2026-11-01', dueOn: '2026-11-22', personId: null };
    expect(await lend(at, { ...order, copyId: whole.id })).toEqual({ ok: false, reason: 'gone' });
    const { rows } = await at.execute<{ id: string }>(
      sql`select id from loan where copy_id = ${lacking.copyId} and closed_as = 'returned'`,
    );
    expect(await undoReturn(at, rows[0]!.id, runa)).toMatchObject({
      ok: false,
      why: expect.stringContaining('another school') as string,
    });
    // Home again, it is the copy it was, with its life here.
    await moveCopies(sister, await findSchool(at), [there.id], runa);
    expect((await findCopy(at, { tag: lacking.tag }))!.id).toBe(lacking.copyId);
    expect(lacks(await listShortages(at, lacking.copyId))).toEqual(short);
    expect((await moveCopies(at, to, [whole.id], runa)).tags).toEqual([]);
  });
});
