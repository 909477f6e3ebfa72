/** Peek and Say: a small arrangement shown for a few seconds, then covered: how many? */
import { Type, type Static } from '@sinclair/typebox';
import { OneValue, SomeOf, Whole, YesNo } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { climb, levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

/** The most that each pattern can show in one group. */
export const PATTERN_MOST = { dice: 6, five: 5, 'ten-frame': 10, line: 10, scatter: 10 } as const;
export type Pattern = keyof typeof PATTERN_MOST;
/** A group up to this size most can see without counting. */
export const GLANCE = 4;

export const schema = Type.Object(
  {
    groups: OneValue(
      [
        [1, 'One group'],
        [2, 'Two groups'],
      ],
      { title: 'Groups on a card', default: 1 },
    ),
    max: Whole(3, 10, { title: 'Most dots on a card', default: 5 }),
    patterns: SomeOf(
      {
        dice: 'as on dice',
        five: 'five-frame',
        'ten-frame': 'ten-frame',
        line: 'in a line',
        scatter: 'scattered',
      },
      { title: 'Arrangements', default: ['dice', 'line'] },
    ),
    seconds: Whole(3, 5, { title: 'Seconds to see', default: 4 }),
    written: YesNo({
      title: 'The number is written down',
      description: 'After a few days only.',
      default: false,
    }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type PeekParams = Static<typeof schema>;

export const faults = (params: PeekParams): FieldErrors =>
  cardsOf(params).length === 0 ? { patterns: 'No card can be made with these arrangements.' } : {};

const base: PeekParams = {
  groups: 1,
  max: 5,
  patterns: ['dice', 'line'],
  seconds: 4,
  written: false,
  players: 2,
};
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<PeekParams>,
): Preset<PeekParams> => ({
  id,
  name,
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<PeekParams>[] = [
  preset('four', 'one group to 4', 'preK', { max: 4, seconds: 5 }),
  preset('five', 'one group to 5', 'K', { patterns: ['dice', 'five', 'line'] }),
  preset('frames', 'ten-frames', 'K', { max: 10, patterns: ['ten-frame'] }),
  preset('two-five', 'two groups to 5', 'K', { groups: 2 }),
  preset('two-ten', 'two groups to 10, written', 'g1', {
    groups: 2,
    max: 10,
    patterns: ['dice', 'scatter'],
    written: true,
  }),
];

export interface PeekCard {
  pattern: Pattern;
  /** One number, or two of which the first is not smaller. */
  groups: number[];
}

/** The numbers of the groups: 1 to max, or every pair of groups with at most max together. */
export function groupings({ groups, max }: Pick<PeekParams, 'groups' | 'max'>): number[][] {
  const numbers = Array.from({ length: max }, (_, i) => i + 1);
  return groups === 1
    ? numbers.map((n) => [n])
    : numbers.flatMap((a) => numbers.filter((b) => b <= a && a + b <= max).map((b) => [a, b]));
}

/** Every card: each grouping in each arrangement that can show it. */
export const cardsOf = (params: PeekParams): PeekCard[] =>
  (Object.keys(PATTERN_MOST) as Pattern[])
    .filter((pattern) => params.patterns.includes(pattern))
    .flatMap((pattern) =>
      groupings(params)
        .filter((groups) => groups.every((n) => n <= PATTERN_MOST[pattern]))
        .map((groups) => ({ pattern, groups })),
    );

export const about = ({ max }: PeekParams) => ({ max });
export const subject = ({ groups, max }: PeekParams): string =>
  groups === 1 ? `up to ${max} dots at a glance` : `two groups up to ${max} at a glance`;
export const ladder = (params: PeekParams): Ladder =>
  climb(
    levels(params, 'max', [3, 4, 5, 6, 8, 10], (max) => `Up to ${max} dots`),
    levels(params, 'groups', [1, 2], (groups) => (groups === 1 ? 'One group' : 'Two groups')),
  );
