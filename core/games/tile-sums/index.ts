/** Tile Sums: a double-six domino on the card, two ends, write the sum; dots to count. */
import { Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  limit: Whole(6, 12, { title: 'Largest sum', default: 10 }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type TileParams = ParamsOf<typeof knobs>;

export const tileSums = game({
  words,
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'], noReading: true },
  knobs,
  presets: [
    { id: 'to-6', name: 'sums to 6', ageBand: 'preK', params: { limit: 6 } },
    { id: 'to-8', name: 'sums to 8', ageBand: 'K', params: { limit: 8 } },
    { id: 'to-10', name: 'sums to 10', ageBand: 'K' },
    { id: 'to-12', name: 'sums to 12', ageBand: 'g1', params: { limit: 12 } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ limit }) => ({ limit }),
  subject: ({ limit }) => `sums to ${limit} on tiles`,
  sheets,
});
