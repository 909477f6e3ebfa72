import type { Shape } from '~/core/paper/sheet';
import { area, bench, box, sign, stroke, TONE } from '~/core/games/kit/draw';

/** A sheet with rows, some of them ticked, and a pencil. */
export const drawing: readonly Shape[] = [
  box(22, 4, 46, 50, TONE.card),
  sign(42, 18, '4+6', 10),
  sign(42, 32, '3+7', 10),
  stroke('M28 44 L58 44', '#B9B39C', 1),
  stroke('M58 14 L61 17 L66 10 M58 28 L61 31 L66 24', TONE.fern, 1.6),
  area('M70 46 L90 14 L95 17 L75 49 L69 52 Z', TONE.straw),
  bench,
];
