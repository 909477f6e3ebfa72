import type { Shape } from '~/core/paper/sheet';
import { bench, box, dot, sign, stroke, TONE } from '~/core/games/kit/draw';

/** A folded slip, a walk, and things laid in fives. */
export const drawing: readonly Shape[] = [
  box(6, 8, 22, 18, TONE.straw),
  sign(17, 22, '7', 13),
  stroke('M30 18 C46 6 56 8 62 22', TONE.clay, 1.4),
  ...[0, 1, 2, 3, 4].map((i) => dot(44 + i * 11, 34, 4)),
  ...[0, 1].map((i) => dot(44 + i * 11, 47, 4)),
  bench,
];
