import { describe, expect, it } from 'vitest';
import { numbersIn, paramsOf, plays } from '~/core/games/kit/plays.testing';
import { assume, type Params } from '~/core/games/kit/types';
import { chalkOrbits } from '.';

const BASE: Params = { circles: 6, numbers: [1, 2, 3, 4, 5, 6], bags: 3, bestOf: 3 };

describe('a play of Chalk Orbits', () => {
  it('adds or multiplies what the bags of a team hit, a miss being nothing', () => {
    for (const op of ['add', 'multiply'])
      for (const { turns, outcome } of plays(chalkOrbits, { ...BASE, op, bags: 2 }, 40)) {
        turns.forEach((turn, i) => {
          const thrown = String(turn.args.thrown)
            .split(op === 'add' ? ' + ' : ' × ')
            .map(Number);
          expect(thrown).toHaveLength(2);
          expect(thrown.every((n) => n >= 0 && n <= 6)).toBe(true);
          expect(turn.args.answer).toBe(thrown.reduce((a, b) => (op === 'add' ? a + b : a * b)));
          // The teams throw in turn.
          expect(turn.player).toBe((i % 2) + 1);
        });
        expect(outcome.score).toBe(turns[0]!.args.answer);
      }
  });

  it.each([1, 3, 5, 7])('ends the best of %i when one team has won the greater half', (bestOf) => {
    for (const { turns } of plays(chalkOrbits, { ...BASE, bestOf }, 40)) {
      expect(turns.length % 2).toBe(0);
      const wins = [0, 0];
      for (let i = 0; i < turns.length; i += 2) {
        // Nobody had won before this round.
        expect(Math.max(...wins)).toBeLessThan((bestOf + 1) / 2);
        const [a, b] = [numbersIn(turns[i]!, 'answer')[0]!, numbersIn(turns[i + 1]!, 'answer')[0]!];
        if (a !== b) wins[a > b ? 0 : 1]!++;
      }
      expect(Math.max(...wins)).toBe((bestOf + 1) / 2);
    }
  });

  it('misses as often as it is told, and never where a miss is thrown again', () => {
    const misses = (change: Params) => {
      const bags = plays(chalkOrbits, { ...BASE, ...change }, 300).flatMap(({ turns }) =>
        turns.flatMap(({ args }) => String(args.thrown).split(' + ')),
      );
      return { share: bags.filter((bag) => bag === '0').length / bags.length, of: bags.length };
    };
    expect(misses({ miss: 'again', hit: 0.2 }).share).toBe(0);
    for (const hit of [0.3, 0.6, 1]) {
      const { share, of } = misses({ hit });
      expect(Math.abs(share - (1 - hit))).toBeLessThan(5 * Math.sqrt((hit * (1 - hit)) / of) + 1e-9);
    }
  });

  it('scores as it reckons', () => {
    const change: Params = { ...BASE, bags: 4, hit: 0.5 };
    const { figures } = chalkOrbits.reckon(paramsOf(chalkOrbits, change), assume('g2'));
    const scores = plays(chalkOrbits, change, 3000).map(({ outcome }) => outcome.score!);
    const mean = scores.reduce((a, b) => a + b, 0) / scores.length;
    const spread = Math.sqrt(scores.reduce((sum, n) => sum + (n - mean) ** 2, 0) / scores.length);
    expect(Math.abs(mean - (figures['score.mean'] as number))).toBeLessThan(
      (4 * spread) / Math.sqrt(scores.length),
    );
    const below = scores.filter((n) => n <= (figures['score.p90'] as number)).length / scores.length;
    expect(below).toBeGreaterThan(0.9 - 0.022);
  });
});
