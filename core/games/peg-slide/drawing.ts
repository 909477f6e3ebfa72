import type { Shape } from '~/core/paper/sheet';
import { bench, box, sign, TONE } from '~/core/games/kit/draw';

const peg = (x: number, fill: string): Shape => box(x, 8, 5, 24, fill, 1);

/** Pegs on the edge of a card, some of them slid away. */
export const drawing: readonly Shape[] = [
  box(10, 20, 80, 30, TONE.wood),
  ...[16, 23].map((x) => peg(x, TONE.straw)),
  ...[62, 69, 76].map((x) => peg(x, TONE.fern)),
  sign(50, 44, '5', 16),
  bench,
];
