import type { KitUse } from '~/core/looking/copies';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { daysAfter } from '~/core/lending/due';
import { silent } from '~/core/listening/answer';
import { closeDatabase } from '~/data/pools';
import { mend } from '~/data/queries/counts';
import { familyFields, forgetFamily, updateFamily } from '~/data/queries/families';
import { askFor, withdrawHold } from '~/data/queries/holds';
import { undoLoan } from '~/data/queries/lending';
import { addAnswer } from '~/data/queries/listening';
import { inBags, kitUses, losses, timesPlayed, wordsSaid } from '~/data/queries/looking';
import {
  dropOldLooks,
  familiesPast,
  keepingMonths,
  looksAt,
  noteLook,
  saveKeeping,
} from '~/data/queries/privacy';
import { takeBack, undoReturn } from '~/data/queries/returns';
import { addText, settleText } from '~/data/queries/texts';
import { keptSince } from '~/core/lending/keeping';
import { familyLook } from '~/data/schema';
import { copiesIn, periodOf, playedIn, reachedIn, wearIn } from '~/server/looking/figures';
import { reportOf } from '~/server/looking/report';
import { tableCsv } from '~/server/looking/tables';
import { knownText } from '~/server/families/known';
import { today as todayAt } from '~/server/today';
import { readRows } from '~/server/csv';
import { everything } from '../owner';
import { aWord, lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let day: string;
beforeEach(async () => {
  world = await smallSchool();
  day = todayAt(world.at);
});
afterAll(closeDatabase);

const me = (): string => world.people.coordinator.id;
const span = () => ({ from: daysAfter(day, -60), to: day });
const out = (copy: number, family: number, from = -30): Promise<string> =>
  lendOut(world, { copy, family, lentOn: daysAfter(day, from), dueOn: daysAfter(day, from + 14) });
const back = (loanId: string, copy: number, counted: number, on = -16): Promise<boolean> => {
  const part = world.copies[copy]!.parts.find(({ material }) => material === 'two-colour-counter')!;
  return takeBack(world.at, {
    loanId,
    returnedOn: daysAfter(day, on),
    counts: [{ material: part.material, expected: part.quantity, counted }],
    personId: me(),
  });
};
const full = (): number =>
  world.copies[0]!.parts.find(({ material }) => material === 'two-colour-counter')!.quantity;

describe('losses', () => {
  it('are what came home less than went out: once for a return that was undone and counted again, and not again after mending', async () => {
    const first = await out(0, 0);
    await back(first, 0, full() - 2);
    await undoReturn(world.at, first, me());
    await back(first, 0, full() - 1);
    const next = await out(0, 1, -15);
    // Lent short by one, home short by three.
    await back(next, 0, full() - 3, -5);
    await mend(world.at, world.copies[0]!.id, me());
    const last = await out(0, 2, -4);
    await back(last, 0, full(), -1);
    const [row, ...rest] = await losses(world.at, span());
    expect(rest).toEqual([]);
    expect(row).toMatchObject({ material: 'two-colour-counter', lost: 3, loans: 3 });
    // Only what came home in the span.
    expect((await losses(world.at, { from: daysAfter(day, -6), to: day }))[0]).toMatchObject({
      lost: 2,
      loans: 2,
    });
    expect(await losses(world.at, { from: day, to: day })).toEqual([]);
    expect((await inBags(world.at))['two-colour-counter']).toBe(3 * full());
    const { parts, kits, games, loans } = await wearIn(world.at, { id: 'x', name: 'x', ...span() });
    expect([parts[0]!.lost, kits[0]!.lost, games[0]!.lost, loans]).toEqual([3, 3, 3, 3]);
  });
});

describe('what is asked for', () => {
  it('is loans and wishes that came to nothing; a bag that is out counts for as long as it has been, and for no less', async () => {
    await back(await out(0, 0), 0, full());
    const soon = await out(1, 1, -10);
    const late = await out(2, 2, -30);
    const away = (use: KitUse): string[] =>
      use.away.map(({ days, home }) => `${days} ${home ? 'home' : 'out'}`).sort();
    const [all] = await kitUses(world.at, span(), day);
    expect(all).toMatchObject({ loans: 3, lendingDays: 2, fresh: 0 });
    expect(away({ ...all!, weeks: 1 })).toEqual(['10 out', '14 home', '30 out']);
    await undoLoan(world.at, late, me());
    expect(soon).not.toBe(late);
    const wait = { familyId: world.families[2]!.id, kitId: world.kitId, personId: null, today: day };
    await askFor(world.at, wait);
    const [use] = await kitUses(world.at, span(), day);
    // Who gave the loan up has not had it.
    expect(use).toMatchObject({ copies: 3, loans: 2, lendingDays: 2, asks: 3, fresh: 1 });
    expect(away({ ...use!, weeks: 1 })).toEqual(['10 out', '14 home']);
    const { rows } = await everything().execute<{ id: string }>(sql`select id from hold`);
    await withdrawHold(world.at, rows[0]!.id, day, world.families[2]!.id);
    // Given up, it was still asked for.
    expect((await kitUses(world.at, span(), day))[0]!.asks).toBe(3);
    const { kits, idle } = await copiesIn(world.at, { id: 'x', name: 'x', ...span() }, undefined);
    expect(kits).toMatchObject([{ name: 'First splits', copies: 3 }]);
    expect(idle).toEqual([]);
  });
});

describe('a period looked back on', () => {
  const period = () => ({ id: 'own', name: 'days of your own', ...span() });

  it('counts families, answers and plays, and says what is missing', async () => {
    const one = await out(0, 0);
    await back(one, 0, full());
    await out(1, 1);
    await addAnswer(
      world.at,
      aWord(one, { minutes: 12, games: [{ ...silent(0), said: 'justRight', times: 4 }] }),
    );
    await addAnswer(world.at, aWord(one, { games: [{ ...silent(0), said: 'tooEasy', times: 2 }] }));
    // One loan counts once, with the most that was told of it.
    expect(await timesPlayed(world.at, span())).toEqual([
      { kitId: world.kitId, familyId: world.families[0]!.id, times: 4, minutes: 12 },
    ]);
    expect((await wordsSaid(world.at, span())).map(({ said }) => said).sort()).toEqual([
      'justRight',
      'tooEasy',
    ]);
    const reach = await reachedIn(world.at, period());
    expect(reach).toMatchObject({ families: 3, lent: 2, loans: 2, answered: 1, forgotten: 0 });
    expect(reach.by.language.reached.shares.map(({ id, n, of }) => [id, n, of])).toEqual([
      ['en', 1, 2],
      ['es', 1, 1],
    ]);
    expect(reach.nothing).toMatchObject([{ name: 'Family Auk', weeks: null }]);
    const { kits, grades } = await playedIn(world.at, period(), true);
    expect(kits[0]).toMatchObject({ playsPerLoan: 4, minutesSaid: 12, right: { n: 1, of: 2 } });
    expect(kits[0]!.playCents).toBeGreaterThan(0);
    expect(grades).toMatchObject([{ id: 'g1', n: 1, of: 2 }]);
    await forgetFamily(world.at, world.families[0]!.id);
    expect(await reachedIn(world.at, period())).toMatchObject({ families: 2, lent: 1, forgotten: 1 });
  });

  it('leaves out families that joined later, month by month too, unless they had a bag before', async () => {
    await back(await out(0, 0, -70), 0, full(), -60);
    const then = { id: 'own', name: 'then', from: daysAfter(day, -90), to: daysAfter(day, -50) };
    // All were written down today; one had a bag before that.
    expect(await reachedIn(world.at, then)).toMatchObject({ families: 1, lent: 1, nothing: [] });
    const wide = await reachedIn(world.at, { ...then, to: day });
    expect(wide).toMatchObject({ families: 3, lent: 1 });
    const { shares } = wide.by.month.reached;
    expect(shares.at(-1)).toMatchObject({ of: 3 });
    expect(shares.find(({ n }) => n > 0)).toMatchObject({ n: 1, of: 1 });
    expect(wide.by.month.answered.shares).toMatchObject([{ n: 0, of: 1 }]);
    await everything().execute(
      sql`update family set created_at = now() - interval '80 days' where name = 'Family Auk'`,
    );
    expect(await reachedIn(world.at, then)).toMatchObject({ families: 2, nothing: [{ name: 'Family Auk' }] });
  });

  it('gives every table as a file that reads again, with its days, and no other', async () => {
    await back(await out(0, 0), 0, full() - 1);
    for (const name of [
      'reached-language',
      'reached-grade',
      'reached-group',
      'reached-month',
      'wear',
      'wear-kits',
      'wear-games',
      'demands',
      'forecasts',
      'copies',
      'stock',
      'play',
      'right-by-grade',
    ]) {
      const csv = await tableCsv(world.at, name, period(), daysAfter(day, 30));
      const read = readRows(csv!, { columns: ['from', 'to'], needed: ['from', 'to'], listOf: 'rows' });
      if (!read.ok) expect(read.problem, name).toMatch(/There are no rows/);
      else
        for (const { cell, fault } of read.rows)
          expect([cell('from'), cell('to'), fault], name).toEqual([period().from, day, undefined]);
    }
    expect(await tableCsv(world.at, 'constructor', period(), undefined)).toBeUndefined();
    expect(await tableCsv(world.at, 'families', period(), undefined)).toBeUndefined();
  });

  it('tells others only what rests on five families, and names none', async () => {
    await back(await out(0, 0), 0, full() - 1);
    const facts = await reportOf(world.at, 'Tern Rock School', period(), undefined);
    expect(facts).toMatchObject({ families: 3, reached: 1, loans: 1 });
    expect([facts.right, facts.playsPerLoan, facts.minutes]).toEqual([undefined, undefined, undefined]);
    expect(JSON.stringify(facts)).not.toMatch(/Vela|Dunlin|Auk/);
  });

  it('is the last twelve weeks where the school has no terms', async () => {
    const { period: usual, termEnds } = await periodOf(world.at, new URLSearchParams());
    expect([usual.id, usual.to, termEnds]).toEqual(['weeks', day, undefined]);
  });
});

describe('what is known of a family', () => {
  it('is one file in plain words, with everything that names it', async () => {
    const [family] = world.families;
    await updateFamily(
      world.at,
      family!.id,
      {
        ...familyFields(family!),
        children: 'Pip, grade 1',
        reach: '555-0177',
        group: 'Room 4',
        allergens: 'latex',
      },
      1,
      me(),
    );
    const loanId = await out(0, 0);
    await addAnswer(
      world.at,
      aWord(loanId, {
        missing: 'una ficha azul',
        games: [{ ...silent(0), said: 'tooHard', child: 'Pip', childSaid: 'Se pierden al contar' }],
      }),
    );
    const text = await addText(world.at, { carriedAs: 'a', reach: '555-0177', text: 'hola escuela' });
    await settleText(world.at, text!, { familyId: family!.id });
    await noteLook(world.at, family!.id, me(), 'page');
    await noteLook(world.at, family!.id, me(), 'page');
    expect(await looksAt(world.at, family!.id)).toMatchObject([{ by: 'Coordinator', what: 'page' }]);
    const file = (await knownText(world.at, 'Tern Rock School', family!.id))!;
    for (const word of [
      'Familia Vela',
      'Spanish',
      'Pip, grade 1',
      '555-0177',
      'Room 4',
      'latex',
      'una ficha azul',
      'Se pierden al contar',
      'too hard',
      'hola escuela',
      'Coordinator',
    ])
      expect(file).toContain(word);
    expect(file).not.toMatch(/undefined|null|\[object/);
    expect(await knownText(world.at, 'x', crypto.randomUUID())).toBeUndefined();
    await back(loanId, 0, full());
    await forgetFamily(world.at, family!.id);
    expect(await knownText(world.at, 'x', family!.id)).toBeUndefined();
    expect(await looksAt(world.at, family!.id)).toEqual([]);
  });

  it('is kept for so many months after the last loan, and only proposed for forgetting', async () => {
    const since = keptSince(day, 6);
    // Old families: one had a bag long ago, one has a bag now, one never had any.
    await everything().execute(sql`update family set created_at = now() - interval '3 years'`);
    const old = await out(0, 0, -400);
    await back(old, 0, full(), -380);
    await out(1, 1, -400);
    expect((await familiesPast(world.at, since)).map(({ name }) => name)).toEqual([
      'Family Auk',
      'Familia Vela',
    ]);
    expect(await keepingMonths(world.at)).toEqual({ months: null, version: 1 });
    await saveKeeping(world.at, 6, me());
    await saveKeeping(world.at, 8, me());
    expect(await keepingMonths(world.at)).toEqual({ months: 8, version: 2 });
    await back(await out(2, 0, -20), 2, full(), -3);
    expect((await familiesPast(world.at, since)).map(({ name }) => name)).toEqual(['Family Auk']);
  });

  it('loses the looks of more than a year ago', async () => {
    await noteLook(world.at, world.families[0]!.id, me(), 'level');
    await everything()
      .update(familyLook)
      .set({ at: new Date(Date.now() - 400 * 86_400_000) });
    await noteLook(world.at, world.families[0]!.id, me(), 'level');
    await dropOldLooks(world.at);
    expect(await looksAt(world.at, world.families[0]!.id)).toHaveLength(1);
  });
});
