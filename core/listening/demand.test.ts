import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fact, type Operation } from '~/core/cards/facts';
import { settle } from '~/core/games/kit/game';
import { assume } from '~/core/games/kit/types';
import { gameOf, SHELF } from '~/core/games/shelf';
import { demandOf, demandOfBand, yearName, yearOf } from './demand';

const OPERATIONS: Operation[] = [
  'split',
  'add',
  'subtract',
  'multiply',
  'divide',
  'missing',
  'compare',
  'groups',
  'tens',
  'count',
  'quantity',
  'glance',
  'letter',
  'listen',
];

describe('the year of a fact', () => {
  it('is as it is usually met', () => {
    expect(yearOf(fact('count', 5))).toBe(0);
    expect(yearOf(fact('add', 2, 3))).toBe(1);
    expect(yearOf(fact('add', 7, 8))).toBeCloseTo(2, 1);
    expect(yearOf(fact('multiply', 5, 5))).toBeCloseTo(3.6, 9);
    expect(yearOf(fact('subtract', 3, 5))).toBe(5);
    expect(yearOf(fact('divide', 7, 2))).toBe(5);
  });
  it('never falls as the numbers grow', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...OPERATIONS.filter((op) => op !== 'divide')),
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 400 }),
        (op, a, b) => {
          // The larger number first, so that nothing falls below zero.
          const at = (n: number): number =>
            op === 'missing' ? yearOf(fact(op, 1, n + 1)) : yearOf(fact(op, n, op === 'subtract' ? 0 : 1));
          const [low, high] = [Math.min(a, b), Math.max(a, b)];
          expect(at(high)).toBeGreaterThanOrEqual(at(low));
        },
      ),
    );
  });
});

describe('what a variant asks', () => {
  it('lies between the easiest and the hardest of its facts, and nearer to those that are met more often', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            fact: fc
              .tuple(
                fc.constantFrom('add' as const, 'count' as const, 'multiply' as const),
                fc.nat(30),
                fc.nat(30),
              )
              .map(([op, a, b]) => fact(op, a, op === 'count' ? 0 : b)),
            meetings: fc.double({ min: 0.01, max: 50, noNaN: true }),
          }),
          { minLength: 1, maxLength: 12 },
        ),
        (practice) => {
          const years = practice.map((one) => yearOf(one.fact));
          const { demand, most } = demandOf(practice)!;
          expect(demand).toBeGreaterThanOrEqual(Math.min(...years) - 1e-9);
          expect(demand).toBeLessThanOrEqual(Math.max(...years) + 1e-9);
          expect(years.some((year) => Math.abs(year - most) < 1e-9)).toBe(true);
          const more = demandOf([...practice, { fact: fact('multiply', 30, 30), meetings: 1e6 }])!;
          expect(more.demand).toBeCloseTo(5, 2);
        },
      ),
    );
    expect(demandOf([])).toBeUndefined();
    expect(demandOfBand('g2')).toMatchObject({ demand: 3 });
  });

  it('rises with the numbers of a game, and is told with a fact of it', () => {
    const spill = gameOf('two-tone-spill');
    const asks = [4, 6, 8, 10].map((counters) => {
      const { params } = spill.presets[0]!;
      return demandOf(settle(spill, { ...params, counters }).reckon(assume('g1')).practice)!;
    });
    for (const [i, one] of asks.entries()) if (i > 0) expect(one.demand).toBeGreaterThan(asks[i - 1]!.demand);
    expect(asks[1]!.reason).toMatch(/usually met .*, such as \d \+ \d = 6\./);
  });

  it('is known of every game on the shelf, on the scale', () => {
    for (const game of SHELF)
      for (const { params } of game.presets) {
        const found = demandOf(settle(game, params).reckon(assume('g1')).practice);
        expect(found, game.id).toBeDefined();
        expect(found!.demand, game.id).toBeGreaterThanOrEqual(-0.5);
        expect(found!.demand, game.id).toBeLessThanOrEqual(5);
      }
  }, 300_000);

  it('is called by its grade', () => {
    expect(yearName(-1)).toBe('pre-K');
    expect(yearName(1.1)).toBe('kindergarten');
    expect(yearName(1.5)).toBe('between kindergarten and grade 1');
    expect(yearName(3.6)).toBe('between grade 2 and grade 3');
    expect(yearName(4.2)).toBe('grade 3 and up');
    expect(yearName(5)).toBe('beyond grade 3');
  });
});
