/** Skyline Rolls: roll, take that many blocks, build; count tens and ones. */
import { OneOf, OneValue, Whole, YesNo } from '~/core/check/schema';
import { BEGINS, game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  dice: Whole(1, 3, { title: 'Dice', default: 2 }),
  goal: OneOf(
    { rolls: 'A number of rolls each', reach: 'Until a number is reached' },
    { title: 'The game goes on', default: 'rolls' },
  ),
  rolls: Whole(1, 20, {
    title: 'Rolls each',
    default: 5,
  }),
  reach: OneValue(
    [
      [20, '20'],
      [50, '50'],
      [100, '100'],
    ],
    {
      title: 'Number to reach',
      description: 'The last roll may pass it.',
      default: 50,
    },
  ),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
  begins: BEGINS,
  mat: YesNo({ title: 'Work mat with tens and ones', default: false }),
  trade: OneOf(
    { stacks: 'ten cubes make a stack of ten', rods: 'ten cubes are traded for a ten-rod' },
    { title: 'Tens', description: 'Both ways are played.', default: 'stacks' },
  ),
  measure: YesNo({ title: 'Measure the skyline at the end', default: false }),
  blockMm: Whole(10, 60, { title: 'Height of a block (mm)', default: 20 }),
};
export type SkylineParams = ParamsOf<typeof knobs>;

export const skylineRolls = game({
  words,
  family: 'build',
  traits: { places: ['table', 'floor', 'rainyDay'] },
  knobs,
  when: { rolls: { goal: ['rolls'] }, reach: { goal: ['reach'] }, begins: { players: [2, 3, 4] } },
  presets: [
    {
      id: 'one-die',
      name: 'one die, 5 rolls',
      tradition: 'a number of rolls',
      ageBand: 'K',
      params: { dice: 1 },
    },
    { id: 'two-dice', name: 'two dice, 5 rolls', tradition: 'a number of rolls', ageBand: 'g1' },
    {
      id: 'three-dice',
      name: 'three dice, 5 rolls',
      tradition: 'a number of rolls',
      ageBand: 'g2',
      params: { dice: 3 },
    },
    {
      id: 'reach-20',
      name: 'one die to 20',
      tradition: 'a number to reach',
      ageBand: 'K',
      params: { dice: 1, goal: 'reach', reach: 20 },
    },
    {
      id: 'reach-50',
      name: 'two dice to 50',
      tradition: 'a number to reach',
      ageBand: 'g1',
      params: { goal: 'reach' },
    },
    {
      id: 'reach-100',
      name: 'two dice to 100',
      tradition: 'a number to reach',
      ageBand: 'g2',
      params: { goal: 'reach', reach: 100 },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ goal, rolls, reach }) => ({ goal, rolls, reach }),
  subject: ({ goal, rolls, reach, dice }) =>
    `${dice === 1 ? 'one die' : `${dice} dice`}, ${goal === 'rolls' ? `${rolls} rolls` : `to ${reach}`}`,
  sheets,
});
