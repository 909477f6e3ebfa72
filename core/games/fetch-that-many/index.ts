/** Fetch That Many: peek at a slip, remember it, bring that many of something, lay it in fives. */
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  from: OneValue(
    [
      [0, 'from 0'],
      [1, 'from 1'],
    ],
    { title: 'Numbers', default: 0 },
  ),
  to: Whole(3, 10, { title: 'Largest number', default: 5 }),
  things: OneOf(
    { onePile: 'from one pile of the same things', around: 'anything, all over the home' },
    { title: 'Things are fetched', default: 'onePile' },
  ),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type FetchParams = ParamsOf<typeof knobs>;

export const fetchThatMany = game({
  words,
  family: 'see',
  traits: { places: ['floor', 'outdoors', 'rainyDay'] },
  knobs,
  presets: [
    { id: 'five', name: '1 to 5', ageBand: 'preK', params: { from: 1 } },
    { id: 'three', name: '1 to 3', ageBand: 'preK', params: { from: 1, to: 3 } },
    { id: 'zero-five', name: '0 to 5', ageBand: 'preK' },
    { id: 'ten', name: '0 to 10', ageBand: 'K', params: { to: 10 } },
    { id: 'around', name: '0 to 10, all over the home', ageBand: 'K', params: { to: 10, things: 'around' } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ to }) => ({ to }),
  subject: ({ from, to }) => `fetching ${from} to ${to}`,
  sheets,
});
