/** Spot My Shape: clues by shape, number or colour for something in view; one more hint when stuck. */
import { SomeOf, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { CLUES, reckon } from './reckon';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  clues: SomeOf(CLUES, { title: 'Clues tell', default: ['shape', 'number', 'colour'] }),
  things: Whole(4, 30, {
    title: 'Things in view',
    description: 'About how many could be meant.',
    default: 12,
  }),
  each: Whole(2, 4, {
    title: 'Kinds each clue tells apart',
    description: 'Such as round, square, pointed.',
    default: 3,
  }),
  rounds: Whole(2, 20, { title: 'Riddles', default: 6 }),
  players: Whole(2, 6, { title: 'Players', default: 2 }),
};
export type SpotParams = ParamsOf<typeof knobs>;

export const spotMyShape = game({
  words,
  family: 'talk',
  traits: {
    places: ['table', 'floor', 'outdoors', 'rainyDay', 'car'],
    byVideo: true,
    quiet: true,
    noReading: true,
  },
  knobs,
  presets: [
    {
      id: 'colour',
      name: 'color and shape',
      ageBand: 'preK',
      params: { clues: ['colour', 'shape'], things: 8 },
    },
    { id: 'all', name: 'shape, number and color', ageBand: 'K' },
    {
      id: 'number',
      name: 'shape and number, a whole room',
      ageBand: 'g1',
      params: { clues: ['shape', 'number'], things: 20 },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ things }) => ({ things }),
  subject: ({ clues }) => `clues by ${clues.join(', ')}`,
});
