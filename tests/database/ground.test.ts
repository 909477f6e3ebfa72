import { sql } from 'drizzle-orm';
import pg from 'pg';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { lineKey } from '~/core/words/checks';
import { databaseState, installation, transaction } from '~/data/db';
import { closeDatabase, ownerUrl } from '~/data/pools';
import { databaseTrouble, refusedBy, sqlState } from '~/data/trouble';
import { migrate } from '~/data/migrate';
import { logOf } from '~/data/queries/changes';
import { listShortages } from '~/data/queries/counts';
import { claimDaily, tellDaily } from '~/data/queries/daily';
import { createFamily, familyFields, forgetFamily, updateFamily } from '~/data/queries/families';
import { changeKit, findKit, saveKit, VariantGone, archiveVariant } from '~/data/queries/kits';
import { changeDue, findLoan, undoLoan } from '~/data/queries/lending';
import { takeBack, undoReturn } from '~/data/queries/returns';
import { addAnswer, pageOfAnswers } from '~/data/queries/listening';
import { copiesNow } from '~/data/queries/desk';
import { dayFacts } from '~/data/queries/day';
import { deactivatePerson, createPerson } from '~/data/queries/people';
import { setSchoolMark, schoolVersions } from '~/data/queries/schools';
import {
  addPasswordLink,
  askForPassword,
  endSessions,
  findPasswordLink,
  letSetPassword,
  listSessions,
  spendPasswordLink,
} from '~/data/queries/sessions';
import { sound, soundPlan } from '~/data/queries/sound';
import { lineChecks, saveLineWords } from '~/data/queries/words';
import { isClosed } from '~/core/own/closed';
import { gameFor } from '~/core/own/open';
import { databaseAt } from '~/data/address';
import { signIn, whoIs } from '~/server/people/session';
import { useDatabase } from '~/scripts/lib/url';
import { everything } from '../owner';
import { addVariant, lendOut, smallSchool, type SmallSchool, aWord } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(closeDatabase);

const admin = async <T>(work: (client: pg.Client) => Promise<T>): Promise<T> => {
  const client = new pg.Client({ connectionString: ownerUrl() });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
};

describe('the connection', () => {
  it('outlives its end: idle ones are replaced, one in use fails its own work only', async () => {
    await installation().execute(sql`select 1`);
    await admin((client) =>
      client.query(
        'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
      ),
    );
    await new Promise((later) => setTimeout(later, 100));
    expect((await installation().execute(sql`select 1 as one`)).rows).toEqual([{ one: 1 }]);
    const failed = await transaction(world.at, async (tx) => {
      await tx.execute(sql`select pg_terminate_backend(pg_backend_pid())`);
      await tx.execute(sql`select 1`);
    }).catch((error: unknown) => error);
    expect(databaseTrouble(failed)).toBe('away');
    expect(await databaseState()).toBe('ready');
  });

  it('waits for no lock and no statement longer than a page may take', async () => {
    const id = world.families[0]!.id;
    await admin(async (client) => {
      await client.query('begin');
      await client.query('select 1 from family where id = $1 for update', [id]);
      const failed = await forgetFamily(world.at, id).catch((error: unknown) => error);
      expect(databaseTrouble(failed)).toBe('busy');
      await client.query('rollback');
    });
    expect(await forgetFamily(world.at, id)).toBe(true);
  }, 20_000);

  it('does a transaction again that collided with another, and only then', async () => {
    const [one, two] = world.families;
    let runs = 0;
    const cross = (first: string, second: string) =>
      transaction(world.at, async (tx) => {
        runs++;
        await tx.execute(sql`update family set reach = reach || 'x' where id = ${first}`);
        await new Promise((later) => setTimeout(later, 150));
        await tx.execute(sql`update family set reach = reach || 'y' where id = ${second}`);
      });
    await Promise.all([cross(one!.id, two!.id), cross(two!.id, one!.id)]);
    expect(runs).toBeGreaterThan(2);
    const { rows } = await everything().execute<{ reach: string }>(
      sql`select reach from family where reach <> ''`,
    );
    expect(rows.map((row) => [...row.reach].sort().join(''))).toEqual(['xy', 'xy']);
    let tried = 0;
    const refused = await transaction(world.at, async (tx) => {
      tried++;
      await tx.execute(sql`insert into family (name, language) values ('Family Dunlin', 'en')`);
    }).catch((error: unknown) => error);
    expect([tried, refusedBy(refused), sqlState(refused)]).toEqual([1, 'family_name_is_taken', '23505']);
    expect(databaseTrouble(refused)).toBeUndefined();
  });

  it('keeps words that are none of a column’s away from it', async () => {
    for (const [constraint, statement] of [
      ['member_has_a_role', sql`update membership set role = 'king'`],
      ['kit_is_for_a_grade_band', sql`update kit set age_band = 'g9'`],
      ['kit_is_on_a_paper', sql`update kit set paper = 'a3'`],
      ['kit_has_an_assurance', sql`update kit set assurance = 'maybe'`],
      ['variant_is_for_a_grade_band', sql`update variant set age_band = ''`],
      ['school_prints_on_a_paper', sql`update school set paper = 'legal'`],
      [
        'change_is_of_a_kind',
        sql`insert into change (school_id, thing, thing_id, version, kind) select id, 'kit', 'x', 1, 'eaten' from school`,
      ],
    ] as const) {
      const refused = await everything()
        .execute(statement)
        .catch((error: unknown) => error);
      expect([constraint, sqlState(refused), refusedBy(refused)]).toEqual([constraint, '23514', constraint]);
    }
  });

  it('tells a database without tables from one that is away', async () => {
    const empty = await everything()
      .execute(sql`select 1 from no_such_table`)
      .catch((error: unknown) => error);
    expect(databaseTrouble(empty)).toBe('empty');
    const away = Object.assign(new Error('Failed query'), {
      cause: Object.assign(new Error('connect'), { code: 'ECONNREFUSED' }),
    });
    expect([databaseTrouble(away), databaseTrouble(new Error('something else'))]).toEqual([
      'away',
      undefined,
    ]);
  });

  it('is brought to the newest schema by two at once', async () => {
    await admin((client) => client.query('drop database if exists fern_twice'));
    await admin((client) => client.query('create database fern_twice'));
    const before = ownerUrl();
    useDatabase(databaseAt(before, 'fern_twice'));
    try {
      await Promise.all([migrate(), migrate(), migrate()]);
      await migrate();
      const client = new pg.Client({ connectionString: ownerUrl() });
      await client.connect();
      const { rows } = await client.query('select count(*)::int as n from drizzle.__drizzle_migrations');
      expect((rows[0] as { n: number }).n).toBeGreaterThan(4);
      await client.end();
    } finally {
      useDatabase(before);
    }
    await admin((client) => client.query('drop database fern_twice'));
  }, 300_000);
});

describe('a change', () => {
  const by = () => world.people.helper.id;
  it('is written down with who, what and when, and can be read at the thing', async () => {
    const made = (await createFamily(
      world.at,
      { name: 'Family Skua', language: 'en', reach: '', underThree: false, allergens: '' },
      by(),
    ))!;
    await updateFamily(world.at, made.id, { ...familyFields(made), reach: '555' }, 1, by());
    await updateFamily(world.at, made.id, { ...familyFields(made), reach: '555' }, 2, by());
    expect(
      (await logOf(world.at, 'family', made.id)).map(({ kind, by: who, before, after }) => [
        kind,
        who,
        before?.reach,
        after?.reach,
      ]),
    ).toEqual([
      ['changed', 'Helper', '', '555'],
      ['added', 'Helper', undefined, ''],
    ]);
    await forgetFamily(world.at, made.id, by());
    const [last, ...older] = await logOf(world.at, 'family', made.id);
    expect([last!.kind, last!.by]).toEqual(['forgotten', 'Helper']);
    for (const row of older) expect([row.before, row.after]).toEqual([null, null]);
  });

  it('that is not made leaves nothing in the log', async () => {
    const id = world.families[0]!.id;
    const failed = await transaction(world.at, async (tx) => {
      await tx.execute(sql`update family set reach = 'x' where id = ${id}`);
      throw new Error('no');
    }).catch((error: Error) => error.message);
    expect(failed).toBe('no');
    expect(
      await updateFamily(world.at, id, { ...familyFields(world.families[1]!), reach: 'y' }, 1),
    ).toBeUndefined();
    expect((await logOf(world.at, 'family', id)).map(({ kind }) => kind)).toEqual(['added']);
  });

  it('on a version that nobody knows is a question, not an overwriting', async () => {
    const family = world.families[0]!;
    const mine = { ...familyFields(family), reach: 'mine' };
    for (const version of [7, 999_999_999])
      expect(await updateFamily(world.at, family.id, mine, version)).toMatchObject({
        ok: false,
        stale: { version: 1, clashes: [{ field: 'reach', mine: 'mine', theirs: '' }] },
      });
  });

  it('of a kit keeps the games that both put in, and no game that was put away', async () => {
    const [a, b] = [await addVariant(world, 'tide-pairs', 'A'), await addVariant(world, 'row-call', 'B')];
    const kit = (await findKit(world.at, world.kitId))!;
    const fields = {
      name: kit.name,
      ageBand: kit.ageBand,
      players: kit.players,
      paper: kit.paper,
      assurance: kit.assurance,
    };
    const inside = kit.variants.map(({ id }) => id);
    await changeKit(world.at, kit.id, { ...fields, variantIds: [...inside, a.id] }, 1, by());
    expect(
      await changeKit(world.at, kit.id, { ...fields, players: 3, variantIds: [...inside, b.id] }, 1, by()),
    ).toMatchObject({ ok: true });
    expect((await findKit(world.at, kit.id))!.variants.map(({ id }) => id)).toEqual([...inside, a.id, b.id]);
    const gone = await addVariant(world, 'hat-numbers', 'C');
    await archiveVariant(world.at, gone.id);
    await expect(saveKit(world.at, { ...fields, name: 'New', variantIds: [gone.id] })).rejects.toThrow(
      VariantGone,
    );
  });

  it('of the school’s picture is refused on an older one', async () => {
    expect(await setSchoolMark(world.at, 'data:one', 1)).toBe(true);
    expect(await setSchoolMark(world.at, 'data:two', 1)).toBe(false);
    expect((await schoolVersions(world.at)).mark).toBe(2);
  });

  it('of a due date is refused when it is no longer the one that was shown', async () => {
    const loan = await lendOut(world, { lentOn: '2026-11-01', dueOn: '2026-11-22' });
    expect(await changeDue(world.at, loan, '2026-12-01', by(), '2026-11-22')).toBe(true);
    expect(await changeDue(world.at, loan, '2026-12-08', by(), '2026-11-22')).toBe(false);
    expect((await findLoan(world.at, loan))!.dueOn).toBe('2026-12-01');
  });

  it('of words keeps what others found of other lines, and asks about the same', async () => {
    const game = gameOf('two-tone-spill');
    const nothing = { right: false, note: '' };
    const line = (messageId: string, right: boolean, had = nothing) => ({ messageId, right, note: '', had });
    await saveLineWords(
      world.at,
      game,
      'es',
      [line('name', true), line('goal', true)],
      world.people.reader.id,
    );
    const late = await saveLineWords(
      world.at,
      game,
      'es',
      [line('name', false), { ...line('goal', false), note: 'shorter' }],
      world.people.coordinator.id,
    );
    expect(late).toMatchObject({
      saved: 0,
      clashes: [{ messageId: 'goal', by: 'Reader', theirs: { right: true } }],
    });
    const checks = await lineChecks(world.at, game, 'es');
    expect([checks[lineKey('name', 'es')]!.right, checks[lineKey('goal', 'es')]!.right]).toEqual([
      true,
      true,
    ]);
  });
});

describe('undoing', () => {
  const me = () => world.people.helper.id;
  const home = (loanId: string) =>
    takeBack(world.at, { loanId, returnedOn: '2026-11-20', counts: [], personId: null });
  it('is refused with what rests on it', async () => {
    const loan = await lendOut(world, { lentOn: '2026-11-01', dueOn: '2026-11-22' });
    await addAnswer(world.at, aWord(loan, { sendKey: 'x', language: 'es', childDid: 'rieron' }));
    expect(await undoLoan(world.at, loan, me())).toMatchObject({
      ok: false,
      why: expect.stringContaining('answered') as string,
    });
    await home(loan);
    const next = await lendOut(world, { family: 1, lentOn: '2026-11-21', dueOn: '2026-12-22' });
    expect(await undoReturn(world.at, loan, me())).toMatchObject({
      why: expect.stringContaining('gone out again meanwhile, to Family Dunlin') as string,
    });
    await home(next);
    expect(await undoReturn(world.at, loan, me())).toMatchObject({
      why: expect.stringContaining('was lent to Family Dunlin since') as string,
    });
    expect(await undoReturn(world.at, next, me())).toEqual({ ok: true });
    expect(await undoReturn(world.at, crypto.randomUUID(), me())).toMatchObject({ ok: false });
  });

  it('brings nothing to a family that was forgotten, and no answer is taken for it', async () => {
    const loan = await lendOut(world, { lentOn: '2026-11-01', dueOn: '2026-11-22' });
    await home(loan);
    await forgetFamily(world.at, world.families[0]!.id);
    expect(await undoReturn(world.at, loan, me())).toMatchObject({
      why: expect.stringContaining('forgotten') as string,
    });
    expect(
      await addAnswer(world.at, aWord(loan, { sendKey: 'y', language: 'es', childDid: 'x' })),
    ).toBeUndefined();
  });
});

describe('signing in', () => {
  const asked = (cookie = '') =>
    new Request('http://school.invalid/', { headers: { Cookie: cookie, 'User-Agent': 'Firefox/1 Windows' } });
  const cookieOf = async (id: string) => (await signIn(asked(), id))!.getSetCookie()[0]!.split(';')[0]!;
  it('lasts thirty days at most, however often it is used', async () => {
    const cookie = await cookieOf(world.people.helper.id);
    await everything().execute(sql`update session set created_at = now() - interval '29 days'`);
    expect(await whoIs(asked(cookie))).toMatchObject({ name: 'Helper' });
    await everything().execute(sql`update session set created_at = now() - interval '30 days 1 minute'`);
    expect(await whoIs(asked(cookie))).toBeUndefined();
  });

  it('is listed by browser, and ended by its owner only', async () => {
    const { helper, reader } = world.people;
    const [one, two] = [await cookieOf(helper.id), await cookieOf(helper.id)];
    const list = await listSessions(helper.id, '');
    expect(list.map(({ browser }) => browser)).toEqual(['Firefox on Windows', 'Firefox on Windows']);
    expect(await endSessions(reader.id, { id: list[0]!.id })).toBe(0);
    expect(await endSessions(helper.id, { id: list[0]!.id })).toBe(1);
    expect([await whoIs(asked(one)), await whoIs(asked(two))].filter(Boolean)).toHaveLength(1);
  });

  it('may be set anew by the browser whose number was told, once and while it holds', async () => {
    const { helper, reader, coordinator } = world.people;
    const soon = new Date(Date.now() + 9e6);
    const ask = (tokenHash: string, number: string, expiresAt = soon, personId = helper.id) =>
      askForPassword({ tokenHash, number, expiresAt, personId });
    const say = (number: string, personId = helper.id) =>
      letSetPassword({
        schoolId: world.school.id,
        personId,
        number,
        expiresAt: soon,
        createdBy: coordinator.id,
      });
    await ask('old', '111111', new Date(Date.now() - 1));
    await ask('mine', '222222');
    await ask('theirs', '333333');
    expect(await say('111111')).toBe('number');
    expect(await say('222222', reader.id)).toBe('number');
    // Somebody who may not let them uses nothing up.
    const byReader = letSetPassword({
      schoolId: world.school.id,
      personId: helper.id,
      number: '222222',
      expiresAt: soon,
      createdBy: reader.id,
    });
    expect(await byReader).toBe('refused');
    expect(await say('222 22')).toBe('number');
    const said = await Promise.all(['222222', '222222', '222222'].map((number) => say(number)));
    expect(said.sort()).toEqual(['allowed', 'number', 'number']);
    expect(await findPasswordLink('mine')).toMatchObject({ name: 'Helper' });
    expect(await findPasswordLink('theirs')).toBeUndefined();
    expect(await spendPasswordLink('mine', 'x')).toBe(helper.id);
    // Once it is set, what others asked for is worth nothing.
    expect(await say('333333')).toBe('number');
    await expect(ask('odd', '12345x')).rejects.toThrow();
  });

  it('frees a name when an access ends, and links of the one who left are worth nothing', async () => {
    const { helper, coordinator } = world.people;
    const link = {
      schoolId: world.school.id,
      keyHash: 'k',
      personId: helper.id,
      expiresAt: new Date(Date.now() + 9e6),
      createdBy: coordinator.id,
    };
    expect(await addPasswordLink(link)).toBe(true);
    expect(await findPasswordLink('k')).toMatchObject({ name: 'Helper' });
    expect(await deactivatePerson(world.at, helper.id, coordinator.id)).toBe('ended');
    expect(await findPasswordLink('k')).toBeUndefined();
    expect(await addPasswordLink({ ...link, keyHash: 'l' })).toBe(false);
    expect(
      await createPerson(world.at, { name: 'ＨＥＬＰＥＲ', passwordHash: 'x', role: 'helper' }),
    ).toMatchObject({
      role: 'helper',
    });
    await expect(
      createPerson(world.at, { name: 'helper', passwordHash: 'x', role: 'helper' }),
    ).rejects.toThrow();
    expect((await logOf(world.at, 'person', helper.id))[0]).toMatchObject({
      kind: 'removed',
      by: 'Coordinator',
    });
  });
});

describe('a saved setting', () => {
  it('is completed by today’s knobs, and marked where its game cannot take it', () => {
    const game = gameOf('two-tone-spill');
    const { params } = game.presets[1]!;
    const { finish: _, ...less } = params;
    expect(sound({ gameId: game.id, name: 'x', params: less }).params).toEqual({
      ...params,
      finish: 'asTheyFall',
    });
    for (const broken of [
      { gameId: game.id, params: { counters: 'many' } },
      { gameId: 'gone', params: {} },
      { gameId: 'tide-pairs', params: { target: -1 } },
    ]) {
      const read = sound({ name: 'x', ...broken });
      expect(isClosed(gameFor(read))).toBe(true);
    }
    expect(
      soundPlan({ ageBand: 'K', players: 2, assurance: 'usual' } as Parameters<typeof soundPlan>[0]).variants,
    ).toEqual([]);
  });
});

describe('years of a school', () => {
  it('are listened to by their newest answers, and read for what is short without all that was complete', async () => {
    const loan = await lendOut(world, { lentOn: '2026-11-01', dueOn: '2026-11-22' });
    await world.at.execute(sql`
      insert into answer (send_key, loan_id, language, sent_at)
      select 'old ' || n, ${loan}, 'es', now() - make_interval(mins => n) from generate_series(1, 1200) n`);
    const page = async (first: number) => {
      const { answers: shown, found } = await pageOfAnswers(world.at, {
        kitId: world.kitId,
        first,
        most: 40,
      });
      return [found, shown.length, shown[0]?.answer.sendKey, shown.at(-1)?.answer.sendKey];
    };
    expect(await page(0)).toEqual([1200, 40, 'old 1', 'old 40']);
    expect(await page(1180)).toEqual([1200, 20, 'old 1181', 'old 1200']);
    expect(await page(1200)).toEqual([1200, 0, undefined, undefined]);
    const [copy, other] = world.copies;
    const count = (copyId: string, counted: number) =>
      world.at.execute(
        sql`insert into part_count (copy_id, cause, material, expected, counted) values (${copyId}, 'return', 'two-colour-counter', 6, ${counted})`,
      );
    for (const counted of [4, 6, 5]) await count(copy!.id, counted);
    for (const counted of [2, 6]) await count(other!.id, counted);
    expect((await listShortages(world.at)).map(({ tag, counted }) => [tag, counted])).toEqual([
      [copy!.tag, 5],
    ]);
    expect(await listShortages(world.at, other!.id)).toEqual([]);
    expect(await copiesNow(world.at, '2026-11-26')).toMatchObject({ short: 1, ready: 2 });
    expect((await dayFacts(world.at, '2026-11-26')).unread).toBe(1200);
  });
});

describe('the work of a day', () => {
  it('is claimed by one of those who ask, and again when it failed', async () => {
    const asked = await Promise.all(Array.from({ length: 6 }, () => claimDaily('backup', '2026-11-26')));
    expect(asked.filter(Boolean)).toHaveLength(1);
    expect(await claimDaily('backup', '2026-11-26')).toBe(false);
    await tellDaily('backup', 'failed', '2026-11-25');
    expect(await claimDaily('backup', '2026-11-26')).toBe(true);
    expect(await claimDaily('backup', '2026-11-27')).toBe(true);
  });
});
