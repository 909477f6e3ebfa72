/** Cup Machine: two cups for the two numbers, one for the total; pour together and count. */
import { OneOf, Whole, YesNo } from '~/core/check/schema';
import { game, LINE, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  max: Whole(3, 10, { title: 'Largest number in a cup', default: 5 }),
  op: OneOf(
    { add: 'Pour both cups together', subtract: 'Pour some back out' },
    { title: 'What the machine does', default: 'add' },
  ),
  source: OneOf(
    { cards: 'printed number cards', deck: 'a deck of cards, one color for each cup' },
    { title: 'Numbers come from', default: 'cards' },
  ),
  signs: YesNo({
    title: 'Lay the sentence with operation cards',
    description: 'The sign and = between the numbers.',
    default: false,
  }),
  line: LINE,
  problems: Whole(1, 20, { title: 'Problems in one play', default: 8 }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type MachineParams = ParamsOf<typeof knobs>;

export const cupMachine = game({
  words,
  family: 'build',
  traits: { places: ['table', 'rainyDay', 'car'] },
  knobs,
  presets: [
    { id: 'three', name: 'up to 3 and 3', ageBand: 'preK', params: { max: 3 } },
    { id: 'five', name: 'up to 5 and 5', ageBand: 'K' },
    { id: 'ten', name: 'up to 10 and 10', ageBand: 'g1', params: { max: 10 } },
    { id: 'back', name: 'taking away up to 10', ageBand: 'g1', params: { max: 10, op: 'subtract' } },
    {
      id: 'deck',
      name: 'up to 10 and 10, with a deck and signs',
      ageBand: 'g1',
      params: { max: 10, source: 'deck', signs: true },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ op }) => ({ op }),
  subject: ({ op, max }) => (op === 'add' ? `adding up to ${max} and ${max}` : `taking away up to ${max}`),
  sheets,
});
