/** Stepping Stones: a number path; roll, hop, say each number; back again taking away. */
import { Type, type Static } from '@sinclair/typebox';
import { DIE, entries, nFold } from '~/core/chance/pmf';
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { climb, levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    length: OneValue(
      [
        [10, '10 stones'],
        [20, '20 stones'],
      ],
      { title: 'Path', default: 10 },
    ),
    dice: Whole(1, 2, { title: 'Dice', default: 1 }),
    finish: OneOf(
      { reach: 'a roll may pass the last stone', exact: 'a roll that would pass stays put' },
      { title: 'At the end', description: 'Both schools are played.', default: 'reach' },
    ),
    back: OneOf(
      { none: 'One way', subtract: 'And back again, taking away' },
      { title: 'The way', default: 'none' },
    ),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
    place: OneOf(
      { chalk: 'chalk outdoors', felt: 'felt on the floor', table: 'a small path on the table' },
      { title: 'Place', default: 'felt' },
    ),
    stoneMm: Whole(30, 600, { title: 'Width of a stone (mm)', default: 300 }),
    gapMm: Whole(0, 400, { title: 'Gap between stones (mm)', default: 100 }),
  },
  { additionalProperties: false },
);
export type StoneParams = Static<typeof schema>;

const base: StoneParams = {
  length: 10,
  dice: 1,
  finish: 'reach',
  back: 'none',
  players: 2,
  place: 'felt',
  stoneMm: 300,
  gapMm: 100,
};
const TABLE: Partial<StoneParams> = { place: 'table', stoneMm: 40, gapMm: 0 };
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<StoneParams>,
): Preset<StoneParams> => ({
  id,
  name,
  school: change.finish === 'exact' ? 'the last roll must be exact' : 'the last roll may pass',
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<StoneParams>[] = [
  preset('felt-10', 'felt path to 10', 'preK', {}),
  preset('table-10', 'table path to 10', 'preK', TABLE),
  preset('back-10', 'to 10 and back', 'K', { back: 'subtract' }),
  preset('chalk-20', 'chalk path to 20, two dice', 'K', { place: 'chalk', length: 20, dice: 2 }),
  preset('table-20-back', 'table path to 20 and back', 'g1', { ...TABLE, length: 20, back: 'subtract' }),
  preset('exact-10', 'felt path to 10', 'K', { finish: 'exact' }),
];

/** One roll with its chances. */
export const roll = ({ dice }: Pick<StoneParams, 'dice'>) => entries(nFold(DIE, dice));
export const pathMm = ({ length, stoneMm, gapMm }: StoneParams): number =>
  length * stoneMm + (length - 1) * gapMm;

export const about = ({ length, back }: StoneParams) => ({ length, back });
export const subject = ({ length, back }: StoneParams): string =>
  `a path to ${length}${back === 'subtract' ? ' and back' : ''}`;
export const ladder = (params: StoneParams): Ladder =>
  climb(
    levels(params, 'length', [10, 20], (length) => `A path to ${length}`),
    levels(params, 'dice', [1, 2], (dice) => (dice === 1 ? 'Roll one die' : 'Roll two dice')),
  );
