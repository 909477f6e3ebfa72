import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { newcombe, wilson } from '~/core/chance/intervals';
import { reach } from './reach';
import { supply } from './supply';
import { wear } from './wear';

describe('a share', () => {
  it('has the interval of the published examples', () => {
    // Wilson's interval as in the comparison of seven methods: 81/263, 15/148, 0/20, 1/29.
    for (const [reached, of, low, high] of [
      [81, 263, 0.2553, 0.3662],
      [15, 148, 0.0624, 0.1605],
      [0, 20, 0, 0.1611],
      [1, 29, 0.0061, 0.1718],
    ] as const) {
      const found = wilson(reached, of);
      expect(found.low).toBeCloseTo(low, 4);
      expect(found.high).toBeCloseTo(high, 4);
    }
  });
  it('lies in its interval, which lies between nothing and all, and turns over with the share', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (of, part) => {
          const reached = Math.round(of * part);
          const { share, low, high } = wilson(reached, of);
          expect(0 <= low && low <= share && share <= high && high <= 1).toBe(true);
          const other = wilson(of - reached, of);
          expect(other.low).toBeCloseTo(1 - high, 12);
          // The ends of the interval are where the score test just does not refuse.
          for (const end of [low, high].filter((one) => one > 0 && one < 1))
            expect(Math.abs(share - end) / Math.sqrt((end * (1 - end)) / of)).toBeCloseTo(
              1.959963984540054,
              6,
            );
        },
      ),
    );
  });
});

describe('a difference', () => {
  it('has the interval of the published examples', () => {
    for (const [a, m, b, n, low, high] of [
      [56, 70, 48, 80, 0.0524, 0.3339],
      [9, 10, 3, 10, 0.1705, 0.809],
      [6, 7, 2, 7, 0.0582, 0.8062],
      [5, 56, 0, 29, -0.0381, 0.1926],
      [0, 10, 0, 20, -0.1611, 0.2775],
      [0, 10, 0, 10, -0.2775, 0.2775],
      [10, 10, 0, 20, 0.6791, 1],
      [10, 10, 0, 10, 0.6075, 1],
    ] as const) {
      const found = newcombe(wilson(a, m), wilson(b, n));
      expect(found.low).toBeCloseTo(low, 4);
      expect(found.high).toBeCloseTo(high, 4);
    }
  });
  it('is told of each pair in the order of the groups, and not of more than there are', () => {
    const { pairs, groups } = reach({
      groups: [
        { id: 'es', reached: 3, of: 14 },
        { id: 'en', reached: 12, of: 20 },
        { id: 'pt', reached: 1, of: 6 },
      ],
    });
    expect(pairs.map(({ a, b }) => `${a} ${b}`)).toEqual(['es en', 'es pt', 'en pt']);
    expect(pairs[0]!.difference).toBeCloseTo(groups.es!.share - groups.en!.share, 12);
    expect(() => reach({ groups: [{ id: 'es', reached: 3, of: 2 }] })).toThrow(/only 2/);
    expect(() =>
      reach({
        groups: [
          { id: 'es', reached: 1, of: 2 },
          { id: 'es', reached: 1, of: 2 },
        ],
      }),
    ).toThrow(/id of its own/);
  });
});

describe('how fast a part goes', () => {
  const asked = fc.record({
    lost: fc.integer({ min: 0, max: 300 }),
    loans: fc.integer({ min: 0, max: 400 }),
    next: fc.integer({ min: 0, max: 200 }),
  });
  it('has a tenth of its weight outside its interval, half on each side', () => {
    fc.assert(
      fc.property(asked, (one) => {
        const { perLoan, low, high } = wear(one);
        const [shape, rate] = [0.5 + one.lost, 1 + one.loans];
        expect(perLoan).toBeCloseTo(shape / rate, 12);
        expect(jstat.jStat.lowRegGamma(shape, low * rate)).toBeCloseTo(0.05, 9);
        expect(jstat.jStat.lowRegGamma(shape, high * rate)).toBeCloseTo(0.95, 9);
      }),
      { numRuns: 100 },
    );
  });
  it('needs the smallest number of spares that suffices: one less does not', () => {
    fc.assert(
      fc.property(asked, fc.constantFrom(0.5, 0.9, 0.95, 0.99), (one, assurance) => {
        const { spares } = wear({ ...one, assurance });
        const [shape, p] = [0.5 + one.lost, (1 + one.loans) / (1 + one.loans + one.next)];
        // The same law as a mixture: Poisson with a gamma mean, term by term with gamma functions.
        const logGamma = (x: number): number => {
          let sum = 0;
          let at = x;
          for (; at < 30; at++) sum -= Math.log(at);
          return (
            sum +
            (at - 0.5) * Math.log(at) -
            at +
            0.5 * Math.log(2 * Math.PI) +
            1 / (12 * at) -
            1 / (360 * at ** 3)
          );
        };
        const pmf = (n: number): number =>
          one.next === 0
            ? Number(n === 0)
            : Math.exp(
                logGamma(n + shape) -
                  logGamma(n + 1) -
                  logGamma(shape) +
                  shape * Math.log(p) +
                  n * Math.log(1 - p),
              );
        let sum = 0;
        for (let n = 0; n <= spares; n++) sum += pmf(n);
        expect(sum).toBeGreaterThanOrEqual(assurance - 1e-7);
        if (spares > 0) expect(sum - pmf(spares)).toBeLessThan(assurance + 1e-7);
      }),
      { numRuns: 100 },
    );
  });
  it('holds for very many losses too, and asks for none where nothing is lent', () => {
    const many = wear({ lost: 50_000, loans: 10_000, next: 10_000 });
    expect(many.spares).toBeGreaterThan(50_000);
    expect(many.spares).toBeLessThan(51_000);
    expect(wear({ lost: 4, loans: 9, next: 0 }).spares).toBe(0);
    expect(() => wear({ lost: 0, loans: 0, prior: { lost: 0.5, loans: 1e-6 }, next: 1000 })).toThrow(
      /more than 20 million/,
    );
  });
});

describe('how many copies are enough', () => {
  it('is Erlang’s formula: the sum of its definition', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.integer({ min: 0, max: 30 }),
        (load, copies) => {
          const terms = Array.from({ length: copies + 1 }, (_, k) => {
            let term = 1;
            for (let i = 1; i <= k; i++) term *= load / i;
            return term;
          });
          const { chanceNoneHome, copiesNeeded } = supply({ asksPerWeek: load, weeksOut: 1, copies });
          expect(chanceNoneHome).toBeCloseTo(terms.at(-1)! / terms.reduce((a, b) => a + b, 0), 10);
          const at = (n: number): number =>
            supply({ asksPerWeek: load, weeksOut: 1, copies: n }).chanceNoneHome!;
          expect(at(copiesNeeded)).toBeLessThanOrEqual(0.1);
          if (copiesNeeded > 0) expect(at(copiesNeeded - 1)).toBeGreaterThan(0.1);
        },
      ),
    );
  });
  it('is what a simulated term shows, whatever the time away looks like', () => {
    const random = seeded(11);
    const exponential = (mean: number): number =>
      -mean * Math.log((random.whole(0, 999_998) + 1) / 1_000_000);
    for (const away of [() => 3, () => exponential(3), () => (random.chance(0.5) ? 1 : 5)]) {
      const copies = 5;
      const back = Array.from({ length: copies }, () => 0);
      let [asks, turned, now] = [0, 0, 0];
      while (asks < 40_000) {
        now += exponential(1 / 1.5);
        asks++;
        const free = back.findIndex((until) => until <= now);
        if (free < 0) turned++;
        else back[free] = now + away();
      }
      const { chanceNoneHome } = supply({ asksPerWeek: 1.5, weeksOut: 3, copies });
      expect(Math.abs(turned / asks - chanceNoneHome!)).toBeLessThan(0.012);
    }
  });
});
