/** Blanket the Board: boards with mixed numbers, slips drawn and left in view; cover; the full board wins. */
import { Type, type Static } from '@sinclair/typebox';
import { choose } from '~/core/chance/binomial';
import { seeded, shuffled } from '~/core/chance/random';
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { levels, remembered } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

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
};

export const schema = Type.Object(
  {
    from: Whole(0, 20, { title: 'Numbers from', default: 1 }),
    to: Whole(1, 20, { title: 'Numbers to', default: 12 }),
    cells: OneValue(
      Object.entries(SHAPES).map(
        ([cells, { rows, columns }]) => [Number(cells), `${cells} (${rows} × ${columns})`] as const,
      ),
      { title: 'Cells of a board', default: 9 },
    ),
    boards: Whole(1, 8, { title: 'Boards', default: 4 }),
    boardsPerChild: OneValue(
      [
        [1, 'One'],
        [2, 'Two'],
      ],
      { title: 'Boards for each child', default: 1 },
    ),
    win: OneOf({ full: 'The whole board', line: 'A line' }, { title: 'To finish', default: 'full' }),
    draw: Whole(1, 999, {
      title: 'Draw of the boards',
      description: 'Another number draws other boards.',
      default: 1,
    }),
  },
  { additionalProperties: false },
);
export type BlanketParams = Static<typeof schema>;

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

const base: BlanketParams = {
  from: 1,
  to: 12,
  cells: 9,
  boards: 4,
  boardsPerChild: 1,
  win: 'full',
  draw: 1,
};
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<BlanketParams>,
): Preset<BlanketParams> => ({
  id,
  name,
  school: change.win === 'line' ? 'a line wins' : 'the full board wins',
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<BlanketParams>[] = [
  preset('ten', 'numbers to 10, 8 cells', 'preK', { from: 0, to: 10, cells: 8 }),
  preset('twelve', 'numbers to 12, 9 cells', 'K', {}),
  preset('twenty', 'numbers to 20, 16 cells', 'K', { to: 20, cells: 16 }),
  preset('twenty-line', 'numbers to 20, 16 cells', 'K', { to: 20, cells: 16, win: 'line' }),
];

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

export const about = ({ win }: BlanketParams) => ({ win });
export const subject = ({ from, to }: BlanketParams): string => `numbers from ${from} to ${to}`;
export const ladder = (params: BlanketParams): Ladder =>
  levels(
    params,
    'to',
    [5, 6, 8, 10, 12, 15, 20].filter((to) => to - params.from + 1 >= params.cells),
    (to) => `Numbers to ${to}`,
  );
