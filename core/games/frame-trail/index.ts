/** Frame Trail: ten-frames filled with counters by colour or by a sentence; add fills on, take-away lifts off. */
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  max: OneValue(
    [
      [10, 'to 10'],
      [20, 'to 20'],
    ],
    { title: 'Numbers', default: 10 },
  ),
  op: OneOf(
    { add: 'Add: fill on', subtract: 'Take away: lift off' },
    { title: 'The sentences', default: 'add' },
  ),
  problems: Whole(1, 40, { title: 'Problems on the trail', default: 10 }),
  frames: Whole(1, 8, { title: 'Frames on a page', default: 4 }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type TrailParams = ParamsOf<typeof knobs>;

export const frameTrail = game({
  words,
  family: 'see',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true },
  knobs,
  presets: [
    { id: 'add-10', name: 'adding to 10', ageBand: 'K' },
    { id: 'take-10', name: 'taking away to 10', ageBand: 'g1', params: { op: 'subtract' } },
    { id: 'add-20', name: 'adding to 20', ageBand: 'g1', params: { max: 20 } },
    { id: 'take-20', name: 'taking away to 20', ageBand: 'g2', params: { max: 20, op: 'subtract' } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ op, max }) => ({ op, max }),
  subject: ({ op, max }) => `${op === 'add' ? 'adding' : 'taking away'} to ${max} in frames`,
  sheets,
});
