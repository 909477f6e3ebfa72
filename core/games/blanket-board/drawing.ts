import type { Shape } from '~/core/paper/sheet';
import { bench, box, dot, sign, TONE } from '~/core/games/kit/draw';

const cells = ['4', '', '9', '', '', '2'];
/** A board with covered cells, and a slip with a number. */
export const drawing: readonly Shape[] = [
  box(8, 8, 56, 42, TONE.wood),
  ...cells.flatMap((text, i) => {
    const [x, y] = [12 + (i % 3) * 17, 12 + Math.floor(i / 3) * 18];
    return [
      box(x, y, 14, 15, TONE.card),
      text ? sign(x + 7, y + 11.5, text, 9) : dot(x + 7, y + 7.5, 5, TONE.clay),
    ];
  }),
  box(72, 20, 20, 14, TONE.straw),
  sign(82, 31, '9', 10),
  bench,
];
