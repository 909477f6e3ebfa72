/** Write the Ways: after any target game, list every sentence for the target and tick the ones found. */
import { OneOf, Whole, YesNo } from '~/core/check/schema';
import { game, Signs, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { faults, reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  target: Whole(2, 20, { title: 'Target', default: 10 }),
  ops: Signs(['+']),
  order: OneOf(
    { ordered: '3 + 7 is not 7 + 3', unordered: '3 + 7 is the same as 7 + 3' },
    { title: 'Order', description: 'Both ways are taught.', default: 'ordered' },
  ),
  upTo: Whole(5, 20, { title: 'Largest number in a sentence', default: 10 }),
  zero: YesNo({ title: 'Sentences with zero', default: true }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type WaysParams = ParamsOf<typeof knobs>;

export const writeTheWays = game({
  words,
  family: 'target',
  traits: { places: ['table', 'rainyDay', 'car'], quiet: true, byVideo: true },
  knobs,
  presets: [
    { id: 'five', name: 'sums of 5', tradition: 'order counts', ageBand: 'K', params: { target: 5 } },
    { id: 'ten', name: 'sums of 10', tradition: 'order counts', ageBand: 'g1' },
    {
      id: 'ten-both',
      name: 'sums and differences that make 6',
      tradition: 'order counts',
      ageBand: 'g2',
      params: { target: 6, ops: ['+', '−'] },
    },
    {
      id: 'twelve-all',
      name: 'all signs to 12',
      tradition: 'order counts',
      ageBand: 'g3',
      params: { target: 12, ops: ['+', '−', '×', '÷'], upTo: 12 },
    },
    {
      id: 'ten-unordered',
      name: 'sums of 10',
      tradition: 'order does not count',
      ageBand: 'g1',
      params: { order: 'unordered' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ target }) => ({ target }),
  subject: ({ target }) => `ways to make ${target}`,
  sheets,
});
