import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { choose } from './binomial';
import { drawsToFill, meanDrawsToFill, meanDrawsToSeeAll, mostDrawsToFill } from './coverage';
import { enoughDrawn, hypergeometric, noneDrawn } from './hypergeometric';
import { endings, pathTurns, turnsToEnd, turnsUntilFirst } from './markov';
import {
  atMost,
  DIE,
  entries,
  evenly,
  first,
  fromCdf,
  last,
  mean,
  nFold,
  point,
  product,
  type Pmf,
} from './pmf';
import { pick, seeded, shuffled } from './random';
import { estimate, simulatePlays, type Outcome } from './simulate';

const total = (pmf: Pmf) => pmf.p.reduce((a, b) => a + b, 0);
const smallPmf = fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 6 }).map(evenly);

describe('products, firsts and lasts', () => {
  it('agree with listing every pair, and sum to 1', () => {
    fc.assert(
      fc.property(smallPmf, smallPmf, (a, b) => {
        const listed = new Map<string, Map<number, number>>();
        const add = (name: string, value: number, p: number) => {
          const of = listed.get(name) ?? new Map<number, number>();
          listed.set(name, of.set(value, (of.get(value) ?? 0) + p));
        };
        for (const [x, p] of entries(a)) {
          for (const [y, q] of entries(b)) add('product', x * y, p * q);
          for (const [y, q] of entries(a)) {
            add('first', Math.min(x, y), p * q);
            add('last', Math.max(x, y), p * q);
          }
        }
        for (const [name, pmf] of [
          ['product', product(a, b)],
          ['first', first(a, 2)],
          ['last', last(a, 2)],
        ] as const) {
          expect(total(pmf)).toBeCloseTo(1, 10);
          for (const [value, p] of listed.get(name)!) expect(pmf.p[value - pmf.from]).toBeCloseTo(p, 10);
        }
      }),
    );
  });
  it('are themselves for one player', () => {
    expect(first(DIE, 1).p.map((p) => p.toFixed(12))).toEqual(DIE.p.map((p) => p.toFixed(12)));
    expect(last(DIE, 1).p.map((p) => p.toFixed(12))).toEqual(DIE.p.map((p) => p.toFixed(12)));
  });
  it('read a distribution from its chances of being at most', () => {
    expect(fromCdf([0, 0.25, 0.5, 0.9])).toEqual({ from: 0, p: [0, 0.25, 0.25, 0.5] });
  });
});

describe('drawing without putting back', () => {
  it('agrees with binomial coefficients', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.nat(20), fc.nat(20), (all, m, d) => {
        const [marked, drawn] = [m % (all + 1), d % (all + 1)];
        const pmf = hypergeometric(all, marked, drawn);
        expect(total(pmf)).toBeCloseTo(1, 10);
        for (const [k, p] of entries(pmf))
          expect(p).toBeCloseTo(
            (choose(marked, k) * choose(all - marked, drawn - k)) / choose(all, drawn),
            10,
          );
        expect(noneDrawn(all, marked, drawn)).toBeCloseTo(pmf.from === 0 ? pmf.p[0]! : 0, 10);
      }),
    );
    expect(() => hypergeometric(5, 6, 1)).toThrow(/must be from 0 to 5/);
  });
  it('knows when enough of every kind was drawn, as every order shows', () => {
    // Two of a, one of b needed, from three a and two b.
    const cards = ['a', 'a', 'a', 'b', 'b'];
    const orders: string[][] = [[]];
    for (let i = 0; i < 5; i++)
      orders.splice(
        0,
        orders.length,
        ...orders.flatMap((order) =>
          cards.map((_, c) => [...order, String(c)]).filter((next) => new Set(next).size === next.length),
        ),
      );
    const chances = enoughDrawn([
      { have: 3, needed: 2 },
      { have: 2, needed: 1 },
    ]);
    for (let k = 0; k <= 5; k++) {
      const good = orders.filter((order) => {
        const seen = order.slice(0, k).map((c) => cards[Number(c)]);
        return seen.filter((one) => one === 'a').length >= 2 && seen.includes('b');
      });
      expect(chances[k]).toBeCloseTo(good.length / orders.length, 10);
    }
  });
});

describe('filling up', () => {
  it('is seeing all when each is needed once', () => {
    const odds = [0.5, 0.3, 0.1];
    const needed = odds.map((chance) => ({ chance, times: 1 }));
    expect(meanDrawsToFill(needed)).toBeCloseTo(meanDrawsToSeeAll(odds), 8);
    expect(mean(drawsToFill(needed))).toBeCloseTo(meanDrawsToSeeAll(odds), 3);
    expect(total(drawsToFill(needed))).toBeCloseTo(1, 10);
  });
  it('agrees with a chain over what is still missing', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 5 }), fc.nat(3)), { minLength: 1, maxLength: 3 }),
        (kinds) => {
          const weight = kinds.reduce((sum, [w]) => sum + w, 1);
          const needed = kinds.map(([w, times]) => ({ chance: w / weight, times }));
          const chain = turnsToEnd(
            kinds.map(([, times]) => times).join(),
            (state) => {
              const left = state.split(',').map(Number);
              const next = needed.map(
                ({ chance }, i) =>
                  [left.map((n, j) => (i === j ? Math.max(0, n - 1) : n)).join(), chance] as const,
              );
              return [...next, [state, 1 / weight] as const];
            },
            (state) => /^[0,]*$/.test(state),
          );
          expect(meanDrawsToFill(needed)).toBeCloseTo(mean(chain), 5);
          const exact = drawsToFill(needed);
          for (const k of [1, 3, 8]) expect(atMost(exact, k)).toBeCloseTo(atMost(chain, k), 5);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('takes hundreds of draws as exactly as a few', () => {
    // A large share and many draws: far out, a binomial summed from nothing would have been nothing.
    for (const chance of [0.5, 0.9, 1 / 216]) {
      const needed = [{ chance, times: 400 > 1 / chance ? 400 : 2 }];
      const all = drawsToFill(needed);
      expect(total(all)).toBeCloseTo(1, 10);
      expect(mean(all)).toBeCloseTo(needed[0]!.times / chance, 1);
      expect(all.p.length - 1).toBe(mostDrawsToFill(needed));
    }
    const dice = [3, 4, 5, 6, 7, 8].map((k) => ({ chance: k / 216, times: 2 }));
    expect(mean(drawsToFill(dice))).toBeCloseTo(meanDrawsToFill(dice), 2);
  });
  it('of nothing takes no draw, and of what never comes is refused', () => {
    expect(drawsToFill([{ chance: 0.5, times: 0 }])).toEqual(point(0));
    expect(meanDrawsToFill([])).toBe(0);
    expect(() => drawsToFill([{ chance: 0, times: 1 }])).toThrow(/odds/);
  });
});

describe('chains', () => {
  it('of a coin end after two tosses on average', () => {
    const turns = turnsToEnd(
      'going',
      (state) => [
        ['done', 0.5],
        [state, 0.5],
      ],
      (state) => state === 'done',
    );
    expect(mean(turns)).toBeCloseTo(2, 6);
    expect(total(turns)).toBeCloseTo(1, 10);
  });
  it('tell where they end', () => {
    const { ends } = endings<number>(
      2,
      (at) => [
        [at - 1, 0.6],
        [at + 1, 0.4],
      ],
      (at) => at === 0 || at === 4,
    );
    // The gambler's ruin: (r^2 − r^4) / (1 − r^4) with r = 0.6 / 0.4.
    const r = 1.5;
    expect(ends.get(0)).toBeCloseTo((r ** 2 - r ** 4) / (1 - r ** 4), 6);
  });
  it('that never end are refused', () => {
    expect(() =>
      turnsToEnd(
        0,
        () => [[0, 1]],
        (at) => at === 1,
      ),
    ).toThrow(/not reached/);
    expect(
      turnsToEnd(
        1,
        () => [],
        (at) => at === 1,
      ),
    ).toEqual(point(0));
  });
  it('of a path of 10 with one die and the exact roll take 7.588 turns', () => {
    expect(mean(pathTurns(() => entries(DIE), 10, 'exact', false).turns)).toBeCloseTo(7.588, 3);
    expect(pathTurns(() => entries(nFold(DIE, 2)), 10, 'exact', false).arrives).toBeLessThan(1);
  });
  it('of several players end with the first of them', () => {
    const each = evenly([2, 3, 5]);
    const listed = new Map<number, number>();
    for (const [a, p] of entries(each))
      for (const [b, q] of entries(each)) {
        const end = a <= b ? 2 * a - 1 : 2 * b;
        listed.set(end, (listed.get(end) ?? 0) + p * q);
      }
    const pmf = turnsUntilFirst(each, 2);
    for (const [turn, p] of listed) expect(pmf.p[turn - pmf.from]).toBeCloseTo(p, 10);
    expect(total(pmf)).toBeCloseTo(1, 10);
  });
});

describe('simulation', () => {
  it('stops when the error is small enough, not before the least and not after the most', () => {
    const random = seeded(1);
    const die = () => ({ rolled: random.whole(1, 6) });
    const loose = estimate(die, { most: 100_000, least: 500, error: 0.05 });
    expect(loose.of.rolled!.error).toBeLessThanOrEqual(0.05);
    expect(loose.plays).toBeGreaterThanOrEqual(500);
    expect(loose.plays).toBeLessThan(5000);
    expect(estimate(die, { most: 300, error: 0 }).plays).toBe(300);
    expect(Math.abs(loose.of.rolled!.mean - 3.5)).toBeLessThan(4 * loose.of.rolled!.error);
  });
  it('averages a number over the plays that gave it', () => {
    let play = 0;
    const { of } = estimate((): Outcome => (play++ % 2 ? { won: 1, by: 4 } : { won: 0 }), { most: 10 });
    expect(of).toMatchObject({ won: { mean: 0.5, plays: 10 }, by: { mean: 4, plays: 5, error: 0 } });
  });
  it('counts the turns of whole plays', () => {
    const { turns, of, plays } = simulatePlays(
      function* (random) {
        do yield 'toss';
        while (random.chance(0.5));
        return { done: 1 };
      },
      { plays: 4000, seed: 3, deep: false },
    );
    expect(plays).toBe(4000);
    expect(total(turns)).toBeCloseTo(1, 10);
    expect(Math.abs(mean(turns) - 2)).toBeLessThan(4 * of.turns!.error);
  });
  it('shuffles fairly and picks what is there', () => {
    const random = seeded(5);
    const counts = new Map<string, number>();
    for (let i = 0; i < 6000; i++) {
      const order = shuffled(['a', 'b', 'c'], random).join('');
      counts.set(order, (counts.get(order) ?? 0) + 1);
    }
    expect(counts.size).toBe(6);
    for (const times of counts.values()) expect(Math.abs(times - 1000)).toBeLessThan(4 * Math.sqrt(1000));
    expect(['x', 'y']).toContain(pick(['x', 'y'], random));
  });
});
