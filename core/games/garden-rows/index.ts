/** Garden Rows: build the row of two colors of cubes that a card shows, and find it on the mat. */
import { OneOf, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { faults, reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  max: Whole(4, 12, { title: 'Cubes in the longest row', default: 8 }),
  cards: Whole(4, 24, { title: 'Cards, and cells on the mat', default: 12 }),
  way: OneOf(
    {
      count: 'count both colors, and find the cell with both numbers',
      sum: 'say how many in all, and find the answer',
      two: 'two players: the longer row covers its answer',
    },
    { title: 'What is found', default: 'count' },
  ),
  mixed: Whole(1, 50, {
    title: 'Mixture of cards',
    description: 'Another number gives other rows, the same number the same ones.',
    default: 1,
  }),
  players: Whole(1, 2, { title: 'Players', default: 1 }),
};
export type RowsParams = ParamsOf<typeof knobs>;

export const gardenRows = game({
  words,
  family: 'build',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true },
  knobs,
  when: { players: { way: ['count', 'sum'] } },
  presets: [
    { id: 'count-8', name: 'count both colors', ageBand: 'preK' },
    { id: 'sum-6', name: 'sums to 6', ageBand: 'K', params: { way: 'sum', max: 6 } },
    { id: 'sum-10', name: 'sums to 10', ageBand: 'g1', params: { way: 'sum', max: 10, cards: 16 } },
    { id: 'two-10', name: 'a game of two, to 10', ageBand: 'g1', params: { way: 'two', max: 10, cards: 20 } },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ way, max }) => ({ way, max }),
  subject: ({ max, way }) => `rows of two colors to ${max}${way === 'two' ? ', a game of two' : ''}`,
  sheets,
});
