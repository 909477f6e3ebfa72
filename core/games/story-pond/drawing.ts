import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, TONE } from '~/core/games/kit/draw';

const duck = (x: number, y: number): Shape[] => [
  area(`M${x} ${y} C${x + 2} ${y + 8} ${x + 14} ${y + 8} ${x + 16} ${y - 2} L${x + 10} ${y} Z`, TONE.straw),
  dot(x + 2, y - 4, 3.6, TONE.straw),
];
const frog = (x: number, y: number): Shape[] => [
  area(`M${x} ${y + 6} C${x} ${y - 4} ${x + 14} ${y - 4} ${x + 14} ${y + 6} Z`, TONE.fern),
  dot(x + 4, y - 3, 1.8, TONE.card),
  dot(x + 10, y - 3, 1.8, TONE.card),
];
/** A pond with two ducks and three frogs. */
export const drawing: readonly Shape[] = [
  area('M6 38 C4 10 40 4 58 10 C90 6 98 26 94 40 C92 56 10 58 6 38 Z', '#BFD6E0'),
  ...duck(18, 22),
  ...duck(64, 20),
  ...frog(16, 40),
  ...frog(42, 38),
  ...frog(68, 40),
  bench,
];
