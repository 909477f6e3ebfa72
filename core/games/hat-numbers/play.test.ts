import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { inTurn, numbersIn, paramsOf, plays, strangeMeetings, tally } from '~/core/games/kit/plays.testing';
import { values, type HatParams } from './rules';
import type { Params } from '~/core/games/kit/types';
import { hatNumbers } from '.';

const CHANGES: Params[] = [{}, { op: 'multiply' }, { signed: true }, { op: 'multiply', faces: 'zero' }];

describe('a play of Hat Numbers', () => {
  it('calls what both hats make, each card once, the caller going round', () => {
    for (const change of CHANGES) {
      const params = paramsOf(hatNumbers, change) as unknown as HatParams;
      const deck = tally(values(params));
      for (const { turns, outcome } of plays(hatNumbers, change, 10)) {
        expect(turns).toHaveLength(Math.floor(values(params).length / 2));
        expect(inTurn(turns, 3)).toBe(true);
        for (const [value, times] of tally(turns.flatMap((turn) => numbersIn(turn, 'a', 'b'))))
          expect(times).toBeLessThanOrEqual(deck.get(value)!);
        for (const turn of turns) {
          const [a, b, said] = numbersIn(turn, 'a', 'b', 'said') as [number, number, number];
          expect(said).toBe(params.op === 'add' ? a + b : a * b);
          // A zero on one hat leaves the other open: nobody can work it out.
          expect(turn.id === 'play.unknown').toBe(params.op === 'multiply' && a * b === 0);
        }
        const unknown = turns.filter(({ id }) => id === 'play.unknown').length;
        expect(outcome.unknown).toBeCloseTo(unknown / turns.length, 12);
      }
    }
  });

  it('has red cards below zero, as many as black ones above', () => {
    const all = values(paramsOf(hatNumbers, { signed: true }) as unknown as HatParams);
    expect(all.filter((value) => value < 0)).toHaveLength(all.filter((value) => value > 0).length);
  });

  it('meets sums as often as it reckons', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [a, b] = numbersIn(turn, 'a', 'b').sort((x, y) => x - y) as [number, number];
      return [fact('add', a, b)];
    };
    // Pairs are reckoned with the smaller number first.
    expect(strangeMeetings(hatNumbers, {}, ['add'], met, 1500)).toEqual([]);
  });
});
