import { describe, expect, it } from 'vitest';
import { numbersIn, paramsOf, plays, tally } from '~/core/games/kit/plays.testing';
import { callsAvailable, numbers, type RowParams } from './rules';
import type { Params } from '~/core/games/kit/types';
import { rowCall } from '.';

const CHANGES: Params[] = [
  {},
  { players: 4, callFrom: 'secondDeck' },
  { win: 'full', callFrom: 'secondDeck' },
  { turn: 'one', callFrom: 'secondDeck', players: 3 },
  { players: 4 },
];

describe('a play of Row Call', () => {
  it.each(CHANGES)(
    'calls cards that there are, and ends with a finished grid or with none left, with %j',
    (change) => {
      const params = paramsOf(rowCall, change) as unknown as RowParams;
      const most = callsAvailable(params, numbers(params).length);
      for (const { turns, outcome } of plays(rowCall, change, 40)) {
        expect(turns.length).toBeLessThanOrEqual(most);
        for (const [value, times] of tally(turns.flatMap((turn) => numbersIn(turn, 'number')))) {
          expect(times).toBeLessThanOrEqual(4);
          expect(value >= 1 && value <= 10).toBe(true);
        }
        const finished = turns.filter(({ id }) => id === 'play.finishes');
        if (outcome.finished === 1) {
          expect(finished).toEqual([turns.at(-1)]);
          expect(outcome.calls).toBe(turns.length);
          expect(turns.at(-1)!.args.calls).toBe(turns.length);
          expect(turns.at(-1)!.player).toBeLessThanOrEqual(params.players);
        } else {
          expect(finished).toEqual([]);
          expect(turns).toHaveLength(most);
          expect(outcome.calls).toBeUndefined();
        }
      }
    },
  );

  it('takes three matches at least for a line, and nine for all', () => {
    for (const [win, least] of [
      ['line', 2],
      ['full', 8],
    ] as const)
      for (const { turns, outcome } of plays(rowCall, { win, turn: 'one', callFrom: 'secondDeck' }, 40)) {
        if (outcome.finished !== 1) continue;
        const matched = turns.slice(0, -1).reduce((sum, { args }) => sum + Number(args.matches), 0);
        expect(matched).toBeGreaterThanOrEqual(least);
      }
  });

  it('says that nobody has a card of it when nobody has', () => {
    for (const { turns } of plays(rowCall, {}, 20))
      for (const { id, args, coach } of turns)
        if (id === 'play.call') expect(coach!.id).toBe(Number(args.matches) > 0 ? 'play.look' : 'play.none');
  });
});
