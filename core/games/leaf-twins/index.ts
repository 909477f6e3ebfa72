/** Leaf Twins: shapes with a numeral, outlines with that many dots on a board; lay each shape on its twin. */
import { LETTERS } from '~/core/cards/facts';
import { Numbers, OneOf, SizeMm, SomeOf, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { PAPERS } from '~/core/paper/sheet';
import { play } from './play';
import { faults, reckon, SHAPES } from './reckon';
import { mostOf, twinsOf } from './rules';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  twins: OneOf(
    {
      dots: 'a numeral and as many dots',
      numerals: 'the same numeral twice',
      letters: 'a capital letter and its small one',
    },
    { title: 'What are twins', default: 'dots' },
  ),
  which: OneOf({ run: 'one after the other, from 1', own: 'your own' }, { title: 'Numbers', default: 'run' }),
  count: Whole(5, 20, { title: 'Shapes', description: 'Numbered from 1.', default: 10 }),
  own: Numbers(
    0,
    100,
    { minItems: 2, maxItems: 20, uniqueItems: true },
    {
      title: 'Your own numbers',
      description: 'For the number a child mixes up, or the tens.',
      default: [6, 9, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20],
    },
  ),
  letters: SomeOf(Object.fromEntries(LETTERS.map((letter) => [letter, letter])), {
    title: 'Letters',
    default: ['A', 'B', 'D', 'E', 'F', 'G', 'M', 'N', 'R', 'T'],
  }),
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
  when: {
    which: { twins: ['dots', 'numerals'] },
    count: { which: ['run'], twins: ['dots', 'numerals'] },
    own: { which: ['own'], twins: ['dots', 'numerals'] },
    letters: { twins: ['letters'] },
  },
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
    {
      id: 'teens',
      name: '11 to 19, the same numeral twice',
      ageBand: 'K',
      params: { twins: 'numerals', which: 'own', own: [11, 12, 13, 14, 15, 16, 17, 18, 19] },
    },
    { id: 'letters', name: 'ten letters, capital and small', ageBand: 'preK', params: { twins: 'letters' } },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: (params) => ({ count: twinsOf(params).length, twins: params.twins, most: mostOf(params) }),
  subject: (params) => `${twinsOf(params).length} shapes (${SHAPES[params.shape]})`,
  sheets,
});
