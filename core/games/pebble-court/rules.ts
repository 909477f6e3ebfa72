import { levels, type Ladder } from '~/core/games/kit';
import type { CourtParams } from '.';

/** Cells landed on together: one by one, or one and two by turns. */
export function landings({ cells, layout }: Pick<CourtParams, 'cells' | 'layout'>): number[][] {
  const all = Array.from({ length: cells }, (_, i) => i + 1);
  if (layout !== 'branching') return all.map((cell) => [cell]);
  const rows: number[][] = [];
  for (let i = 0; i < cells;) {
    // One, two, one, two …; a last cell that would stand alone beside nothing is a single one.
    const width = rows.length % 2 === 1 && i + 1 < cells ? 2 : 1;
    rows.push(all.slice(i, i + width));
    i += width;
  }
  return rows;
}

/** To the right, up, to the left, down. */
const WAYS = [
  [1, 0],
  [0, -1],
  [-1, 0],
  [0, 1],
] as const;

/** Steps from the throwing line, by age. */
export const LINE_STEPS = { preK: 0, K: 1, g1: 1, g2: 2, g3: 2 } as const;

/** Column and row of every cell, in cells; the first is at the front. A branching row of one stands in its middle. */
export function places(
  params: Pick<CourtParams, 'cells' | 'layout'>,
): { cell: number; column: number; row: number }[] {
  const { across, down } = grid(params);
  if (params.layout === 'growing') return outward(params.cells);
  if (params.layout !== 'spiral')
    return landings(params).flatMap((row, i) =>
      row.map((cell, k) => ({ cell, column: (across - row.length) / 2 + k, row: down - 1 - i })),
    );
  // From the lower left corner along the edge, turning inwards.
  const taken = new Set<string>();
  const found: { cell: number; column: number; row: number }[] = [];
  let [column, row, way] = [0, down - 1, 0];
  const free = (c: number, r: number): boolean =>
    c >= 0 && c < across && r >= 0 && r < down && !taken.has(`${c} ${r}`);
  for (let cell = 1; cell <= params.cells; cell++) {
    found.push({ cell, column, row });
    taken.add(`${column} ${row}`);
    const [dc, dr] = WAYS[way]!;
    if (!free(column + dc, row + dr)) way = (way + 1) % 4;
    const [nc, nr] = WAYS[way]!;
    [column, row] = [column + nc, row + nr];
  }
  return found;
}

/** Cells that a growing court begins with. */
export const FIRST = 3;

/** Cells in a spiral from the middle outward, as far as it has grown. */
function outward(cells: number): { cell: number; column: number; row: number }[] {
  const found: { cell: number; column: number; row: number }[] = [];
  const taken = new Set<string>();
  let [column, row, way] = [0, 0, 0];
  for (let cell = 1; cell <= cells; cell++) {
    found.push({ cell, column, row });
    taken.add(`${column} ${row}`);
    // It turns left as soon as the place there is free.
    const left = (way + 1) % 4;
    const turned = cell > 1 && !taken.has(`${column + WAYS[left]![0]} ${row + WAYS[left]![1]}`);
    if (turned) way = left;
    [column, row] = [column + WAYS[way]![0], row + WAYS[way]![1]];
  }
  const [first, top] = [
    Math.min(...found.map((one) => one.column)),
    Math.min(...found.map((one) => one.row)),
  ];
  return found.map((one) => ({ ...one, column: one.column - first, row: one.row - top }));
}

/** Width and depth of the court in cells. */
export function grid(params: Pick<CourtParams, 'cells' | 'layout'>): { across: number; down: number } {
  if (params.layout === 'growing') {
    const all = outward(params.cells);
    return {
      across: 1 + Math.max(...all.map(({ column }) => column)),
      down: 1 + Math.max(...all.map(({ row }) => row)),
    };
  }
  if (params.layout === 'spiral') {
    const across = Math.ceil(Math.sqrt(params.cells));
    return { across, down: Math.ceil(params.cells / across) };
  }
  const rows = landings(params);
  return { across: Math.max(...rows.map((row) => row.length)), down: rows.length };
}

export const ladder = (params: CourtParams): Ladder =>
  levels(params, 'cells', [5, 6, 8, 10, 12, 16, 20], (cells) => `A court to ${cells}`);
