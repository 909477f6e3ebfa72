/** Small drawings of the steps; they show the numbers that the steps say. */
import { area, card, dot, TONE, written, type Sketches } from '~/core/games/kit/draw';
import { sentences, type DoughParams } from './rules';

/** Balls in a row of five, the last of them squashed. */
const balls = (n: number, squashed: number) =>
  Array.from({ length: n }, (_, i) => {
    const [x, y] = [14 + (i % 5) * 18, 18 + Math.floor(i / 5) * 18];
    return i < n - squashed
      ? dot(x, y, 6.4, TONE.straw)
      : area(`M${x - 8} ${y + 4} C${x - 7} ${y} ${x + 7} ${y} ${x + 8} ${y + 4} Z`, TONE.straw);
  });
export const sketches: Sketches<DoughParams> = {
  'setUp.cards': (_, params) => {
    const { a, b } = sentences(params).at(-1)!;
    return card(28, 16, `${a} − ${b}`, TONE.card, 44, 28);
  },
  'turn.make': ({ a }) => balls(a!, 0),
  'turn.say': ({ a, b }) => balls(a!, b!),
  'turn.write': ({ a, b, answer }) => written(`${a} − ${b} = ${answer}`),
};
