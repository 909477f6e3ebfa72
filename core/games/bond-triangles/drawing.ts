import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, sign, TONE } from '~/core/games/kit/draw';

/** A triangle with a whole on top, a part below, and a thumb on the other part. */
export const drawing: readonly Shape[] = [
  area('M50 5 L88 53 L12 53 Z', TONE.card),
  sign(50, 25, '10', 11),
  sign(29, 49, '7', 11),
  dot(71, 45, 6.5, TONE.straw),
  bench,
];
