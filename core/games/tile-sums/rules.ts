/** Tile Sums: a double-six tile on the card, two ends, write the sum; dots to count. */
import { Type, type Static } from '@sinclair/typebox';
import { Whole } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    limit: Whole(6, 12, { title: 'Largest sum', default: 10 }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type TileParams = Static<typeof schema>;

export const presets: readonly Preset<TileParams>[] = (
  [
    [6, 'preK'],
    [8, 'K'],
    [10, 'K'],
    [12, 'g1'],
  ] as const
).map(([limit, ageBand]) => ({
  id: `to-${limit}`,
  name: `sums to ${limit}`,
  ageBand,
  params: { limit, players: 2 },
}));

/** The double-six tiles whose ends add up to at most the limit, the smaller end first. */
export const tilesOf = ({ limit }: Pick<TileParams, 'limit'>): { a: number; b: number }[] =>
  Array.from({ length: 7 }, (_, a) => Array.from({ length: 7 - a }, (_, i) => ({ a, b: a + i })))
    .flat()
    .filter(({ a, b }) => a + b <= limit);

export const about = ({ limit }: TileParams) => ({ limit });
export const subject = ({ limit }: TileParams): string => `sums to ${limit} on tiles`;
export const ladder = (params: TileParams): Ladder =>
  levels(params, 'limit', [6, 7, 8, 9, 10, 12], (limit) => `Sums to ${limit}`);
