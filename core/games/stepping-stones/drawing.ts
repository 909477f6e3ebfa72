import type { Shape } from '~/core/paper/sheet';
import { area, bench, die, sign, stroke, TONE } from '~/core/games/kit/draw';

const stone = (x: number, y: number, text: string, fill: string): Shape[] => [
  area(
    `M${x} ${y} C${x} ${y - 7} ${x + 16} ${y - 8} ${x + 17} ${y} C${x + 18} ${y + 7} ${x} ${y + 8} ${x} ${y} Z`,
    fill,
  ),
  sign(x + 8.5, y + 3.5, text, 9),
];
/** Stones in a curve with their numbers, a hop between two of them, and a die. */
export const drawing: readonly Shape[] = [
  ...stone(4, 44, '1', TONE.leaf),
  ...stone(24, 34, '2', TONE.leaf),
  ...stone(46, 40, '3', TONE.leaf),
  ...stone(70, 32, '4', TONE.straw),
  stroke('M32 26 C44 6 66 6 78 22', TONE.clay, 1.4),
  ...die(8, 6, 14, 2),
  bench,
];
