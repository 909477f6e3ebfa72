import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solve, valueOf, type Condition, type Programme } from './milp';

const NAMES = ['a', 'b', 'a longer name: with signs'] as const;
const factor = fc.integer({ min: -6, max: 6 });
const terms = fc.tuple(factor, factor, factor).map((all) => new Map(NAMES.map((name, i) => [name, all[i]!])));
const condition: fc.Arbitrary<Condition> = fc.record({
  terms,
  is: fc.constantFrom('<=' as const, '>=' as const, '=' as const),
  bound: fc.integer({ min: -10, max: 25 }),
});
const programme: fc.Arbitrary<Programme> = fc.record({
  direction: fc.constantFrom('max' as const, 'min' as const),
  aim: terms,
  conditions: fc.array(condition, { maxLength: 3 }),
  whole: fc
    .array(fc.integer({ min: 0, max: 4 }), { minLength: 3, maxLength: 3 })
    .map((bounds) => new Map(NAMES.map((name, i) => [name, bounds[i]!]))),
});

/** Every way there is. */
function* ways(whole: ReadonlyMap<string, number>): Generator<Map<string, number>> {
  const [x, y, z] = NAMES.map((name) => whole.get(name)!) as [number, number, number];
  for (let a = 0; a <= x; a++)
    for (let b = 0; b <= y; b++)
      for (let c = 0; c <= z; c++) yield new Map([a, b, c].map((n, i) => [NAMES[i]!, n]));
}
const holds = ({ terms: of, is, bound }: Condition, values: ReadonlyMap<string, number>): boolean => {
  const value = valueOf(of, values);
  return is === '<=' ? value <= bound : is === '>=' ? value >= bound : value === bound;
};

describe('a programme in whole numbers', () => {
  it('has the answer that trying everything has', async () => {
    await fc.assert(
      fc.asyncProperty(programme, async (one) => {
        const found = await solve(one);
        const aims = [...ways(one.whole)]
          .filter((values) => one.conditions.every((of) => holds(of, values)))
          .map((values) => valueOf(one.aim, values));
        if (aims.length === 0) {
          expect(found.status).toBe('infeasible');
          return;
        }
        if (found.status !== 'optimal') throw new Error(`It says ${found.status}.`);
        expect(found.aim).toBe(one.direction === 'max' ? Math.max(...aims) : Math.min(...aims));
        expect(one.conditions.every((of) => holds(of, found.values))).toBe(true);
        for (const [name, n] of found.values) {
          expect(Number.isInteger(n)).toBe(true);
          expect(n >= 0 && n <= one.whole.get(name)!).toBe(true);
        }
      }),
      { numRuns: 250 },
    );
  }, 300_000);

  it('finds a better one that is better by little', async () => {
    const whole = new Map([
      ['x', 10],
      ['y', 10],
    ]);
    const found = await solve({
      direction: 'max',
      aim: new Map([
        ['x', 1.000001],
        ['y', 1],
      ]),
      conditions: [{ terms: new Map([...whole.keys()].map((name) => [name, 1])), is: '<=', bound: 10 }],
      whole,
    });
    expect(found).toMatchObject({
      status: 'optimal',
      values: new Map([
        ['x', 10],
        ['y', 0],
      ]),
    });
  });

  it('has one answer without variables, and refuses what has no bound or is no number', async () => {
    const none = { direction: 'max' as const, aim: new Map(), whole: new Map() };
    expect(await solve({ ...none, conditions: [] })).toMatchObject({ status: 'optimal', aim: 0 });
    expect(await solve({ ...none, conditions: [{ terms: new Map(), is: '>=', bound: 1 }] })).toEqual({
      status: 'infeasible',
    });
    const one = { ...none, whole: new Map([['x', 3]]), conditions: [] };
    await expect(solve({ ...one, aim: new Map([['y', 1]]) })).rejects.toThrow(/"y" has no bound/);
    await expect(solve({ ...one, aim: new Map([['x', Number.NaN]]) })).rejects.toThrow(/no number/);
    expect(await solve({ ...one, aim: new Map([['x', 1e-12]]) })).toMatchObject({ status: 'optimal' });
  });

  it('takes sums of hundreds of terms', async () => {
    const whole = new Map(Array.from({ length: 400 }, (_, i) => [`n${i}`, 1]));
    const all = new Map([...whole.keys()].map((name, i) => [name, i + 1]));
    const found = await solve({
      direction: 'max',
      aim: all,
      conditions: [{ terms: new Map([...whole.keys()].map((name) => [name, 1])), is: '<=', bound: 10 }],
      whole,
    });
    expect(found).toMatchObject({ status: 'optimal', aim: 3955 });
  });
});
