/** Stepping Stones: a number path; roll, hop, say each number; back again taking away. */
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { BEGINS, game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { faults } from './rules';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  length: OneValue(
    [
      [5, '5 stones'],
      [10, '10 stones'],
      [20, '20 stones'],
      [30, '30 stones'],
    ],
    { title: 'Path', default: 10 },
  ),
  dice: Whole(1, 2, { title: 'Dice', default: 1 }),
  finish: OneOf(
    { reach: 'a roll may pass the last stone', exact: 'a roll that would pass stays put' },
    { title: 'At the end', description: 'Both ways are played.', default: 'reach' },
  ),
  back: OneOf(
    {
      none: 'One way',
      subtract: 'And back again, taking away',
      difference: 'And back again, with the difference of two dice',
    },
    { title: 'The way', default: 'none' },
  ),
  meet: OneOf(
    { together: 'there is room for both', further: 'whoever comes last goes one stone further' },
    { title: 'Two on one stone', description: 'Both ways are played.', default: 'together' },
  ),
  stones: OneOf(
    {
      numbers: 'have their numbers',
      childNumbers: 'are blank: the child lays the numbers on',
      childDots: 'are blank: the child lays dots on',
    },
    { title: 'The stones', default: 'numbers' },
  ),
  begins: BEGINS,
  players: Whole(1, 4, { title: 'Players', default: 2 }),
  place: OneOf(
    { chalk: 'chalk outdoors', felt: 'felt on the floor', table: 'a small path on the table' },
    { title: 'Place', default: 'felt' },
  ),
  stoneMm: Whole(30, 600, { title: 'Width of a stone (mm)', default: 300 }),
  gapMm: Whole(0, 400, { title: 'Gap between stones (mm)', default: 100 }),
};
export type StoneParams = ParamsOf<typeof knobs>;

export const steppingStones = game({
  words,
  family: 'move',
  traits: { places: ['floor', 'outdoors', 'table', 'rainyDay'] },
  knobs,
  when: { meet: { players: [2, 3, 4] }, begins: { players: [2, 3, 4] } },
  presets: [
    { id: 'felt-10', name: 'felt path to 10', tradition: 'the last roll may pass', ageBand: 'preK' },
    {
      id: 'felt-5',
      name: 'felt path to 5',
      tradition: 'the last roll may pass',
      ageBand: 'preK',
      params: { length: 5 },
    },
    {
      id: 'table-10',
      name: 'table path to 10',
      tradition: 'the last roll may pass',
      ageBand: 'preK',
      params: { place: 'table', stoneMm: 40, gapMm: 0 },
    },
    {
      id: 'back-10',
      name: 'to 10 and back',
      tradition: 'the last roll may pass',
      ageBand: 'K',
      params: { back: 'subtract' },
    },
    {
      id: 'chalk-20',
      name: 'chalk path to 20, two dice',
      tradition: 'the last roll may pass',
      ageBand: 'K',
      params: { length: 20, dice: 2, place: 'chalk' },
    },
    {
      id: 'blank-10',
      name: 'felt path to 10, the child lays the numbers',
      tradition: 'the last roll may pass',
      ageBand: 'K',
      params: { stones: 'childNumbers' },
    },
    {
      id: 'difference-10',
      name: 'to 10, and back with the difference',
      tradition: 'the last roll may pass',
      ageBand: 'g1',
      params: { dice: 2, back: 'difference' },
    },
    {
      id: 'table-20-back',
      name: 'table path to 20 and back',
      tradition: 'the last roll may pass',
      ageBand: 'g1',
      params: { length: 20, back: 'subtract', place: 'table', stoneMm: 40, gapMm: 0 },
    },
    {
      id: 'exact-10',
      name: 'felt path to 10',
      tradition: 'the last roll must be exact',
      ageBand: 'K',
      params: { finish: 'exact' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ length, back }) => ({ length, back }),
  subject: ({ length, back }) => `a path to ${length}${back === 'none' ? '' : ' and back'}`,
  sheets,
});
