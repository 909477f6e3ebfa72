import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { puzzleHalves } from '.';

describe('a play of Puzzle Halves', () => {
  it('fits every puzzle once, both pictures with their answer', () => {
    for (const { turns } of plays(puzzleHalves, { max: 8, count: 12, players: 3 }, 20)) {
      expect(turns).toHaveLength(12);
      expect(inTurn(turns, 3)).toBe(true);
      for (const turn of turns) {
        const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
        expect([a + b, a >= 1, b >= 1, answer <= 8]).toEqual([answer, true, true, true]);
      }
    }
  });

  it('mixes its puzzles, and has the same ones every time', () => {
    const orders = plays(puzzleHalves, { count: 10 }, 8).map(({ turns }) =>
      turns.map(({ args }) => `${args.a}+${args.b}`),
    );
    expect(new Set(orders.map((order) => order.join())).size).toBe(8);
    expect(new Set(orders.map((order) => [...order].sort().join())).size).toBe(1);
  });

  it('meets each sum once', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
      return [fact('add', a, b), fact('count', answer)];
    };
    expect(strangeMeetings(puzzleHalves, { max: 10, count: 9 }, ['add', 'count'], met, 2)).toEqual([]);
  });
});
