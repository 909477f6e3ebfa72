import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { numbersIn, paramsOf, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { boardsOf, linesOf, type BlanketParams } from './rules';
import type { Params } from '~/core/games/kit/types';
import { blanketBoard } from '.';

const CHANGES: Params[] = [
  {},
  { from: 1, to: 20, cells: 16, boards: 6, win: 'line' },
  { boards: 6, boardsPerChild: 2 },
];

describe('a play of Blanket the Board', () => {
  it.each(CHANGES)(
    'draws each slip once until the named child is done and no other was before, with %j',
    (change) => {
      const params = paramsOf(blanketBoard, change) as unknown as BlanketParams;
      const boards = boardsOf(params);
      const lines =
        params.win === 'full' ? [Array.from({ length: params.cells }, (_, i) => i)] : linesOf(params.cells);
      const isDone = (board: number[], drawn: Set<number>) =>
        lines.some((line) => line.every((place) => drawn.has(board[place]!)));
      for (const { turns, outcome } of plays(blanketBoard, change, 30)) {
        const drawn = new Set<number>();
        turns.forEach((turn, i) => {
          const [number] = numbersIn(turn, 'number') as [number];
          expect(drawn.has(number)).toBe(false);
          drawn.add(number);
          const done = boards.map((board) => isDone(board, drawn));
          if (i < turns.length - 1) {
            expect(done).not.toContain(true);
            expect(turn.args.covered).toBe(boards.filter((board) => board.includes(number)).length);
            return;
          }
          expect(turn.id).toBe('play.full');
          const own = done.slice(
            (turn.player - 1) * params.boardsPerChild,
            turn.player * params.boardsPerChild,
          );
          expect(own).toContain(true);
          expect(outcome.tie).toBe(done.filter(Boolean).length > 1 ? 1 : 0);
        });
        expect(outcome.first).toBe(turns.length);
        expect(outcome.last).toBeGreaterThanOrEqual(outcome.first!);
      }
    },
  );

  it('meets each number as often as the others', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => [fact('quantity', numbersIn(turn, 'number')[0]!)];
    // The boards that are printed hold some numbers more often, so the end comes with some more often too; what is
    // reckoned is the mean over all numbers.
    const [low, high] = [0, 10];
    const strange = strangeMeetings(
      blanketBoard,
      { from: low, to: high, cells: 8, boards: 8 },
      ['quantity'],
      met,
      400,
    );
    expect(strange.length).toBeLessThanOrEqual(3);
    expect(strange.join()).not.toContain('not reckoned');
  });
});
