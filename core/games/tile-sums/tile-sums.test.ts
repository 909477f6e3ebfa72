import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, reckoningOf } from '~/core/games/kit/testing';
import { tileSums } from '.';

holdsTheShelfLaws(tileSums, { gives: [['tiles answers rarest']] });

describe('Tile Sums', () => {
  it('has 26 tiles up to ten, counted tile by tile', () => {
    const answers: Record<number, number> = {};
    for (let a = 0; a <= 6; a++)
      for (let b = a; b <= 6; b++) if (a + b <= 10) answers[a + b] = (answers[a + b] ?? 0) + 1;
    const { figures } = reckoningOf('tile-sums', { limit: 10 });
    expect(figures).toMatchObject({ tiles: 26, answers });
    expect(answers[figures.rarest as number]).toBe(Math.min(...Object.values(answers)));
    expect(figuresOf('tile-sums', { limit: 12 }).tiles).toBe(28);
  });
});

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
