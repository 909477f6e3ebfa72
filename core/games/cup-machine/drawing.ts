import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, stroke, TONE } from '~/core/games/kit/draw';

const cup = (x: number, y: number, w: number, fill: string): Shape =>
  area(`M${x} ${y} L${x + w} ${y} L${x + w - 3} ${y + 16} L${x + 3} ${y + 16} Z`, fill);
/** Two cups above, poured into one below. */
export const drawing: readonly Shape[] = [
  cup(16, 6, 24, TONE.straw),
  cup(60, 6, 24, TONE.leaf),
  stroke('M30 24 L42 34 M70 24 L58 34', TONE.ink, 1.4),
  ...[42, 50, 58].map((x) => dot(x, 37, 2.6, TONE.clay)),
  cup(36, 38, 28, TONE.wood),
  bench,
];
