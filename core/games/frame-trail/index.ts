/** Frame Trail: ten-frames filled with counters by colour or by a sentence; add fills on, take-away lifts off. */
import { OneOf, OneValue, Whole, YesNo } from '~/core/check/schema';
import { game, LINE, type ParamsOf } from '~/core/games/kit';
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
    {
      add: 'Add: fill on',
      subtract: 'Take away: lift off',
      both: 'Both on one frame: fill on, then lift the same off again',
    },
    { title: 'The sentences', default: 'add' },
  ),
  signs: YesNo({
    title: 'Lay the sentence with operation cards',
    description: 'The signs and =, in place of printed sentences.',
    default: false,
  }),
  problemSheets: Whole(0, 6, {
    title: 'Problem sheets besides',
    description: 'To draw and write on, each with other problems.',
    default: 0,
  }),
  mixed: Whole(1, 50, {
    title: 'Mixture of problems',
    description: 'Another number gives other problems, the same number the same ones.',
    default: 1,
  }),
  line: LINE,
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
    {
      id: 'both-10',
      name: 'adding and taking away on one frame',
      ageBand: 'g1',
      params: { op: 'both', problems: 8, signs: true },
    },
    { id: 'add-20', name: 'adding to 20', ageBand: 'g1', params: { max: 20 } },
    { id: 'take-20', name: 'taking away to 20', ageBand: 'g2', params: { max: 20, op: 'subtract' } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ op, max }) => ({ op, max }),
  subject: ({ op, max }) =>
    `${{ add: 'adding', subtract: 'taking away', both: 'adding and taking away' }[op]} to ${max} in frames`,
  sheets,
});
