/** Skyline Rolls: roll, take that many blocks, build; count tens and ones. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { climb, levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    dice: Whole(1, 3, { title: 'Dice', default: 2 }),
    goal: OneOf(
      { rolls: 'A number of rolls each', reach: 'Until a number is reached' },
      { title: 'The game goes on', default: 'rolls' },
    ),
    rolls: Whole(1, 20, {
      title: 'Rolls each',
      when: { name: 'goal', is: ['rolls'] },
      default: 5,
    }),
    reach: OneValue(
      [
        [50, '50'],
        [100, '100'],
      ],
      {
        title: 'Number to reach',
        description: 'The last roll may pass it.',
        default: 50,
        when: { name: 'goal', is: ['reach'] },
      },
    ),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
    blockMm: Whole(10, 60, { title: 'Height of a block (mm)', default: 20 }),
  },
  { additionalProperties: false },
);
export type SkylineParams = Static<typeof schema>;

const base: SkylineParams = { dice: 2, goal: 'rolls', rolls: 5, reach: 50, players: 2, blockMm: 20 };
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  school: string,
  change: Partial<SkylineParams>,
): Preset<SkylineParams> => ({ id, name, school, ageBand, params: { ...base, ...change } });
const FIXED = 'a number of rolls';
const RACE = 'a number to reach';
export const presets: readonly Preset<SkylineParams>[] = [
  preset('one-die', 'one die, 5 rolls', 'K', FIXED, { dice: 1 }),
  preset('two-dice', 'two dice, 5 rolls', 'g1', FIXED, {}),
  preset('three-dice', 'three dice, 5 rolls', 'g2', FIXED, { dice: 3 }),
  preset('reach-50', 'two dice to 50', 'g1', RACE, { goal: 'reach' }),
  preset('reach-100', 'two dice to 100', 'g2', RACE, { goal: 'reach', reach: 100 }),
];

export const about = ({ goal, rolls, reach }: SkylineParams) => ({ goal, rolls, reach });
export const subject = ({ goal, rolls, reach, dice }: SkylineParams): string =>
  `${dice === 1 ? 'one die' : `${dice} dice`}, ${goal === 'rolls' ? `${rolls} rolls` : `to ${reach}`}`;
export const ladder = (params: SkylineParams): Ladder =>
  climb(
    levels(params, 'dice', [1, 2, 3], (dice) => (dice === 1 ? 'Roll one die' : `Roll ${dice} dice`)),
    params.goal === 'rolls' ? levels(params, 'rolls', [3, 5, 8, 10], (rolls) => `Roll ${rolls} times`) : {},
  );
