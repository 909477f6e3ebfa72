/** Three Stones: a nine-cell board, five stones each with two marks; three in a row, by placing or by tossing. */
import { OneOf, YesNo } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { TARGET } from './rules';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  by: OneOf(
    { placing: 'placing them by turns', tossing: 'tossing them onto the board' },
    { title: 'Stones are played by', default: 'placing' },
  ),
  sums: YesNo({ title: 'With numbers: a row must make 15', default: false }),
  place: OneOf(
    { table: 'on the table', floor: 'on the floor, with a large board' },
    { title: 'Place', default: 'table' },
  ),
};
export type ThreeParams = ParamsOf<typeof knobs>;

export const threeStones = game({
  words,
  family: 'move',
  traits: { places: ['table', 'floor', 'outdoors', 'rainyDay'], quiet: true, noReading: true },
  knobs,
  presets: [
    { id: 'placing', name: 'three in a row', tradition: 'stones are placed', ageBand: 'K' },
    {
      id: 'placing-sums',
      name: 'three numbers that make 15',
      tradition: 'stones are placed',
      ageBand: 'g2',
      params: { sums: true },
    },
    {
      id: 'tossing',
      name: 'three in a row',
      tradition: 'stones are tossed',
      ageBand: 'K',
      params: { by: 'tossing', place: 'floor' },
    },
    {
      id: 'tossing-sums',
      name: 'three numbers that make 15',
      tradition: 'stones are tossed',
      ageBand: 'g2',
      params: { by: 'tossing', sums: true, place: 'floor' },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ sums }) => ({ sums: sums ? 'yes' : 'no', target: TARGET }),
  subject: ({ sums }) => (sums ? 'three numbers that make 15' : 'three in a row'),
  sheets,
});
