import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, sign, stroke, TONE } from '~/core/games/kit/draw';

const figure = (x: number, up: number): Shape[] => [
  dot(x, 26 - up, 5, TONE.straw),
  stroke(
    `M${x} ${31 - up} L${x} ${43 - up} M${x} ${34 - up} L${x - 7} ${28 - up} M${x} ${34 - up} L${x + 7} ${28 - up} M${x} ${43 - up} L${x - 5} ${53 - up} M${x} ${43 - up} L${x + 5} ${53 - up}`,
    TONE.ink,
    1.4,
  ),
];
/** A call, and children in mid-hop. */
export const drawing: readonly Shape[] = [
  area('M6 8 L36 8 L36 26 L22 26 L16 34 L16 26 L6 26 Z', TONE.leaf),
  sign(21, 22, '7', 13),
  ...figure(54, 4),
  ...figure(80, 8),
  bench,
];
