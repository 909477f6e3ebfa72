/** Small drawings of the steps; they show the numbers that the steps say. */
import { box, TONE, written, type Sketches } from '~/core/games/kit/draw';
import type { PegParams } from './rules';

/** Pegs on the edge of a card: so many on the left, so many on the right. */
const pegged = (left: number, right: number) => [
  box(6, 26, 88, 26, TONE.card),
  ...Array.from({ length: left }, (_, i) => box(9 + i * 7, 14, 5.4, 20, TONE.straw)),
  ...Array.from({ length: right }, (_, i) => box(86 - i * 7, 14, 5.4, 20, TONE.leaf)),
];
export const sketches: Sketches<PegParams> = {
  'setUp.card': ({ whole }) => pegged(0, whole!),
  'turn.slide': (_, { whole }) => pegged(1, whole[0]! - 1),
  'turn.say': ({ a, b }) => pegged(a!, b!),
  'turn.write': ({ a, b, whole }) => written(`${a} + ${b} = ${whole}`),
};
