import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, sign, stroke, TONE } from '~/core/games/kit/draw';

const LEAF = (x: number): string =>
  `M${x} 30 C${x + 6} 8 ${x + 26} 8 ${x + 32} 30 C${x + 26} 50 ${x + 6} 50 ${x} 30 Z`;

/** An outline with dots, and the leaf with the numeral that belongs on it. */
export const drawing: readonly Shape[] = [
  stroke(LEAF(10), TONE.fern, 1.2),
  dot(20, 26, 2.6, TONE.ink),
  dot(29, 26, 2.6, TONE.ink),
  dot(24.5, 34, 2.6, TONE.ink),
  area(LEAF(56), TONE.leaf),
  sign(72, 36, '3', 16),
  bench,
];
