import type { Shape } from '~/core/paper/sheet';
import { bench, card, stroke, TONE } from '~/core/games/kit/draw';

/** Five cards in a row and the mark they have to reach. */
export const drawing: readonly Shape[] = [
  ...['3', '8', '1', '6', '2'].flatMap((text, i) => card(5 + i * 18.5, 31, text, TONE.card, 15, 20)),
  ...card(42, 3, '10', TONE.straw, 16, 20),
  stroke('M22 28 L38 18 M78 28 L62 18', TONE.clay, 1.2),
  bench,
];
