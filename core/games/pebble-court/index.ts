/** Pebble Court: hop courts, straight, branching or spiral; a stone each; inside on a rainy day with tape. */
import { OneOf, Whole, YesNo } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  cells: Whole(5, 20, { title: 'Cells', default: 10 }),
  layout: OneOf(
    {
      straight: 'straight',
      branching: 'branching: one, then two side by side',
      spiral: 'spiral',
      growing: 'a spiral that grows: a cell more whenever somebody is through',
    },
    { title: 'Court', default: 'straight' },
  ),
  cellMm: Whole(250, 600, { title: 'Width of a cell (mm)', default: 400 }),
  place: OneOf(
    { chalk: 'chalk outdoors', tape: 'tape indoors', paper: 'paper on the table, with two fingers' },
    { title: 'Place', default: 'chalk' },
  ),
  feet: OneOf({ one: 'one foot', two: 'both feet' }, { title: 'Hopping on', default: 'one' }),
  lines: YesNo({ title: 'Who touches a line ends the turn', default: false }),
  rest: Whole(0, 4, {
    title: 'Rest cells',
    description: 'There both feet may stand.',
    default: 0,
  }),
  hit: Whole(10, 100, {
    title: 'Throws in 100 that land in the cell',
    description: 'An assumption.',
    default: 70,
  }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type CourtParams = ParamsOf<typeof knobs>;

export const pebbleCourt = game({
  words,
  family: 'move',
  traits: { places: ['outdoors', 'floor', 'rainyDay'] },
  knobs,
  presets: [
    { id: 'straight-5', name: 'straight to 5', ageBand: 'preK', params: { cells: 5 } },
    { id: 'straight-10', name: 'straight to 10', ageBand: 'K' },
    { id: 'branching-10', name: 'branching to 10', ageBand: 'g1', params: { layout: 'branching' } },
    { id: 'spiral-16', name: 'spiral to 16', ageBand: 'g1', params: { cells: 16, layout: 'spiral' } },
    {
      id: 'growing-12',
      name: 'a spiral that grows to 12',
      ageBand: 'K',
      params: { cells: 12, layout: 'growing' },
    },
    {
      id: 'rainy',
      name: 'branching, with tape indoors',
      ageBand: 'K',
      params: { layout: 'branching', cellMm: 300, place: 'tape' },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ cells }) => ({ cells }),
  subject: ({ cells, layout }) => `a ${layout === 'growing' ? 'growing spiral' : layout} court to ${cells}`,
  sheets,
});
