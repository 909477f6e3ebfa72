/** Two-Tone Spill: shake counters with two sides, tip them out, sort by colour, say and write the split. */
import { Type, type Static } from '@sinclair/typebox';
import { binomial } from '~/core/chance/binomial';
import { OneOf, Whole } from '~/core/check/schema';
import type { Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    counters: Whole(3, 20, { title: 'Counters', description: 'The whole that is split.', default: 6 }),
    spills: Whole(1, 40, {
      title: 'Spills',
      description: 'For each player; one row of the record sheet each.',
      default: 10,
    }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
    order: OneOf(
      { ordered: '2 and 4 is not 4 and 2', unordered: '2 and 4 is the same as 4 and 2' },
      { title: 'Order of the two parts', description: 'Both schools are taught.', default: 'ordered' },
    ),
    finish: OneOf(
      {
        asTheyFall: 'Stop when the sheet is full',
        turnOver: 'Then turn counters over to make the ways still missing',
      },
      { title: 'At the end', default: 'asTheyFall' },
    ),
  },
  { additionalProperties: false },
);
export type SpillParams = Static<typeof schema>;

const preset = (
  counters: number,
  order: SpillParams['order'],
  ageBand: Preset['ageBand'],
  spills = 10,
): Preset<SpillParams> => ({
  id: `${counters}-${order}`,
  name: `${counters} counters`,
  school: order === 'ordered' ? 'order counts' : 'order does not count',
  ageBand,
  params: { counters, spills, players: 2, order, finish: 'asTheyFall' },
});

/** Both schools of order, for the wholes that are taught most. */
export const presets: readonly Preset<SpillParams>[] = (['ordered', 'unordered'] as const).flatMap(
  (order) => [
    preset(5, order, 'K', 8),
    preset(6, order, 'g1'),
    preset(8, order, 'g1', 12),
    preset(10, order, 'g1', 12),
  ],
);

/** A way to split the whole, the larger part first when order does not count. */
export interface Way {
  a: number;
  b: number;
  chance: number;
}

/**
 * Every way with its chance when all counters are tipped out and both sides are equally likely: N + 1 ways
 * with binomial odds when order counts; when it does not, mirrored ways are one.
 */
export function ways({ counters, order }: Pick<SpillParams, 'counters' | 'order'>): Way[] {
  const fair = binomial(counters, 0.5).p;
  if (order === 'ordered') return fair.map((chance, a) => ({ a, b: counters - a, chance }));
  const result: Way[] = [];
  for (let b = 0; b <= counters / 2; b++)
    result.push({ a: counters - b, b, chance: b * 2 === counters ? fair[b]! : 2 * fair[b]! });
  return result;
}

export const about = ({ counters }: SpillParams) => ({ counters });

/** "6 counters". */
export const subject = ({ counters }: SpillParams): string => `${counters} counters`;
