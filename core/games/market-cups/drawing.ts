import type { Shape } from '~/core/paper/sheet';
import { area, bench, die, dot, TONE } from '~/core/games/kit/draw';

const cup = (x: number): Shape[] => [
  ...[0, 1, 2].map((i) => dot(x + 5 + i * 6, 28 - (i % 2) * 4, 3, TONE.clay)),
  area(`M${x} 32 L${x + 22} 32 L${x + 18} 52 L${x + 4} 52 Z`, TONE.wood),
];
/** Cups with the same number of pieces in each, and the two dice. */
export const drawing: readonly Shape[] = [
  ...cup(8),
  ...cup(38),
  ...cup(68),
  ...die(34, 3, 13, 3, TONE.straw),
  ...die(53, 3, 13, 3),
  bench,
];
