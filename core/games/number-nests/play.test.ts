import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { inTurn, numbersIn, plays, strangeMeetings, tally } from '~/core/games/kit/plays.testing';
import { numberNests } from '.';

describe('a play of Number Nests', () => {
  it('lays every card once, in its nest when there is one', () => {
    const change = { from: 6, to: 8, mixIn: 5, players: 3, order: 'ordered' };
    for (const { turns } of plays(numberNests, change, 20)) {
      const cards = turns.map((turn) => numbersIn(turn, 'a', 'b', 'answer') as [number, number, number]);
      for (const [a, b, answer] of cards) expect(a + b).toBe(answer);
      expect(Math.max(...tally(cards.map(([a, b]) => `${a} ${b}`)).values())).toBe(1);
      for (const { id, args } of turns)
        expect([args.answer, id]).toEqual([
          args.answer,
          Number(args.answer) >= 6 && Number(args.answer) <= 8 ? 'play.home' : 'play.stray',
        ]);
      expect(turns.filter(({ id }) => id === 'play.stray')).toHaveLength(5);
      expect(inTurn(turns, 3)).toBe(true);
    }
  });

  it('mixes its cards', () => {
    const orders = plays(numberNests, {}, 12).map(({ turns }) => turns.map(({ args }) => args.answer).join());
    expect(new Set(orders).size).toBe(12);
  });

  it('meets each sum once, with zero or without', () => {
    for (const zero of [true, false])
      expect(
        strangeMeetings(
          numberNests,
          { from: 4, to: 10, mixIn: 3, zero },
          ['add'],
          (turn) => {
            const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
            return [fact('add', a, b)];
          },
          3,
        ),
      ).toEqual([]);
  });
});
