import type { Shape } from '~/core/paper/sheet';
import { bench, card, stroke, TONE } from '~/core/games/kit/draw';

/** A card in the middle; one follows by number, another by colour. */
export const drawing: readonly Shape[] = [
  ...card(42, 18, '4', TONE.straw, 18, 24),
  ...card(10, 18, '4', TONE.leaf, 18, 24),
  ...card(74, 18, '7', TONE.straw, 18, 24),
  stroke('M29 30 L40 30 M62 30 L73 30', TONE.ink, 1.4),
  bench,
];
