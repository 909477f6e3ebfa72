import type { Shape } from '~/core/paper/sheet';
import { bench, box, die, TONE } from '~/core/games/kit/draw';

const tower = (x: number, height: number, fill: string): Shape[] =>
  Array.from({ length: height }, (_, i) => box(x, 47.5 - i * 7.5, 12, 7.5, fill));
/** Towers of different heights like a skyline, and a die. */
export const drawing: readonly Shape[] = [
  ...tower(34, 3, TONE.clay),
  ...tower(48, 6, TONE.fern),
  ...tower(62, 4, TONE.straw),
  ...tower(76, 5, TONE.leaf),
  ...die(8, 36, 18, 6),
  bench,
];
