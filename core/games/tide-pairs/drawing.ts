import type { Shape } from '~/core/paper/sheet';
import { bench, card, stroke, TONE } from '~/core/games/kit/draw';

/** Two cards that belong together, carried in by a wave. */
export const drawing: readonly Shape[] = [
  ...card(26, 12, '7'),
  ...card(58, 12, '3', TONE.straw),
  stroke(
    'M8 44 C16 36 24 52 32 44 C40 36 48 52 56 44 C64 36 72 52 80 44 C86 38 90 42 93 44',
    TONE.shore,
    1.6,
  ),
  bench,
];
