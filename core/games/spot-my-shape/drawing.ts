import type { Shape } from '~/core/paper/sheet';
import { area, bench, box, dot, stroke, TONE } from '~/core/games/kit/draw';

/** Things of different shapes, and a glass that looks for one of them. */
export const drawing: readonly Shape[] = [
  area('M14 50 L26 26 L38 50 Z', TONE.straw),
  box(46, 30, 20, 20, TONE.leaf, 0),
  dot(82, 40, 10, TONE.clay),
  { kind: 'circle', x: 56, y: 26, radius: 17, stroke: TONE.ink, strokeMm: 2 },
  stroke('M44 14 L30 4', TONE.ink, 2.6),
  bench,
];
