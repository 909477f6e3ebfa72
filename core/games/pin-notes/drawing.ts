import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, TONE } from '~/core/games/kit/draw';

const pin = (x: number): Shape =>
  area(
    `M${x} 54 C${x - 4} 42 ${x} 36 ${x + 2} 30 C${x} 22 ${x + 10} 22 ${x + 8} 30 C${x + 10} 36 ${x + 14} 42 ${x + 10} 54 Z`,
    TONE.wood,
  );
/** A ball, two pins that stand and one that fell. */
export const drawing: readonly Shape[] = [
  dot(16, 46, 8, TONE.clay),
  pin(40),
  pin(58),
  area('M72 54 C84 58 90 54 94 50 C100 46 100 38 94 40 C90 38 80 42 72 46 Z', TONE.straw),
  { kind: 'path', d: 'M28 46 L36 46', stroke: TONE.ink, strokeMm: 1.2, dashMm: [2, 2] },
  bench,
];
