/** Leaf Twins: shapes with a numeral, outlines with that many dots on a board; lay each shape on its twin. */
import { OneOf, SizeMm, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { PAPERS } from '~/core/paper/sheet';
import { play } from './play';
import { faults, reckon, SHAPES } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  count: Whole(5, 20, { title: 'Shapes', description: 'Numbered from 1.', default: 10 }),
  shape: OneOf(SHAPES, { title: 'Shape', description: 'Twelve, one for each month.', default: 'leaf' }),
  shapeMm: SizeMm(20, 200, { title: 'Size of a shape', default: { w: 60, h: 60 } }),
  gapMm: Whole(2, 20, { title: 'Gap between shapes (mm)', default: 5 }),
  paper: OneOf({ letter: PAPERS.letter.name, a4: PAPERS.a4.name }, { title: 'Paper', default: 'letter' }),
  players: Whole(1, 2, { title: 'Players', default: 1 }),
};
export type TwinParams = ParamsOf<typeof knobs>;

export const leafTwins = game({
  words,
  family: 'split',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true },
  knobs,
  presets: [
    { id: 'leaves-10', name: '10 leaves', ageBand: 'preK' },
    {
      id: 'fish-5',
      name: '5 large fish',
      ageBand: 'preK',
      params: { count: 5, shape: 'fish', shapeMm: { w: 85, h: 85 } },
    },
    {
      id: 'stars-20',
      name: '20 stars',
      ageBand: 'K',
      params: { count: 20, shape: 'star', shapeMm: { w: 45, h: 45 } },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ count }) => ({ count }),
  subject: ({ count, shape }) => `${count} shapes (${SHAPES[shape]})`,
  sheets,
});
