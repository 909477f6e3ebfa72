import type { Shape } from '~/core/paper/sheet';
import { bench, box, sign, stroke, TONE } from '~/core/games/kit/draw';

const KEYS = ['1', '2', '3', '+', '4', '5', '6', '−', '7', '8', '9', '='];
/** A chalk calculator seen from above, and hops over it. */
export const drawing: readonly Shape[] = [
  ...KEYS.flatMap((key, i) => {
    const [x, y] = [26 + (i % 4) * 13, 4 + Math.floor(i / 4) * 16];
    return [
      box(x, y, 13, 16, '+−='.includes(key) ? TONE.straw : TONE.card, 0),
      sign(x + 6.5, y + 12, key, 9),
    ];
  }),
  stroke('M46 30 C54 18 64 16 70 14', TONE.clay, 1.4),
  bench,
];
