/** Small drawings of the steps; they show the numbers that the steps say. */
import { area, box, sign, stroke, TONE, type Sketches } from '~/core/games/kit/draw';
import { grid, places, type CourtParams } from './rules';

/** The court on its side, so that it fills the box: the first cell is on the left. */
const court = (params: CourtParams) => {
  const { across, down } = grid(params);
  const side = Math.min(94 / down, 52 / across);
  const [left, top] = [50 - (side * down) / 2, 30 - (side * across) / 2];
  return places(params).flatMap(({ cell, column, row }) => {
    const [x, y] = [left + (down - 1 - row) * side, top + column * side];
    return [
      box(x, y, side, side, TONE.card, 0.5),
      sign(x + side / 2, y + side * 0.68, String(cell), side * 0.5),
    ];
  });
};
export const sketches: Sketches<CourtParams> = {
  'setUp.chalk': (_, params) => court(params),
  'setUp.tape': (_, params) => court(params),
  'setUp.paper': (_, params) => court(params),
  'turn.throw': () => [
    area('M14 44 C16 38 26 38 28 44 C28 50 14 50 14 44 Z', TONE.wood),
    stroke('M28 34 C40 14 58 14 68 30', TONE.clay, 1.4),
    box(62, 32, 24, 24, TONE.card, 0.5),
    sign(74, 49, '1', 13),
  ],
};
