import type { Shape } from '~/core/paper/sheet';
import { area, bench, box, dot, TONE } from '~/core/games/kit/draw';

/** A card with a few dots, half under a cloth. */
export const drawing: readonly Shape[] = [
  box(22, 10, 56, 40, TONE.card),
  dot(34, 22, 4),
  dot(46, 22, 4),
  dot(34, 36, 4),
  dot(46, 36, 4),
  dot(40, 29, 4),
  area('M56 4 C66 8 76 2 90 6 L94 54 C84 50 72 56 58 52 Z', TONE.straw),
  bench,
];
