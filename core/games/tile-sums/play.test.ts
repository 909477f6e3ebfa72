import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { tileSums } from '.';

describe('a play of Tile Sums', () => {
  it('lays every tile up to the limit once, and adds its ends', () => {
    for (const [limit, tiles] of [
      [6, 16],
      [10, 26],
      [12, 28],
    ] as const)
      for (const { turns } of plays(tileSums, { limit, players: 3 }, 8)) {
        expect(turns).toHaveLength(tiles);
        const ends = turns.map((turn) => numbersIn(turn, 'a', 'b', 'answer') as [number, number, number]);
        for (const [a, b, answer] of ends) expect([a + b, answer <= limit]).toEqual([answer, true]);
        expect(new Set(ends.map(([a, b]) => `${Math.min(a, b)} ${Math.max(a, b)}`)).size).toBe(tiles);
        expect(inTurn(turns, 3)).toBe(true);
        for (const { args, coach } of turns) expect(coach!.id === 'play.double').toBe(args.a === args.b);
      }
  });

  it('meets each sum once', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
      return [fact('add', a, b)];
    };
    expect(strangeMeetings(tileSums, { limit: 9 }, ['add'], met, 2)).toEqual([]);
  });
});
