import { choose } from '~/core/chance/binomial';
import { seeded, shuffled } from '~/core/chance/random';
import type { FieldErrors } from '~/core/check/check';
import { levels, remembered, type Ladder } from '~/core/games/kit';
import type { BlanketParams } from '.';

/** Rows and columns of a board by its number of cells. */
export const SHAPES: Record<number, { rows: number; columns: number }> = {
  4: { rows: 2, columns: 2 },
  6: { rows: 2, columns: 3 },
  8: { rows: 2, columns: 4 },
  9: { rows: 3, columns: 3 },
  10: { rows: 2, columns: 5 },
  12: { rows: 3, columns: 4 },
  15: { rows: 3, columns: 5 },
  16: { rows: 4, columns: 4 },
  18: { rows: 3, columns: 6 },
  20: { rows: 4, columns: 5 },
  25: { rows: 5, columns: 5 },
};

export const slips = ({ from, to }: Pick<BlanketParams, 'from' | 'to'>): number => to - from + 1;

export const faults = (params: BlanketParams): FieldErrors => {
  const { from, to, cells, boards, boardsPerChild } = params;
  if (from > to) return { to: `Numbers to must be at least ${from}.` };
  if (cells > slips(params))
    return {
      cells: `A board of ${cells} cells needs ${cells} different numbers; from ${from} to ${to} there are ${slips(params)}.`,
    };
  if (boards < boardsPerChild)
    return { boards: `Each child has ${boardsPerChild} boards: print at least as many.` };
  return {};
};

const TRIES = 80;

/**
 * The boards that are printed: each a set of different numbers, drawn so that no two are the same (when there are
 * enough sets) and any two share as few numbers as a fair number of tries finds.
 */
export const boardsOf = remembered((params: BlanketParams): number[][] => {
  const { from, cells, boards, draw } = params;
  const random = seeded(draw);
  const all = Array.from({ length: slips(params) }, (_, i) => from + i);
  const made: number[][] = [];
  while (made.length < boards) {
    let best: number[] = [];
    let least = Infinity;
    for (let tried = 0; tried < TRIES; tried++) {
      const board = shuffled(all, random).slice(0, cells);
      const shared = made.map((other) => board.filter((number) => other.includes(number)).length);
      // The pair that shares most counts first, then all pairs together.
      const worth = Math.max(0, ...shared) * 1000 + shared.reduce((a, b) => a + b, 0);
      if (worth < least) [best, least] = [board, worth];
    }
    made.push(best);
  }
  return made;
});

/** How many different sets of numbers there are. */
export const differentBoards = (params: BlanketParams): number => choose(slips(params), params.cells);

/** Lines of a board: rows and columns, and the diagonals of a square one, by places. */
export function linesOf(cells: number): number[][] {
  const { rows, columns } = SHAPES[cells]!;
  const at = (row: number, column: number): number => row * columns + column;
  const across = Array.from({ length: rows }, (_, r) => Array.from({ length: columns }, (_, c) => at(r, c)));
  const down = Array.from({ length: columns }, (_, c) => Array.from({ length: rows }, (_, r) => at(r, c)));
  const slanted =
    rows === columns
      ? [
          Array.from({ length: rows }, (_, i) => at(i, i)),
          Array.from({ length: rows }, (_, i) => at(i, columns - 1 - i)),
        ]
      : [];
  return [...across, ...down, ...slanted];
}

export const ladder = (params: BlanketParams): Ladder =>
  levels(
    params,
    'to',
    [5, 6, 8, 10, 12, 15, 20, 25, 30].filter((to) => to - params.from + 1 >= params.cells),
    (to) => `Numbers to ${to}`,
  );
