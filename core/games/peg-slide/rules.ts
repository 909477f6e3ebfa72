/** Peg Slide: pegs clipped on a card; slide some to one side, read both parts, write the pair, slide one more. */
import { Type, type Static } from '@sinclair/typebox';
import { Numbers, OneOf, Whole } from '~/core/check/schema';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    whole: Numbers(
      3,
      10,
      { minItems: 1, maxItems: 8, uniqueItems: true },
      { title: 'Wholes', description: 'One card for each whole.', default: [5] },
    ),
    order: OneOf(
      { ordered: '2 and 3 is not 3 and 2', unordered: '2 and 3 is the same as 3 and 2' },
      { title: 'Order of the two parts', description: 'Both schools are taught.', default: 'ordered' },
    ),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type PegParams = Static<typeof schema>;

const preset = (
  whole: number[],
  order: PegParams['order'],
  ageBand: Preset['ageBand'],
): Preset<PegParams> => ({
  id: `${whole.join('-')}-${order}`,
  name: whole.length === 1 ? `${whole[0]} pegs` : `cards of ${whole.join(', ')}`,
  school: order === 'ordered' ? 'order counts' : 'order does not count',
  ageBand,
  params: { whole, order, players: 2 },
});

export const presets: readonly Preset<PegParams>[] = (['ordered', 'unordered'] as const).flatMap((order) => [
  preset([5], order, 'K'),
  preset([10], order, 'g1'),
  preset([6, 7, 8, 9], order, 'g1'),
]);

/** The pairs of one whole, as the pegs slide: 0 and N first. */
export function pairs(whole: number, order: PegParams['order']): [a: number, b: number][] {
  const all = Array.from({ length: whole + 1 }, (_, a): [number, number] => [a, whole - a]);
  return order === 'ordered' ? all : all.filter(([a, b]) => a <= b);
}

export const pegs = ({ whole }: PegParams): number => whole.reduce((a, b) => a + b, 0);

export const about = ({ whole }: PegParams) => ({ whole: Math.max(...whole) });

/** "5 pegs". */
export const subject = (params: PegParams): string => `${Math.max(...params.whole)} pegs`;

/** One smaller or one larger for every card. */
export function ladder(params: PegParams): Ladder {
  const shift = (by: number) => {
    const whole = params.whole.map((one) => one + by);
    return whole.every((one) => one >= 3 && one <= 10)
      ? {
          params: { ...params, whole },
          label: whole.length === 1 ? `Use ${whole[0]} pegs` : `Use cards of ${whole.join(', ')}`,
        }
      : undefined;
  };
  return { easier: shift(-1), harder: shift(1) };
}
