import type { Shape } from '~/core/paper/sheet';
import { bench, box, dot, sign, TONE } from '~/core/games/kit/draw';

const cell = (x: number, y: number, text: string): Shape[] => [
  box(x, y, 13, 13, '#DCE8EE', 0),
  sign(x + 6.5, y + 9.8, text, 8, TONE.shore),
];
/** A branching court with a stone on it. */
export const drawing: readonly Shape[] = [
  ...cell(8, 22, '1'),
  ...cell(21, 15.5, '2'),
  ...cell(21, 28.5, '3'),
  ...cell(34, 22, '4'),
  ...cell(47, 15.5, '5'),
  ...cell(47, 28.5, '6'),
  ...cell(60, 22, '7'),
  ...cell(73, 22, '8'),
  dot(83, 31, 3.4, TONE.clay),
  bench,
];
