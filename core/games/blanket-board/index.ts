/** Blanket the Board: boards with mixed numbers, slips drawn and left in view; cover; the full board wins. */
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { faults, SHAPES } from './rules';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  from: Whole(0, 20, { title: 'Numbers from', default: 1 }),
  to: Whole(1, 30, { title: 'Numbers to', default: 12 }),
  cells: OneValue(
    Object.entries(SHAPES).map(
      ([cells, { rows, columns }]) => [Number(cells), `${cells} (${rows} × ${columns})`] as const,
    ),
    { title: 'Cells of a board', default: 9 },
  ),
  boards: Whole(1, 8, { title: 'Boards', default: 4 }),
  boardsPerChild: OneValue(
    [
      [1, 'One'],
      [2, 'Two'],
    ],
    { title: 'Boards for each child', default: 1 },
  ),
  fill: OneOf(
    { printed: 'are printed', blank: 'are written by the child, on a blank board' },
    { title: 'The numbers of a board', default: 'printed' },
  ),
  win: OneOf({ full: 'The whole board', line: 'A line' }, { title: 'To finish', default: 'full' }),
  draw: Whole(1, 999, {
    title: 'Draw of the boards',
    description: 'Another number draws other boards.',
    default: 1,
  }),
};
export type BlanketParams = ParamsOf<typeof knobs>;

export const blanketBoard = game({
  words,
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true, byVideo: true },
  knobs,
  when: { draw: { fill: ['printed'] } },
  presets: [
    {
      id: 'ten',
      name: 'numbers to 10, 8 cells',
      tradition: 'the full board wins',
      ageBand: 'preK',
      params: { from: 0, to: 10, cells: 8 },
    },
    { id: 'twelve', name: 'numbers to 12, 9 cells', tradition: 'the full board wins', ageBand: 'K' },
    {
      id: 'twenty',
      name: 'numbers to 20, 16 cells',
      tradition: 'the full board wins',
      ageBand: 'K',
      params: { to: 20, cells: 16 },
    },
    {
      id: 'thirty',
      name: 'numbers to 30, 25 cells',
      tradition: 'a line wins',
      ageBand: 'g1',
      params: { to: 30, cells: 25, win: 'line' },
    },
    {
      id: 'own-numbers',
      name: 'blank boards, numbers to 20',
      tradition: 'a line wins',
      ageBand: 'g1',
      params: { to: 20, cells: 16, win: 'line', fill: 'blank' },
    },
    {
      id: 'twenty-line',
      name: 'numbers to 20, 16 cells',
      tradition: 'a line wins',
      ageBand: 'K',
      params: { to: 20, cells: 16, win: 'line' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ win }) => ({ win }),
  subject: ({ from, to }) => `numbers from ${from} to ${to}`,
  sheets,
});
