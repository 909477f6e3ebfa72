/** Two-Tone Spill: shake counters with two sides, tip them out, sort by colour, say and write the split. */
import { OneOf, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  counters: Whole(3, 20, { title: 'Counters', description: 'The whole that is split.', default: 6 }),
  spills: Whole(1, 40, {
    title: 'Spills',
    description: 'For each player; one row of the record sheet each.',
    default: 10,
  }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
  order: OneOf(
    { ordered: '2 and 4 is not 4 and 2', unordered: '2 and 4 is the same as 4 and 2' },
    { title: 'Order of the two parts', description: 'Both ways are taught.', default: 'ordered' },
  ),
  finish: OneOf(
    {
      asTheyFall: 'Stop when the sheet is full',
      turnOver: 'Then turn counters over to make the ways still missing',
    },
    { title: 'At the end', default: 'asTheyFall' },
  ),
};
export type SpillParams = ParamsOf<typeof knobs>;

export const twoToneSpill = game({
  words,
  family: 'split',
  traits: { places: ['table', 'rainyDay'] },
  knobs,
  presets: [
    {
      id: '5-ordered',
      name: '5 counters',
      tradition: 'order counts',
      ageBand: 'K',
      params: { counters: 5, spills: 8 },
    },
    { id: '6-ordered', name: '6 counters', tradition: 'order counts', ageBand: 'g1' },
    {
      id: '8-ordered',
      name: '8 counters',
      tradition: 'order counts',
      ageBand: 'g1',
      params: { counters: 8, spills: 12 },
    },
    {
      id: '10-ordered',
      name: '10 counters',
      tradition: 'order counts',
      ageBand: 'g1',
      params: { counters: 10, spills: 12 },
    },
    {
      id: '5-unordered',
      name: '5 counters',
      tradition: 'order does not count',
      ageBand: 'K',
      params: { counters: 5, spills: 8, order: 'unordered' },
    },
    {
      id: '6-unordered',
      name: '6 counters',
      tradition: 'order does not count',
      ageBand: 'g1',
      params: { order: 'unordered' },
    },
    {
      id: '8-unordered',
      name: '8 counters',
      tradition: 'order does not count',
      ageBand: 'g1',
      params: { counters: 8, spills: 12, order: 'unordered' },
    },
    {
      id: '10-unordered',
      name: '10 counters',
      tradition: 'order does not count',
      ageBand: 'g1',
      params: { counters: 10, spills: 12, order: 'unordered' },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ counters }) => ({ counters }),
  subject: ({ counters }) => `${counters} counters`,
  sheets,
});
