/** Bond Triangles: two parts and a whole on a triangle card, one covered; four sentences from one card. */
import { Numbers, OneOf, Whole, YesNo } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  wholes: Numbers(
    3,
    20,
    { minItems: 1, maxItems: 18, uniqueItems: true },
    { title: 'Wholes', default: [10] },
  ),
  cover: OneOf(
    { part: 'A part', whole: 'The whole', any: 'Any of the three' },
    { title: 'Covered by the thumb', default: 'part' },
  ),
  zero: YesNo({ title: 'Cards with zero', description: 'Such as 0 and 5.', default: false }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type BondParams = ParamsOf<typeof knobs>;

export const bondTriangles = game({
  words,
  family: 'split',
  traits: { places: ['table', 'rainyDay', 'car'], quiet: true, byVideo: true },
  knobs,
  presets: [
    { id: 'five', name: 'wholes 3 to 5', ageBand: 'K', params: { wholes: [3, 4, 5], cover: 'whole' } },
    { id: 'ten', name: 'parts of 10', ageBand: 'g1' },
    {
      id: 'to-ten',
      name: 'wholes 6 to 10',
      ageBand: 'g1',
      params: { wholes: [6, 7, 8, 9, 10], cover: 'any' },
    },
    { id: 'teens', name: 'wholes 11 to 14', ageBand: 'g2', params: { wholes: [11, 12, 13, 14] } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ wholes }) => ({ whole: Math.max(...wholes) }),
  subject: ({ wholes }) =>
    wholes.length === 1
      ? `parts of ${wholes[0]}`
      : `parts of ${Math.min(...wholes)} to ${Math.max(...wholes)}`,
  sheets,
});
