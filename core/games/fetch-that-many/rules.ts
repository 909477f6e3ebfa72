/** Fetch That Many: peek at a slip, remember it, bring that many of something, lay it in fives. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    from: OneValue(
      [
        [0, 'from 0'],
        [1, 'from 1'],
      ],
      { title: 'Numbers', default: 0 },
    ),
    to: Whole(5, 10, { title: 'Largest number', default: 5 }),
    things: OneOf(
      { onePile: 'from one pile of the same things', around: 'anything, all over the home' },
      { title: 'Things are fetched', default: 'onePile' },
    ),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type FetchParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  from: 0 | 1,
  to: number,
  things: FetchParams['things'] = 'onePile',
): Preset<FetchParams> => ({
  id,
  name,
  ageBand,
  params: { from, to, things, players: 2 },
});
export const presets: readonly Preset<FetchParams>[] = [
  preset('five', '1 to 5', 'preK', 1, 5),
  preset('zero-five', '0 to 5', 'preK', 0, 5),
  preset('ten', '0 to 10', 'K', 0, 10),
  preset('around', '0 to 10, all over the home', 'K', 0, 10, 'around'),
];
export const numbersOf = ({ from, to }: Pick<FetchParams, 'from' | 'to'>): number[] =>
  Array.from({ length: to - from + 1 }, (_, i) => from + i);
export const about = ({ to }: FetchParams) => ({ to });
export const subject = ({ from, to }: FetchParams): string => `fetching ${from} to ${to}`;
export const ladder = (params: FetchParams): Ladder =>
  levels(params, 'to', [5, 6, 8, 10], (to) => `Numbers to ${to}`);
