import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, sign, stroke, TONE } from '~/core/games/kit/draw';

/** Two hands that meet, and beats in groups below. */
export const drawing: readonly Shape[] = [
  area('M28 34 C22 20 28 8 36 8 L44 12 L46 32 C42 38 34 40 28 34 Z', TONE.straw),
  area('M72 34 C78 20 72 8 64 8 L56 12 L54 32 C58 38 66 40 72 34 Z', TONE.wood),
  stroke('M50 2 L50 8 M44 4 L46 9 M56 4 L54 9', TONE.clay, 1.4),
  ...[16, 24, 40, 48, 64, 72].map((x) => dot(x, 47, 3)),
  sign(88, 51, '6', 10),
  bench,
];
