import type { Shape } from '~/core/paper/sheet';
import { bench, box, die, dot, sign, TONE } from '~/core/games/kit/draw';

/** Two dice, and a mat where their sum is being covered. */
export const drawing: readonly Shape[] = [
  box(8, 24, 84, 28, TONE.leaf),
  ...['5', '6', '7', '8', '9'].flatMap((text, i) => [
    box(12 + i * 15.6, 30, 13, 16, TONE.card),
    ...(text === '7'
      ? [dot(12 + i * 15.6 + 6.5, 38, 5, TONE.clay)]
      : [sign(12 + i * 15.6 + 6.5, 42, text, 9)]),
  ]),
  ...die(32, 4, 16, 4),
  ...die(54, 4, 16, 3, TONE.straw),
  bench,
];
