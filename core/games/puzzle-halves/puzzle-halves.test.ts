import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, noticesOf, printed } from '~/core/games/kit/testing';
import { needed, piecesOn } from '~/core/paper/testing';
import { puzzleHalves } from '.';
import { puzzles } from './reckon';
import { wavesOf } from './sheets';

holdsTheShelfLaws(puzzleHalves, {
  gives: [['pieces sheets']], // Four puzzles lie on a sheet of either paper, so the count of sheets is the same for both.
  alike: ['paper'],
  across: (shape) => shape.kind === 'rect',
});

describe('Puzzle Halves', () => {
  it('cuts three pieces from each, and spreads its sums', () => {
    expect(figuresOf('puzzle-halves', { count: 8, max: 5 })).toEqual({ pieces: 24, sheets: 2 });
    const made = puzzles({ count: 10, max: 10, paper: 'a4', players: 1 });
    expect(new Set(made.map(({ a, b }) => `${a} ${b}`)).size).toBe(10);
    expect(made.every(({ a, b }) => a + b <= 10 && b >= 1)).toBe(true);
    expect(noticesOf('puzzle-halves', { count: 20, max: 3 })).toContain('puzzles-repeat');
  });
});

describe('the sheets of Puzzle Halves', () => {
  it('puzzles of which no two waves fit', () => {
    for (const seed of [1, 2, 3]) {
      const waves = wavesOf({ count: 20 }, seed).flat();
      expect(waves).toHaveLength(40);
      waves.forEach((a, i) =>
        waves
          .slice(0, i)
          .forEach((b) =>
            expect(Math.max(...a.map((bend, k) => Math.abs(bend - b[k]!)))).toBeGreaterThanOrEqual(4.5),
          ),
      );
    }
    const names = needed(piecesOn(printed('puzzle-halves', { count: 7 }))).map(({ name }) => name);
    expect(names.filter((name) => name === 'puzzle 3')).toHaveLength(3);
  });
});

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
