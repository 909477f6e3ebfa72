import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, sign, TONE } from '~/core/games/kit/draw';

/** Two picture parts with wavy cuts, and the answer between them. */
export const drawing: readonly Shape[] = [
  area('M6 14 L34 14 C40 22 28 30 34 38 L34 46 L6 46 Z', TONE.leaf),
  area('M40 14 L62 14 C56 22 68 30 62 38 L62 46 L40 46 L40 38 C34 30 46 22 40 14 Z', TONE.card),
  area('M68 14 L94 14 L94 46 L68 46 L68 38 C74 30 62 22 68 14 Z', TONE.straw),
  dot(14, 24, 3.4),
  dot(24, 24, 3.4),
  dot(19, 35, 3.4),
  sign(51, 35, '5', 15),
  dot(82, 24, 3.4, TONE.clay),
  dot(82, 36, 3.4, TONE.clay),
  bench,
];
