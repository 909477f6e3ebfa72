/** Clap a Count: clap, pat and roll patterns in twos, fives and tens. */
import { OneValue, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  unit: OneValue(
    [
      [2, 'in twos'],
      [5, 'in fives'],
      [10, 'in tens'],
    ],
    { title: 'Count', default: 2 },
  ),
  groups: Whole(2, 10, { title: 'Groups in one pattern', default: 5 }),
  patterns: Whole(1, 12, { title: 'Patterns', default: 4 }),
  players: Whole(1, 6, { title: 'Players', default: 2 }),
};
export type ClapParams = ParamsOf<typeof knobs>;

export const clapACount = game({
  words,
  family: 'talk',
  traits: { places: ['table', 'floor', 'outdoors', 'rainyDay', 'car'], byVideo: true, noReading: true },
  knobs,
  presets: [
    { id: 'twos', name: 'in twos to 10', ageBand: 'K' },
    { id: 'fives', name: 'in fives to 25', ageBand: 'g1', params: { unit: 5 } },
    { id: 'tens', name: 'in tens to 100', ageBand: 'g1', params: { unit: 10, groups: 10 } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ unit, groups }) => ({ unit, end: unit * groups }),
  subject: ({ unit, groups }) => `counting in ${unit}s to ${unit * groups}`,
});
