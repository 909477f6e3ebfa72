import type { Shape } from '~/core/paper/sheet';
import { bench, box, card, dot, TONE } from '~/core/games/kit/draw';

/** A numeral, a tower of as many blocks, and the frame that shows it. */
export const drawing: readonly Shape[] = [
  ...card(6, 20, '3', TONE.card, 18, 26),
  ...[0, 1, 2].map((i) => box(38, 43 - i * 12, 16, 12, [TONE.fern, TONE.straw, TONE.clay][i])),
  ...Array.from({ length: 5 }, (_, i) => box(62 + i * 7, 34, 7, 12, TONE.card, 0)),
  ...[0, 1, 2].map((i) => dot(65.5 + i * 7, 40, 2.4, TONE.ink)),
  bench,
];
