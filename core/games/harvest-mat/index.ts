/** Harvest Mat: roll dice (or draw a sum card), find the answer on the mat, cover it. */
import { Numbers, OneOf, Whole, YesNo } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { count } from '~/core/words/numbers';
import { play } from './play';
import { reckon } from './reckon';
import { faults } from './rules';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  source: OneOf(
    { 'one-die': 'One die', 'two-dice': 'Two dice', cards: 'Sum cards' },
    { title: 'Answers come from', default: 'two-dice' },
  ),
  cells: Numbers(
    0,
    20,
    { minItems: 1, maxItems: 24 },
    {
      title: 'Numbers on the mat',
      description: 'A number may be there more than once.',
      default: [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
    },
  ),
  claim: YesNo({ title: 'Two players, a color each: most cells wins', default: false }),
  cardsPerSum: Whole(1, 6, {
    title: 'Sum cards for each number',
    default: 2,
  }),
  drawn: OneOf(
    { aside: 'is put aside', back: 'goes back and is mixed in' },
    { title: 'A card that was drawn', description: 'Both ways are played.', default: 'aside' },
  ),
  mark: OneOf(
    {
      chips: 'are covered with chips or counters',
      pencil: 'are circled the first time, and colored the second: the mat serves twice',
    },
    { title: 'Cells', default: 'chips' },
  ),
};
export type MatParams = ParamsOf<typeof knobs>;

export const harvestMat = game({
  words,
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'] },
  knobs,
  when: { cardsPerSum: { source: ['cards'] }, drawn: { source: ['cards'] }, mark: { claim: [false] } },
  presets: [
    {
      id: 'one',
      name: 'one die, 1 to 6',
      ageBand: 'preK',
      params: { source: 'one-die', cells: [1, 2, 3, 4, 5, 6] },
    },
    {
      id: 'matched',
      name: 'two dice, matched mat',
      ageBand: 'K',
      params: { cells: [4, 5, 6, 6, 7, 7, 7, 8, 8, 9, 10] },
    },
    { id: 'each', name: 'two dice, each number once', ageBand: 'K' },
    {
      id: 'cards',
      name: 'sum cards to 10',
      ageBand: 'g1',
      params: { source: 'cards', cells: [3, 4, 5, 6, 7, 8, 9, 10, 10] },
    },
    {
      id: 'claim',
      name: 'two dice, a color each',
      ageBand: 'g1',
      params: { cells: [4, 5, 5, 6, 6, 7, 7, 7, 8, 8, 9, 9, 10], claim: true },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ source }) => ({
    source: { 'one-die': 'one', 'two-dice': 'two', cards: 'cards' }[source],
  }),
  subject: ({ source, cells }) =>
    `${count(cells.length, 'cell')}, ${{ 'one-die': 'one die', 'two-dice': 'two dice', cards: 'sum cards' }[source]}`,
  sheets,
});
