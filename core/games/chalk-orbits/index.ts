/** Chalk Orbits: throw bags at numbered chalk circles; add the team's. */
import { Chance, Numbers, OneOf, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { faults, NUMBERS_MOST, reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  circles: Whole(2, 20, { title: 'Circles', default: 12 }),
  diameterMm: Whole(200, 1500, { title: 'Width of a circle (mm)', default: 800 }),
  sizes: OneOf(
    { same: 'all of one size', two: 'of two sizes: the larger numbers lie in the smaller ones' },
    { title: 'Circles are', default: 'same' },
  ),
  smallMm: Whole(200, 1500, { title: 'Width of a small circle (mm)', default: 500 }),
  gapMm: Whole(0, 1000, { title: 'Gap between circles (mm)', default: 200 }),
  numbers: Numbers(
    -10,
    NUMBERS_MOST,
    { minItems: 2, maxItems: 20 },
    {
      title: 'Numbers in the circles',
      description: 'Used in turn when there are more circles.',
      default: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
    },
  ),
  plans: OneOf(
    {
      one: 'one field for all',
      easier: 'a second field, its numbers half as large',
      both: 'a second field with half, a third with twice the numbers',
    },
    {
      title: 'For children of different levels',
      description: 'The bags of a team are thrown at the fields in turn, each by whom it fits.',
      default: 'one',
    },
  ),
  sides: OneOf(
    { teams: 'two teams', alone: 'one child, with bags of two colors' },
    { title: 'Who plays', default: 'teams' },
  ),
  bags: Whole(1, 6, { title: 'Bags of a team, or of a color', default: 4 }),
  op: OneOf(
    { add: 'Add the numbers', multiply: 'Multiply the numbers' },
    { title: 'The score', default: 'add' },
  ),
  counts: OneOf(
    { inside: 'when all of it lies inside', touch: 'when it touches the circle' },
    { title: 'A bag counts', description: 'Both ways are played.', default: 'inside' },
  ),
  miss: OneOf(
    { zero: 'counts 0', again: 'is thrown again' },
    { title: 'A bag beside the circles', description: 'Both ways are played.', default: 'zero' },
  ),
  hit: Chance(0.1, 1, { title: 'Chance to hit a circle', description: 'An assumption.', default: 0.6 }),
  bestOf: Whole(1, 10, {
    title: 'Best of',
    description: 'One child alone plays so many rounds.',
    default: 3,
  }),
};
export type OrbitParams = ParamsOf<typeof knobs>;

export const chalkOrbits = game({
  words,
  family: 'move',
  traits: { places: ['outdoors'] },
  knobs,
  when: { smallMm: { sizes: ['two'] } },
  presets: [
    {
      id: 'small',
      name: 'six circles, 1 to 3',
      tradition: 'a miss counts 0',
      ageBand: 'K',
      params: { circles: 6, numbers: [1, 2, 3, 1, 2, 3], bags: 3, bestOf: 1 },
    },
    { id: 'twelve', name: 'twelve circles, 1 to 12', tradition: 'a miss counts 0', ageBand: 'g2' },
    {
      id: 'small-again',
      name: 'six circles, 1 to 6',
      tradition: 'a miss is thrown again',
      ageBand: 'g1',
      params: { circles: 6, numbers: [1, 2, 3, 4, 5, 6], bags: 3, miss: 'again' },
    },
    {
      id: 'alone',
      name: 'one child, two colors and < = >',
      tradition: 'a miss counts 0',
      ageBand: 'g1',
      params: { circles: 6, numbers: [1, 2, 3, 4, 5, 6], bags: 2, sides: 'alone', bestOf: 5 },
    },
    {
      id: 'levels',
      name: 'two fields, for two levels',
      tradition: 'a miss counts 0',
      ageBand: 'g1',
      params: { circles: 6, numbers: [2, 4, 6, 8, 10, 12], plans: 'easier' },
    },
    {
      id: 'below-zero',
      name: 'eight circles, −4 to 4',
      tradition: 'a miss counts 0',
      ageBand: 'g3',
      params: { circles: 8, numbers: [-4, -3, -2, -1, 1, 2, 3, 4], bags: 3 },
    },
    {
      id: 'times',
      name: 'two bags, multiply',
      tradition: 'a miss is thrown again',
      ageBand: 'g3',
      params: { bags: 2, op: 'multiply', miss: 'again' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ op, sides }) => ({ op: sides === 'alone' ? 'alone' : op }),
  subject: ({ circles, op }) => `${circles} chalk circles, ${op === 'add' ? 'sums' : 'products'}`,
  sheets,
});
