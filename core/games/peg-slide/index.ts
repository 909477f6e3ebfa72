/** Peg Slide: pegs clipped on a card; slide some to one side, read both parts, write the pair, slide one more. */
import { Numbers, OneOf, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  whole: Numbers(
    3,
    10,
    { minItems: 1, maxItems: 8, uniqueItems: true },
    { title: 'Wholes', description: 'One card for each whole.', default: [5] },
  ),
  order: OneOf(
    { ordered: '2 and 3 is not 3 and 2', unordered: '2 and 3 is the same as 3 and 2' },
    { title: 'Order of the two parts', description: 'Both ways are taught.', default: 'ordered' },
  ),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type PegParams = ParamsOf<typeof knobs>;

export const pegSlide = game({
  words,
  family: 'split',
  traits: { places: ['table', 'rainyDay', 'car'], quiet: true, byVideo: true },
  knobs,
  presets: [
    { id: '5-ordered', name: '5 pegs', tradition: 'order counts', ageBand: 'K' },
    { id: '10-ordered', name: '10 pegs', tradition: 'order counts', ageBand: 'g1', params: { whole: [10] } },
    {
      id: '6-7-8-9-ordered',
      name: 'cards of 6, 7, 8, 9',
      tradition: 'order counts',
      ageBand: 'g1',
      params: { whole: [6, 7, 8, 9] },
    },
    {
      id: '5-unordered',
      name: '5 pegs',
      tradition: 'order does not count',
      ageBand: 'K',
      params: { order: 'unordered' },
    },
    {
      id: '10-unordered',
      name: '10 pegs',
      tradition: 'order does not count',
      ageBand: 'g1',
      params: { whole: [10], order: 'unordered' },
    },
    {
      id: '6-7-8-9-unordered',
      name: 'cards of 6, 7, 8, 9',
      tradition: 'order does not count',
      ageBand: 'g1',
      params: { whole: [6, 7, 8, 9], order: 'unordered' },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ whole }) => ({ whole: Math.max(...whole) }),
  subject: (params) => `${Math.max(...params.whole)} pegs`,
  sheets,
});
