import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { checkJson } from '~/core/check/check';
import { emptyPlan, planSchema, type EveningPlan } from '~/core/evening/plan';
import { daysAfter } from '~/core/lending/due';
import { PLAN_CHANGES, type PlanChange } from '~/server/evening-changes';
import { solvedOf, tableGame } from '~/server/evenings';
import { today as todayAt } from '~/server/today';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});

const game = tableGame('two-tone-spill 5-ordered')!;
const PLAN: EveningPlan = {
  ...emptyPlan({ rounds: 2, roundMinutes: 12, changeMinutes: 3 }),
  groups: [
    { id: 'A', size: 4, languages: ['en'], band: 'K' },
    { id: 'B', size: 4, languages: ['es'], band: 'g1' },
  ],
  tables: [
    { id: 'T1', seats: 8, game },
    { id: 'T2', seats: 8, game },
  ],
  helpers: [{ id: 'Tobin', languages: ['en'] }],
};
const formOf = (fields: Record<string, string>): FormData => {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) form.set(name, value);
  return form;
};
const change = async (
  intent: string,
  fields: Record<string, string>,
  plan: EveningPlan = PLAN,
): Promise<PlanChange> => {
  const rotation = (await solvedOf(plan, []))?.rotation;
  return PLAN_CHANGES[intent]!({ at: world.at, form: formOf(fields), plan, rotation });
};
const errorsOf = (found: PlanChange) => (found === 'stale' || found.ok ? {} : found.errors);
const planOf = (found: PlanChange): EveningPlan => {
  if (found === 'stale' || !found.ok) throw new Error(JSON.stringify(found));
  return { ...PLAN, ...found.plan };
};
const WHEN = { name: 'Game night', startsAt: '17:30', rounds: '3', roundMinutes: '12', changeMinutes: '3' };

describe('what a form changes of an evening', () => {
  it('is refused beside the field that is wrong, whatever stands in it', async () => {
    const onDay = daysAfter(todayAt(world.at), 7);
    const GROUPS = { come: '60', spread: '15', seats: '12' };
    const GROUP = { group: 'C', size: '5', language: 'Spanish', band: 'g1' };
    for (const [intent, fields, wrong, values] of [
      ['when', { ...WHEN, onDay }, 'onDay', ['', '2026-02-30', '1999-01-01', '2099-01-01', 'soon']],
      ['when', { ...WHEN, onDay }, 'startsAt', ['25:00', '5 pm', '17:3']],
      ['when', { ...WHEN, onDay }, 'name', ['', '   ', 'x'.repeat(81)]],
      ['when', { ...WHEN, onDay }, 'rounds', ['0', '99', '2.5', '-1', 'two', '1e3']],
      ['when', { ...WHEN, onDay }, 'roundMinutes', ['4', '61', 'NaN']],
      ['when', { ...WHEN, onDay }, 'changeMinutes', ['-1', '16']],
      ['groups', GROUPS, 'come', ['', '0', '101', '1.5', 'many', 'Infinity']],
      ['groups', GROUPS, 'spread', ['', '-1', '41', '٣x']],
      ['groups', GROUPS, 'seats', ['', '1', '41', ' ']],
      ['addGroup', GROUP, 'group', ['', 'A', 'x'.repeat(61)]],
      ['addGroup', GROUP, 'size', ['', '0', '61', 'six']],
      ['addGroup', GROUP, 'language', ['', 'Klingonese', '<b>']],
      ['addGroup', GROUP, 'band', ['', 'g9', 'constructor', '__proto__']],
      ['tables', { tables: '3' }, 'tables', ['', '0', '1000', '-3', '2,5']],
      ['helpers', { helpers: 'Tobin: English' }, 'helpers', ['Tobin: Martian', ': English']],
    ] as const)
      for (const value of values) {
        const found = await change(intent, { ...fields, [wrong]: value });
        const told = (errorsOf(found) as Record<string, string>)[wrong];
        expect(`${intent} ${wrong} “${value}”: ${told}`).toMatch(/: [A-Z0-9“].*\.$/);
      }
  });

  it('is kept where it is right', async () => {
    const onDay = daysAfter(todayAt(world.at), 7);
    expect(await change('when', { ...WHEN, onDay })).toEqual({
      ok: true,
      about: { name: 'Game night', startsAt: '17:30', onDay },
      plan: { rounds: 3, roundMinutes: 12, changeMinutes: 3 },
    });
    expect(
      planOf(await change('addGroup', { group: 'C', size: '5', language: 'spanish', band: 'g1' })).groups.at(
        -1,
      ),
    ).toEqual({ id: 'C', size: 5, languages: ['es'], band: 'g1' });
    expect(planOf(await change('removeGroup', { group: 'A' })).groups.map(({ id }) => id)).toEqual(['B']);
    expect(planOf(await change('setTable', { table: 'T1', seats: '6', game: '' })).tables).toMatchObject([
      { seats: 6, game: { name: game.name } },
      { seats: 8 },
    ]);
    expect(planOf(await change('helpers', { helpers: 'Eskil: Spanish, Arabic' }))).toMatchObject({
      helpers: [{ id: 'Eskil', languages: ['es', 'ar'] }],
      hosts: [],
    });
    expect(planOf(await change('hallRules', { hallRules: '  At most 80 people.  ' })).hallRules).toBe(
      'At most 80 people.',
    );
    const made = planOf(await change('groups', { come: '100', spread: '0', seats: '6' }));
    expect(made.groups.reduce((sum, { size }) => sum + size, 0)).toBeGreaterThan(0);
    expect(made.tables.every(({ seats }) => seats === 6)).toBe(true);
  });

  it('moves groups and hosts only where they are, and is put anew in one press', async () => {
    const pinned = planOf(await change('pin', { group: 'A', round: '1', table: 'T2' }));
    expect(pinned.pins).toContainEqual({ group: 'A', round: 1, table: 'T2' });
    expect((await solvedOf(pinned, []))!.rotation!.plan).toContainEqual(
      expect.objectContaining({ round: 1, table: 'T2', groups: expect.arrayContaining(['A']) as string[] }),
    );
    for (const [intent, fields] of [
      ['pin', { group: 'A', round: '0', table: 'T2' }],
      ['pin', { group: 'A', round: '1', table: '' }],
      ['swap', { group: 'A', round: '9', other: 'B' }],
      ['swap', { group: 'A', round: '1', other: 'nobody' }],
    ] as const)
      expect(await change(intent, fields), `${intent} ${JSON.stringify(fields)}`).toBe('stale');
    expect(await change('turn', {}, { ...PLAN, groups: [] })).toBe('stale');
    const hosted = planOf(await change('host', { table: 'T2', helper: 'Tobin' }));
    expect(hosted.hosts).toEqual([{ table: 'T2', helper: 'Tobin' }]);
    // A helper stands at one table.
    expect(planOf(await change('host', { table: 'T1', helper: 'Tobin' }, hosted)).hosts).toEqual([
      { table: 'T1', helper: 'Tobin' },
    ]);
    expect(planOf(await change('host', { table: 'T2', helper: '' }, hosted)).hosts).toEqual([]);
    expect(planOf(await change('anew', {}, { ...hosted, pins: pinned.pins }))).toMatchObject({
      pins: [],
      hosts: [],
    });
  });

  it('leaves a plan that can be solved, or says why not, when what is pinned goes', async () => {
    const pinned = { ...PLAN, ...planOf(await change('pin', { group: 'A', round: '1', table: 'T2' })) };
    const without = planOf(await change('removeGroup', { group: 'A' }, pinned));
    const solved = (await solvedOf({ ...pinned, groups: without.groups, pins: without.pins }, []))!;
    expect(solved.rotation?.plan.flatMap(({ groups }) => groups).sort()).toEqual(['B', 'B']);
  });

  it('is a plan, a sentence or stale for anything a form can hold', async () => {
    const names = [
      'name',
      'onDay',
      'startsAt',
      'rounds',
      'come',
      'spread',
      'seats',
      'group',
      'size',
      'language',
    ];
    const more = ['band', 'tables', 'table', 'game', 'helpers', 'round', 'other', 'hallRules', 'helper'];
    const value = fc.oneof(
      fc.string({ unit: 'binary', maxLength: 30 }),
      fc.constantFrom(
        'A',
        'T1',
        '1',
        '-1',
        '60',
        '1e9',
        'es',
        'Spanish',
        'Tobin: English',
        'K',
        '\u0000',
        '⁦',
      ),
    );
    const rotation = (await solvedOf(PLAN, []))!.rotation;
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...Object.keys(PLAN_CHANGES).filter((one) => one !== 'tables')),
        fc.dictionary(fc.constantFrom(...names, ...more), value, { maxKeys: 8 }),
        async (intent, fields) => {
          const found = await PLAN_CHANGES[intent]!({
            at: world.at,
            form: formOf(fields),
            plan: PLAN,
            rotation,
          });
          if (found === 'stale') return;
          if (!found.ok) {
            for (const sentence of Object.values(found.errors)) expect(sentence).toMatch(/\.$/);
            return;
          }
          const checked = checkJson(planSchema, { ...PLAN, ...found.plan });
          if (!checked.ok) for (const one of Object.values(checked.errors)) expect(one).toMatch(/\.$/);
        },
      ),
      { numRuns: 300 },
    );
  });
});
