import type { Shape } from '~/core/paper/sheet';
import { bench, box, card, sign, TONE } from '~/core/games/kit/draw';

const turned = new Set([2, 4, 6]);
/** A grid of nine cards, three of them turned over in a line, and a card being called. */
export const drawing: readonly Shape[] = [
  ...Array.from({ length: 9 }, (_, i) => {
    const [x, y] = [12 + (i % 3) * 15, 3 + Math.floor(i / 3) * 17.3];
    return turned.has(i)
      ? [box(x, y, 12, 15.5, TONE.fern)]
      : [box(x, y, 12, 15.5, TONE.card), sign(x + 6, y + 11, String(i + 1), 8)];
  }).flat(),
  ...card(70, 16, '7', TONE.straw, 20, 27),
  bench,
];
