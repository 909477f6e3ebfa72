/** Small drawings of the steps; they show the numbers that the steps say. */
import { seeded } from '~/core/chance/random';
import { area, box, TONE, written, type Said, type Sketches } from '~/core/games/kit/draw';
import { draw } from './arrange';
import { cardsOf, type PeekParams } from './rules';

/** A card with the number that is said, in the first arrangement that shows it. */
const shown = (groups: number[], params: PeekParams) => {
  const all = cardsOf(params);
  const found = all.find((one) => one.groups.join() === groups.join()) ?? all.at(-1)!;
  return draw(found, seeded(1));
};
const two = ({ a, b }: Said): number[] => [Math.max(a!, b!), Math.min(a!, b!)];
export const sketches: Sketches<PeekParams> = {
  'turn.show': (_, params) => shown(params.groups === 1 ? [3] : [3, 2], params),
  'turn.cover': () => [
    box(1, 1, 98, 58, TONE.card, 3),
    area('M8 14 C30 6 70 8 92 14 C96 32 94 46 90 54 C64 50 36 50 12 54 C6 44 6 28 8 14 Z', TONE.leaf),
  ],
  'turn.say': ({ number }) => written(String(number), 30, 34),
  'turn.sayTwo': (said) => written(`${two(said)[0]} + ${two(said)[1]} = ${said.answer}`),
};
