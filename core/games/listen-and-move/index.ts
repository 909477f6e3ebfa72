/** Listen and Move: a leader calls moves with counts; act only on the agreed words; listening and stopping. */
import { Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  calls: Whole(4, 30, { title: 'Calls', default: 12 }),
  most: Whole(3, 20, { title: 'Largest count', default: 7 }),
  without: Whole(0, 50, {
    title: 'Calls in 100 without the agreed words',
    description: 'Then nobody moves.',
    default: 25,
  }),
  moves: Whole(2, 6, { title: 'Different moves', default: 4 }),
  players: Whole(1, 8, { title: 'Players', default: 3 }),
};
export type MoveParams = ParamsOf<typeof knobs>;

export const listenAndMove = game({
  words,
  family: 'talk',
  traits: { places: ['floor', 'outdoors', 'rainyDay'], byVideo: true, noReading: true },
  knobs,
  presets: [
    {
      id: 'five',
      name: 'to 5, every call counts',
      ageBand: 'preK',
      params: { calls: 8, most: 5, without: 0, moves: 3 },
    },
    { id: 'seven', name: 'to 7, with silent calls', ageBand: 'K' },
    {
      id: 'ten',
      name: 'to 10, many silent calls',
      ageBand: 'g1',
      params: { calls: 15, most: 10, without: 40, moves: 6 },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ most }) => ({ most }),
  subject: ({ most }) => `moves counted to ${most}`,
});
