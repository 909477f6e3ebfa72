import type { Shape } from '~/core/paper/sheet';
import { bench, die, sign, TONE } from '~/core/games/kit/draw';

/** A tile with two ends, and what is written under it. */
export const drawing: readonly Shape[] = [
  ...die(28, 6, 22, 4, TONE.wood),
  ...die(50, 6, 22, 2, TONE.wood),
  sign(50, 48, '4 + 2 = 6', 12),
  bench,
];
