/** Number Nests: sort sum cards to the nest with that number. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Whole, YesNo } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    from: Whole(4, 10, { title: 'Smallest nest', default: 5 }),
    to: Whole(4, 10, { title: 'Largest nest', default: 7 }),
    order: OneOf(
      { ordered: 'A card for 2 + 3 and one for 3 + 2', unordered: 'One card for both' },
      { title: 'Order of the two parts', default: 'unordered' },
    ),
    mixIn: Whole(0, 12, {
      title: 'Strays mixed in',
      description: 'Cards that belong to no nest on the table.',
      default: 0,
    }),
    zero: YesNo({ title: 'Cards with zero', description: 'Such as 0 + 5.', default: true }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type NestParams = Static<typeof schema>;

export const faults = ({ from, to }: NestParams): FieldErrors =>
  from > to ? { to: `Largest nest must be at least the smallest, ${from}.` } : {};

const base: NestParams = { from: 5, to: 7, order: 'unordered', mixIn: 0, zero: true, players: 2 };
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<NestParams>,
): Preset<NestParams> => ({
  id,
  name,
  school: change.order === 'ordered' ? 'order counts' : 'order does not count',
  ageBand,
  params: { ...base, ...change },
});

export const presets: readonly Preset<NestParams>[] = [
  preset('4-6', 'nests 4 to 6', 'K', { from: 4, to: 6 }),
  preset('5-7', 'nests 5 to 7', 'K', {}),
  preset('7-10', 'nests 7 to 10, with strays', 'g1', { from: 7, to: 10, mixIn: 4 }),
  preset('4-6-ordered', 'nests 4 to 6', 'K', { from: 4, to: 6, order: 'ordered' }),
  preset('7-10-ordered', 'nests 7 to 10', 'g1', { from: 7, to: 10, order: 'ordered' }),
];

/** The sum cards of one nest. */
export function cardsOf(
  nest: number,
  { order, zero }: Pick<NestParams, 'order' | 'zero'>,
): { a: number; b: number }[] {
  const least = zero ? 0 : 1;
  const all = Array.from({ length: nest + 1 }, (_, a) => ({ a, b: nest - a }));
  return all.filter(({ a, b }) => a >= least && b >= least && (order === 'ordered' || a <= b));
}

export const nests = ({ from, to }: NestParams): number[] =>
  Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** Stray cards: sums next to the nests, the number above first, then the number below, in turn. */
export function strays(params: NestParams): { a: number; b: number }[] {
  const near = [params.to + 1, params.from - 1, params.to + 2, params.from - 2].flatMap((sum) =>
    cardsOf(sum, { order: 'ordered', zero: false }),
  );
  return near.slice(0, params.mixIn);
}

/** All cards of the game: those of the nests and the strays. */
export const allCards = (params: NestParams): { a: number; b: number }[] => [
  ...nests(params).flatMap((nest) => cardsOf(nest, params)),
  ...strays(params),
];

export const about = ({ from, to }: NestParams) => ({ from, to });
export const subject = ({ from, to }: NestParams): string =>
  from === to ? `sums of ${from}` : `sums from ${from} to ${to}`;

export function ladder(params: NestParams): Ladder {
  const { from, to } = params;
  return {
    easier:
      from > 4
        ? {
            params: { ...params, from: from - 1, to: to - 1 },
            label: `Use nests ${from - 1} to ${to - 1}`,
          }
        : undefined,
    harder:
      to < 10
        ? {
            params: { ...params, from: from + 1, to: to + 1 },
            label: `Use nests ${from + 1} to ${to + 1}`,
          }
        : undefined,
  };
}
