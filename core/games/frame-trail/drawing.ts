import type { Shape } from '~/core/paper/sheet';
import { bench, box, dot, TONE } from '~/core/games/kit/draw';

/** A ten-frame with counters of two colours. */
export const drawing: readonly Shape[] = [
  ...Array.from({ length: 10 }, (_, i) =>
    box(14 + (i % 5) * 14.4, 12 + Math.floor(i / 5) * 16, 14.4, 16, TONE.card, 0),
  ),
  ...Array.from({ length: 8 }, (_, i) =>
    dot(21.2 + (i % 5) * 14.4, 20 + Math.floor(i / 5) * 16, 4.6, i < 6 ? TONE.fern : TONE.straw),
  ),
  bench,
];
