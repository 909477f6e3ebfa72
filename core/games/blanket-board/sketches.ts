/** Small drawings of the steps; they show the numbers that the steps say. */
import { slipFace } from '~/core/paper/cards';
import { box, cells, TONE, type Sketches } from '~/core/games/kit/draw';
import { SHAPES, type BlanketParams } from './rules';

const board = (params: BlanketParams, covered: number[]) => {
  const { rows, columns } = SHAPES[params.cells]!;
  return cells(rows, columns, covered);
};
export const sketches: Sketches<BlanketParams> = {
  'setUp.boards': (_, params) => board(params, []),
  'turn.draw': ({ number }) => [
    box(30, 2, 40, 56, TONE.card),
    ...slipFace(number!, { x: 30, y: 2, w: 40, h: 56 }),
  ],
  'turn.cover': (_, params) => board(params, [1]),
  'end.full': (_, params) =>
    board(
      params,
      Array.from({ length: params.cells }, (_, i) => i),
    ),
  'end.line': (_, params) =>
    board(
      params,
      Array.from({ length: SHAPES[params.cells]!.columns }, (_, i) => i),
    ),
};
