import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { binomial, choose } from './binomial';
import {
  chanceAllSeenWithin,
  distinctSeen,
  drawsToSeeAllQuantile,
  meanDistinctSeen,
  meanDrawsToSeeAll,
} from './coverage';
import {
  atMost,
  entries,
  fromEntries,
  largest,
  map,
  mean,
  nFold,
  point,
  quantile,
  sum,
  type Pmf,
} from './pmf';
import { turnsToEnd, turnsUntilFirst, visitsUntilFirst } from './markov';
import { seeded } from './random';

const anyPmf = fc
  .array(fc.tuple(fc.integer({ min: -5, max: 12 }), fc.integer({ min: 1, max: 20 })), {
    minLength: 1,
    maxLength: 8,
  })
  .map((pairs) => {
    const total = pairs.reduce((a, [, w]) => a + w, 0);
    return fromEntries(pairs.map(([v, w]) => [v, w / total] as const));
  });
const anyOdds = fc
  .tuple(
    fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 5 }),
    fc.integer({ min: 0, max: 9 }),
  )
  .map(([weights, nothing]) => weights.map((w) => w / (weights.reduce((a, b) => a + b, 0) + nothing)));
const total = (pmf: Pmf) => pmf.p.reduce((a, b) => a + b, 0);

/** Independent of coverage.ts: a Markov chain over the sets of outcomes seen so far. */
function bySets(odds: number[], draws: number): number[] {
  let state = new Map([[0, 1]]);
  for (let n = 0; n < draws; n++) {
    const next = new Map<number, number>();
    const add = (set: number, p: number) => next.set(set, (next.get(set) ?? 0) + p);
    for (const [set, p] of state) {
      odds.forEach((o, i) => add(set | (1 << i), p * o));
      add(set, p * (1 - odds.reduce((a, b) => a + b, 0)));
    }
    state = next;
  }
  const bySize = new Array<number>(odds.length + 1).fill(0);
  for (const [set, p] of state) bySize[set.toString(2).replaceAll('0', '').length]! += p;
  return bySize;
}

describe('probability mass functions', () => {
  it('sum to 1 under every operation', () => {
    fc.assert(
      fc.property(anyPmf, anyPmf, fc.integer({ min: 0, max: 6 }), (a, b, n) => {
        for (const pmf of [sum(a, b), nFold(a, n), map(a, (v) => v * v)])
          expect(total(pmf)).toBeCloseTo(1, 10);
        expect(mean(sum(a, b))).toBeCloseTo(mean(a) + mean(b), 8);
        expect(mean(nFold(a, n))).toBeCloseTo(n * mean(a), 8);
      }),
    );
  });

  it('five rolls of two dice: mean 35, 95 in 100 need at most 44, the most is 60', () => {
    const die = fromEntries([1, 2, 3, 4, 5, 6].map((face) => [face, 1 / 6] as const));
    const five = nFold(die, 10);
    expect(mean(five)).toBeCloseTo(35, 10);
    expect(quantile(five, 0.95)).toBe(44);
    expect(largest(five)).toBe(60);
    expect(atMost(five, 9)).toBe(0);
  });

  it('say what a quantile is at its edges', () => {
    expect(quantile(point(4), 0.01)).toBe(4);
    expect(
      quantile(
        fromEntries([
          [1, 0.5],
          [3, 0.5],
        ]),
        0.5,
      ),
    ).toBe(1);
    expect(
      quantile(
        fromEntries([
          [1, 0.5],
          [3, 0.5],
        ]),
        0.51,
      ),
    ).toBe(3);
    expect(() => fromEntries([])).toThrow(RangeError);
    expect(() => nFold(point(1), 1.5)).toThrow(RangeError);
  });

  it('count a binomial', () => {
    expect(choose(20, 10)).toBe(184756);
    expect(choose(5, 6)).toBe(0);
    expect(mean(binomial(12, 0.3))).toBeCloseTo(3.6, 12);
    expect(entries(binomial(2, 0.5))).toEqual([
      [0, 0.25],
      [1, 0.5],
      [2, 0.25],
    ]);
  });
});

describe('coverage', () => {
  it('of equal outcomes is n times the harmonic number', () => {
    const odds = new Array<number>(12).fill(1 / 12);
    const harmonic = odds.reduce((h, _, i) => h + 1 / (i + 1), 0);
    expect(meanDrawsToSeeAll(odds)).toBeCloseTo(12 * harmonic, 9);
  });

  it('of two dice over 2 to 12 takes 61.2174 rolls', () => {
    const odds = [1, 2, 3, 4, 5, 6, 5, 4, 3, 2, 1].map((ways) => ways / 36);
    expect(meanDrawsToSeeAll(odds)).toBeCloseTo(61.2174, 4);
  });

  it('agrees with the chain over sets for any odds', () => {
    fc.assert(
      fc.property(anyOdds, fc.integer({ min: 0, max: 12 }), (odds, draws) => {
        const bySize = bySets(odds, draws);
        expect(chanceAllSeenWithin(odds, draws)).toBeCloseTo(bySize.at(-1)!, 9);
        distinctSeen(odds, draws).p.forEach((p, d) => expect(p).toBeCloseTo(bySize[d]!, 9));
        expect(meanDistinctSeen(odds, draws)).toBeCloseTo(mean(distinctSeen(odds, draws)), 8);
      }),
      { numRuns: 60 },
    );
  });

  it('keeps its precision with twenty counters', () => {
    const odds = binomial(20, 0.5).p;
    // Seeing both one-in-a-million ends takes about 1.5 millions; the rest is seen long before.
    expect(meanDrawsToSeeAll(odds) / 2 ** 20).toBeGreaterThan(1.5);
    expect(meanDrawsToSeeAll(odds) / 2 ** 20).toBeLessThan(1.51);
    const p95 = drawsToSeeAllQuantile(odds, 0.95);
    expect(chanceAllSeenWithin(odds, p95)).toBeGreaterThanOrEqual(0.95);
    expect(chanceAllSeenWithin(odds, p95 - 1)).toBeLessThan(0.95);
  });

  it('refuses odds that cannot be', () => {
    expect(() => meanDrawsToSeeAll([])).toThrow(/odds/);
    expect(() => meanDrawsToSeeAll([0, 1])).toThrow(/odds/);
    expect(() => meanDrawsToSeeAll([0.7, 0.7])).toThrow(/odds/);
    expect(() => drawsToSeeAllQuantile([1], 1)).toThrow(/q/);
  });
});

describe('random numbers', () => {
  it('are the same for the same seed and stay in range', () => {
    const draw = (seed: number) => {
      const random = seeded(seed);
      return Array.from({ length: 200 }, () => random.whole(1, 6));
    };
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
    expect(new Set(draw(7))).toEqual(new Set([1, 2, 3, 4, 5, 6]));
  });
});

describe('chains of players who take turns', () => {
  it('begin as many turns as the game has, and stand where plays of it stand', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 12 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 20, max: 100 }),
        (length, players, moves) => {
          const step = (at: number) =>
            [
              [at + 1, moves / 200],
              [at + 2, moves / 200],
              [at, 1 - moves / 100],
            ] as const;
          const ended = (at: number): boolean => at >= length;
          const visits = visitsUntilFirst<number>(0, step, ended, players);
          const turns = turnsUntilFirst(turnsToEnd(0, step, ended), players);
          expect([...visits.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(mean(turns), 5);
          // Everybody begins where the path begins, but those behind one who was home before them.
          expect(visits.get(0)!).toBeLessThanOrEqual(players / (moves / 100) + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
    // Two players, one step each with certainty: the first is home after two turns of their own, the other after one.
    const sure = visitsUntilFirst<number>(
      0,
      (at) => [[at + 1, 1]],
      (at: number) => at === 2,
      2,
    );
    expect([...sure]).toEqual([
      [0, 2],
      [1, 1],
    ]);
  });
});
