import type { Shape } from '~/core/paper/sheet';
import { area, bench, sign, stroke, TONE } from '~/core/games/kit/draw';

const ring = (x: number, y: number, text: string): Shape[] => [
  { kind: 'circle', x, y, radius: 10, stroke: TONE.shore, strokeMm: 1.6, dashMm: [3, 1.2] },
  sign(x, y + 4, text, 10, TONE.shore),
];
/** Chalk circles with numbers, and a bag in flight. */
export const drawing: readonly Shape[] = [
  ...ring(36, 38, '5'),
  ...ring(60, 42, '2'),
  ...ring(84, 36, '9'),
  area('M6 30 L16 26 L20 36 L10 40 Z', TONE.clay),
  stroke('M20 26 C34 2 54 2 62 26', TONE.ink, 1),
  bench,
];
