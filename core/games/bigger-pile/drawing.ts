import type { Shape } from '~/core/paper/sheet';
import { bench, card, TONE } from '~/core/games/kit/draw';

/** Two piles of cards, one of them higher, each with a number on top. */
export const drawing: readonly Shape[] = [
  ...[0, 2, 4, 6, 8].flatMap((up) => card(16, 28 - up, '', TONE.wood, 22, 24)),
  ...card(16, 18, '9', TONE.straw, 22, 24),
  ...[0, 2].flatMap((up) => card(60, 28 - up, '', TONE.wood, 22, 24)),
  ...card(60, 24, '4', TONE.card, 22, 24),
  bench,
];
