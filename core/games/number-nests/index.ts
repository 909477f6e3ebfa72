/** Number Nests: sort sum cards to the nest with that number. */
import { OneOf, Whole, YesNo } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { faults, reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  from: Whole(2, 10, { title: 'Smallest nest', default: 5 }),
  to: Whole(2, 10, { title: 'Largest nest', default: 7 }),
  order: OneOf(
    { ordered: 'A card for 2 + 3 and one for 3 + 2', unordered: 'One card for both' },
    { title: 'Order of the two parts', default: 'unordered' },
  ),
  mixIn: Whole(0, 12, {
    title: 'Strays mixed in',
    description: 'Cards that belong to no nest on the table.',
    default: 0,
  }),
  zero: YesNo({ title: 'Cards with zero', description: 'Such as 0 + 5.', default: true }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type NestParams = ParamsOf<typeof knobs>;

export const numberNests = game({
  words,
  family: 'split',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true },
  knobs,
  presets: [
    {
      id: '4-6',
      name: 'nests 4 to 6',
      tradition: 'order does not count',
      ageBand: 'K',
      params: { from: 4, to: 6 },
    },
    {
      id: '2-4',
      name: 'nests 2 to 4',
      tradition: 'order does not count',
      ageBand: 'preK',
      params: { from: 2, to: 4 },
    },
    { id: '5-7', name: 'nests 5 to 7', tradition: 'order does not count', ageBand: 'K' },
    {
      id: '7-10',
      name: 'nests 7 to 10, with strays',
      tradition: 'order does not count',
      ageBand: 'g1',
      params: { from: 7, to: 10, mixIn: 4 },
    },
    {
      id: '4-6-ordered',
      name: 'nests 4 to 6',
      tradition: 'order counts',
      ageBand: 'K',
      params: { from: 4, to: 6, order: 'ordered' },
    },
    {
      id: '7-10-ordered',
      name: 'nests 7 to 10',
      tradition: 'order counts',
      ageBand: 'g1',
      params: { from: 7, to: 10, order: 'ordered' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ from, to }) => ({ from, to }),
  subject: ({ from, to }) => (from === to ? `sums of ${from}` : `sums from ${from} to ${to}`),
  sheets,
});
