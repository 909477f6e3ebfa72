/** Clap a Count: clap, pat and roll patterns in twos, fives and tens. */
import { Type, type Static } from '@sinclair/typebox';
import { OneValue, Whole } from '~/core/check/schema';
import { choices } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    unit: OneValue(
      [
        [2, 'in twos'],
        [5, 'in fives'],
        [10, 'in tens'],
      ],
      { title: 'Count', default: 2 },
    ),
    groups: Whole(2, 10, { title: 'Groups in one pattern', default: 5 }),
    patterns: Whole(1, 12, { title: 'Patterns', default: 4 }),
    players: Whole(1, 6, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type ClapParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  unit: 2 | 5 | 10,
  groups: number,
): Preset<ClapParams> => ({
  id,
  name,
  ageBand,
  params: { unit, groups, patterns: 4, players: 2 },
});
export const presets: readonly Preset<ClapParams>[] = [
  preset('twos', 'in twos to 10', 'K', 2, 5),
  preset('fives', 'in fives to 25', 'g1', 5, 5),
  preset('tens', 'in tens to 100', 'g1', 10, 10),
];
export const about = ({ unit, groups }: ClapParams) => ({ unit, end: unit * groups });
export const subject = ({ unit, groups }: ClapParams): string => `counting in ${unit}s to ${unit * groups}`;
export const ladder = (params: ClapParams): Ladder =>
  choices(params, 'unit', [
    [2, 'Count in twos'],
    [5, 'Count in fives'],
    [10, 'Count in tens'],
  ]);
