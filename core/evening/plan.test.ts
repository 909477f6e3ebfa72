import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkJson } from '~/core/check/check';
import { giveMinute, go, goneAt, halt, phaseAt, shown, skip, START, type Clock } from './clock';
import {
  askedOf,
  clockTime,
  coming,
  comingPmf,
  emptyPlan,
  groupsOf,
  MOST,
  PEOPLE,
  planSchema,
  readHelpers,
  rehearsedBy,
  shortfalls,
  startFrom,
  swapped,
  timesOf,
  turned,
  withPin,
  writeHelpers,
  type EveningPlan,
} from './plan';
import { evening } from './rotation';

const WHEN = { name: 'Game night', startsAt: '17:30', rounds: 3, roundMinutes: 12, changeMinutes: 3 };

describe('who comes', () => {
  it('is a guess with its spread', () => {
    const { low, middle, high } = coming(48, 60);
    expect(low <= middle && middle <= high).toBe(true);
    expect(middle).toBeGreaterThanOrEqual(28);
    expect(middle).toBeLessThanOrEqual(29);
    expect(coming(0, 60)).toEqual({ low: 0, middle: 0, high: 0, seated: 1 });
    expect(coming(10, 100)).toEqual({ low: 10, middle: 10, high: 10, seated: 1 });
  });

  it('spreads wider the less sure the guess is, and needs more seats for it', () => {
    const sure = coming(48, 60, 0, 90);
    const unsure = coming(48, 60, 20, 90);
    expect(unsure.high - unsure.low).toBeGreaterThan(sure.high - sure.low);
    expect(unsure.seated).toBeLessThan(sure.seated);
    // Half of all guesses are too low: seats for the middle alone are too few every other time.
    expect(coming(48, 60, 10, coming(48, 60).middle * PEOPLE).seated).toBeLessThan(0.65);
    expect(coming(48, 60, 20, 48 * PEOPLE).seated).toBe(1);
    for (const spread of [0, 5, 15, 40])
      for (const come of [1, 50, 99, 100]) {
        const { p } = comingPmf(48, come, spread);
        expect(p.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
        expect(p.reduce((sum, one, n) => sum + one * n, 0)).toBeCloseTo((48 * come) / 100, 6);
      }
  });

  it('sits in groups of one language that fit a table, the grades in order', () => {
    const invited = fc.array(
      fc.record({
        language: fc.constantFrom('en', 'es', 'ar'),
        band: fc.constantFrom('preK' as const, 'K' as const, 'g1' as const, 'g3' as const),
        families: fc.integer({ min: 0, max: 12 }),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(
        invited,
        fc.integer({ min: 1, max: 100 }),
        fc.integer({ min: 3, max: 15 }),
        (list, come, most) => {
          const groups = groupsOf(list, come, most);
          for (const { size, languages } of groups) {
            expect(size).toBeLessThanOrEqual(Math.max(PEOPLE, most));
            expect(languages).toHaveLength(1);
          }
          expect(new Set(groups.map(({ id }) => id)).size).toBe(groups.length);
          for (const language of ['en', 'es', 'ar']) {
            const all = list
              .filter((one) => one.language === language)
              .reduce((sum, { families }) => sum + families, 0);
            const people = groups
              .filter((one) => one.languages[0] === language)
              .reduce((sum, { size }) => sum + size, 0);
            expect(people).toBe(all === 0 ? 0 : PEOPLE * Math.max(1, Math.round((all * come) / 100)));
          }
          const plan: EveningPlan = { ...emptyPlan(WHEN), groups };
          expect(checkJson(planSchema, plan).ok).toBe(groups.length <= MOST.groups);
        },
      ),
    );
  });
});

describe('helpers', () => {
  it('are read from lines, and come back as they went', () => {
    const read = readHelpers('Tobin: English, Spanish\n\nEskil: Arabic\nMaren');
    if (!read.ok) throw new Error(read.problem);
    expect(read.helpers).toEqual([
      { id: 'Tobin', languages: ['en', 'es'] },
      { id: 'Eskil', languages: ['ar'] },
      { id: 'Maren', languages: [] },
    ]);
    expect(readHelpers(writeHelpers(read.helpers))).toEqual(read);
    expect(readHelpers('Tobin: Elvish')).toEqual({
      ok: false,
      problem: '“Elvish” is no language that is known here.',
    });
    expect(readHelpers('Tobin: en\nTobin: es')).toMatchObject({ ok: false });
    expect(readHelpers(': English')).toMatchObject({ ok: false });
    expect(readHelpers(Array.from({ length: 41 }, (_, i) => `H${i}`).join('\n'))).toMatchObject({
      ok: false,
    });
  });
});

describe('a plan', () => {
  const plan: EveningPlan = {
    ...emptyPlan(WHEN),
    rounds: 2,
    tables: [
      { id: 'Table 1', seats: 12 },
      { id: 'Table 2', seats: 12 },
    ],
    groups: [
      { id: 'Spanish', size: 6, languages: ['es'], band: 'g1' },
      { id: 'Portuguese', size: 6, languages: ['pt'], band: 'K' },
    ],
    helpers: [{ id: 'Tobin', languages: ['es'] }],
    pins: [{ group: 'gone', table: 'Table 1', round: 1 }],
    hosts: [{ table: 'Table 9', helper: 'Tobin' }],
  };

  it('says what cannot be had and what would help; pins of what is gone count no more', async () => {
    const asked = askedOf(plan);
    expect([asked.pins, asked.hosts]).toEqual([[], []]);
    const rotation = await evening(asked);
    const told = shortfalls(plan, rotation);
    expect(told[0]).toBe('No helper speaks Portuguese: ask one who does, or print the host’s card in it.');
    expect(told[1]).toMatch(/^Spanish: nobody at the table speaks Spanish in round \d\.$/);
    expect(told[2]).toMatch(/^Table \d has no host: one more helper would fill it\.$/);
    expect(told).toHaveLength(3);
  });

  it('has its times', () => {
    expect(
      timesOf(WHEN, { ...plan, rounds: 3 }).map(({ from, to }) => [clockTime(from), clockTime(to)]),
    ).toEqual([
      ['5:30 PM', '5:42 PM'],
      ['5:45 PM', '5:57 PM'],
      ['6:00 PM', '6:12 PM'],
    ]);
    expect([clockTime(0), clockTime(12 * 60), clockTime(11 * 60 + 5)]).toEqual([
      '12:00 AM',
      '12:00 PM',
      '11:05 AM',
    ]);
  });
});

describe('the clock of the rounds', () => {
  const course = { rounds: 2, roundMinutes: 10, changeMinutes: 2 };
  const at = (clock: Clock, minutes: number) => phaseAt(course, clock, minutes * 60_000);
  it('goes through rounds and changes, and is over', () => {
    const clock = go(START, 0);
    expect(at(clock, 0)).toEqual({ kind: 'round', round: 1, leftMs: 600_000 });
    expect(at(clock, 10)).toEqual({ kind: 'change', round: 2, leftMs: 120_000 });
    expect(at(clock, 13)).toEqual({ kind: 'round', round: 2, leftMs: 540_000 });
    expect(at(clock, 22)).toEqual({ kind: 'over' });
    expect(at(START, 99)).toMatchObject({ kind: 'round', round: 1, leftMs: 600_000 });
    expect(shown(599_001)).toBe('10:00');
    expect(shown(5_000)).toBe('0:05');
  });
  it('stands while it is halted, and a minute that is given lengthens what is on', () => {
    const halted = halt(go(START, 0), 4 * 60_000);
    expect(at(halted, 60)).toMatchObject({ kind: 'round', leftMs: 360_000 });
    const on = go(halted, 60 * 60_000);
    expect(at(on, 65)).toMatchObject({ kind: 'round', round: 1, leftMs: 60_000 });
    const longer = giveMinute(on, 65 * 60_000);
    expect(at(longer, 65)).toMatchObject({ kind: 'round', round: 1, leftMs: 120_000 });
    expect(at(longer, 67)).toMatchObject({ kind: 'change', round: 2, leftMs: 120_000 });
    expect(phaseAt(course, skip(course, longer, 65 * 60_000), 65 * 60_000)).toMatchObject({
      kind: 'change',
      round: 2,
    });
    expect(go(on, 99)).toBe(on);
  });
  it('never goes back, whatever is pressed, and loses no part', () => {
    const act = fc.record({
      what: fc.constantFrom('go', 'halt', 'give', 'skip', 'wait'),
      after: fc.integer({ min: 0, max: 200_000 }),
    });
    fc.assert(
      fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
        let clock = START;
        let now = 0;
        let before = -1;
        for (const { what, after } of acts) {
          now += after;
          clock =
            what === 'go'
              ? go(clock, now)
              : what === 'halt'
                ? halt(clock, now)
                : what === 'give'
                  ? giveMinute(clock, now)
                  : what === 'skip'
                    ? skip(course, clock, now)
                    : clock;
          expect(goneAt(clock, now)).toBeGreaterThanOrEqual(Math.max(0, before));
          before = goneAt(clock, now);
          const phase = phaseAt(course, clock, now);
          if (phase.kind !== 'over') expect(phase.leftMs).toBeGreaterThan(0);
        }
      }),
    );
  });
});

describe('what is held', () => {
  const plan: EveningPlan = {
    ...emptyPlan(WHEN),
    groups: ['A', 'B', 'C'].map((id) => ({ id, size: 4, languages: ['en'], band: 'K' as const })),
    tables: ['T1', 'T2', 'T3'].map((id) => ({ id, seats: 8 })),
    helpers: [
      { id: 'Tobin', languages: ['en'] },
      { id: 'Éskil', languages: ['en'] },
    ],
  };
  const at = (rotation: Awaited<ReturnType<typeof evening>>, group: string, round: number) =>
    rotation.plan.find((one) => one.round === round && one.groups.includes(group))!.table;

  it('stays where somebody says so, and gives way to what is said later', async () => {
    const once = { ...plan, ...withPin(plan, { group: 'A', round: 1, table: 'T3' }) };
    expect(at(await evening(askedOf(once)), 'A', 1)).toBe('T3');
    // At one table in one round, and at no table twice.
    const later = { ...once, ...withPin(once, { group: 'A', round: 2, table: 'T3' }) };
    expect(later.pins).toEqual([{ group: 'A', round: 2, table: 'T3' }]);
    const moved = { ...once, ...withPin(once, { group: 'A', round: 1, table: 'T2' }) };
    expect(moved.pins).toEqual([{ group: 'A', round: 1, table: 'T2' }]);
  });

  it('changes places', async () => {
    const rotation = await evening(askedOf(plan));
    const [first, second] = [at(rotation, 'A', 2), at(rotation, 'B', 2)];
    if (first === second) {
      expect(swapped(plan, rotation, { round: 2, group: 'A', with: 'B' })).toBeUndefined();
      return;
    }
    const after = await evening(
      askedOf({ ...plan, ...swapped(plan, rotation, { round: 2, group: 'A', with: 'B' })! }),
    );
    expect([at(after, 'A', 2), at(after, 'B', 2)]).toEqual([second, first]);
    expect(swapped(plan, rotation, { round: 2, group: 'A', with: 'nobody' })).toBeUndefined();
  });

  it('turns: what was second is first, and it can be turned until it is as it was', async () => {
    const rotation = await evening(askedOf(plan));
    const once = { ...plan, ...turned(plan, rotation) };
    const after = await evening(askedOf(once));
    for (const group of ['A', 'B', 'C'])
      expect([1, 2, 3].map((round) => at(after, group, round))).toEqual(
        [2, 3, 1].map((round) => at(rotation, group, round)),
      );
    expect(after.hosts).toEqual(rotation.hosts);
    const whole = await evening(askedOf({ ...plan, ...turned(once, after) }));
    const back = await evening(askedOf({ ...plan, ...turned(plan, whole) }));
    for (const round of [1, 2, 3]) expect(at(back, 'A', round)).toBe(at(rotation, 'A', round));
  });

  it('is let go when another evening starts from it', () => {
    const held = {
      ...plan,
      ...withPin(plan, { group: 'A', round: 1, table: 'T3' }),
      hallRules: 'Two doors.',
    };
    expect(startFrom(held)).toEqual({ ...plan, hallRules: 'Two doors.' });
  });

  it('knows who has rehearsed, whatever the accents', () => {
    const rehearsed = [{ helper: 'eskil', gameId: 'tide-pairs' }];
    expect(rehearsedBy(rehearsed, 'Éskil')).toEqual(['tide-pairs']);
    const game = { gameId: 'tide-pairs', name: 'x', params: {}, ageBand: 'K' as const };
    const withGame = { ...plan, tables: plan.tables.map((one, i) => (i === 1 ? { ...one, game } : one)) };
    expect(askedOf(withGame, rehearsed).rehearsed).toEqual([{ table: 'T2', helper: 'Éskil' }]);
  });
});
