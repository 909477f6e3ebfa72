/** Small drawings of the steps; they show the numbers that the steps say. */
import { card, dot, sign, stroke, TONE, type Sketches } from '~/core/games/kit/draw';
import type { HatParams } from './rules';

/** A face with a card at the forehead. */
const face = (x: number, text: string) => [
  dot(x, 40, 13, TONE.wood),
  stroke(`M${x - 5} 46 C${x - 2} 49 ${x + 2} 49 ${x + 5} 46`, TONE.ink, 1),
  ...card(x - 8, 6, text, TONE.card, 16, 22),
];
export const sketches: Sketches<HatParams> = {
  'turn.hats': () => [...face(26, ''), ...face(74, '')],
  'turn.sum': ({ said }) => [...face(26, '?'), ...face(74, '?'), sign(50, 34, String(said), 14, TONE.clay)],
  'turn.product': ({ said }) => [
    ...face(26, '?'),
    ...face(74, '?'),
    sign(50, 34, String(said), 14, TONE.clay),
  ],
  'turn.partSum': ({ said, a, b }) => [
    ...face(26, String(b)),
    ...face(74, String(a)),
    sign(50, 34, String(said), 14, TONE.clay),
  ],
  'turn.partProduct': ({ said, a, b }) => [
    ...face(26, String(b)),
    ...face(74, String(a)),
    sign(50, 34, String(said), 14, TONE.clay),
  ],
};
