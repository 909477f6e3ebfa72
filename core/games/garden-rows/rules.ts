import { seeded, shuffled } from '~/core/chance/random';
import { remembered } from '~/core/games/kit';
import type { RowsParams } from '.';

/** A row of cubes: `a` of the first color, then `b` of the second. */
export interface Row {
  a: number;
  b: number;
}

/** Every row of at least one cube of each color. */
export const allRows = ({ max }: Pick<RowsParams, 'max'>): Row[] =>
  Array.from({ length: max - 1 }, (_, i) =>
    Array.from({ length: max - 1 - i }, (_, k) => ({ a: i + 1, b: k + 1 })),
  ).flat();

/** The rows of the cards, no two alike, by their sum and then by the first color. */
export const rowsOf = remembered((params: RowsParams): Row[] =>
  shuffled(allRows(params), seeded(params.mixed))
    .slice(0, params.cards)
    .sort((x, y) => x.a + x.b - y.a - y.b || x.a - y.a),
);

/** Rounds of a game of two: each turns a card. */
export const rounds = ({ cards }: Pick<RowsParams, 'cards'>): number => Math.floor(cards / 2);

/** Cubes of each color: those of the largest row, or of the two largest when two are built at once. */
export function cubesOf(params: RowsParams): { first: number; second: number } {
  const most = (of: (row: Row) => number): number =>
    rowsOf(params)
      .map(of)
      .sort((x, y) => y - x)
      .slice(0, params.way === 'two' ? 2 : 1)
      .reduce((total, n) => total + n, 0);
  return { first: most(({ a }) => a), second: most(({ b }) => b) };
}
