/** Small drawings of the steps; they show the numbers that the steps say. */
import { suitShape } from '~/core/paper/stand-ins';
import { box, sign, TONE, type Sketches } from '~/core/games/kit/draw';
import type { MatchParams } from './rules';

const colourCard = (x: number, suit: number, n: number) => [
  box(x, 14, 24, 34, TONE.card),
  suitShape(suit, x + 6, 21, 0.5),
  sign(x + 13, 41, String(n), 14),
];
export const sketches: Sketches<MatchParams> = {
  'setUp.deal': ({ hand }) =>
    Array.from({ length: Math.min(7, hand!) }, (_, i) => box(12 + i * 10, 14, 22, 34, TONE.leaf)),
  'turn.lay': () => [...colourCard(8, 0, 3), ...colourCard(38, 0, 5), ...colourCard(68, 1, 5)],
  'turn.say': ({ number }) => [...colourCard(22, 0, number!), ...colourCard(54, 1, number!)],
};
