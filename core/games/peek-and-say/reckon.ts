import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import {
  chanceFigure,
  climb,
  figure,
  know,
  levels,
  mend,
  mind,
  need,
  type Answers,
  type Ladder,
} from '~/core/games/kit';
import { onlyShare } from '~/core/words/numbers';
import type { PeekParams } from '.';

/** The most that each pattern can show in one group. */
export const PATTERN_MOST = { dice: 6, five: 5, 'ten-frame': 10, line: 10, scatter: 10 } as const;

export type Pattern = keyof typeof PATTERN_MOST;

/** A group up to this size most can see without counting. */
export const GLANCE = 4;

export const faults = (params: PeekParams): FieldErrors =>
  cardsOf(params).length === 0 ? { patterns: 'No card can be made with these arrangements.' } : {};

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

/** Groups of one dot are the same on a die and in a line. */
const alike = (groups: readonly number[]): boolean => groups.every((n) => n === 1);

/** Every card: each grouping in each arrangement that can show it, none that looks like another. */
export const cardsOf = (params: PeekParams): PeekCard[] =>
  (Object.keys(PATTERN_MOST) as Pattern[])
    .filter((pattern) => params.patterns.includes(pattern))
    .flatMap((pattern) =>
      groupings(params)
        .filter((groups) => groups.every((n) => n <= PATTERN_MOST[pattern]))
        .filter((groups) => !(pattern === 'line' && params.patterns.includes('dice') && alike(groups)))
        .map((groups) => ({ pattern, groups })),
    );

export const ladder = (params: PeekParams): Ladder =>
  climb(
    levels(params, 'max', [3, 4, 5, 6, 8, 10], (max) => `Up to ${max} dots`),
    levels(params, 'groups', [1, 2], (groups) => (groups === 1 ? 'One group' : 'Two groups')),
  );

/** Share of the cards with no group above what most can see without counting. */
const glanceShare = (params: PeekParams): number => {
  const cards = cardsOf(params);
  return cards.filter((card) => card.groups.every((n) => n <= GLANCE)).length / cards.length;
};

/** The most dots with which half of the cards can be seen at a glance. */
function fewerDots(params: PeekParams) {
  for (let max = params.max - 1; max >= 3; max--)
    if (glanceShare({ ...params, max }) >= 0.5) return mend(`Up to ${max} dots`, params, { max });
  return undefined;
}

export function reckon(params: PeekParams): Answers {
  const { groups, max, patterns, seconds, written, players } = params;
  const cards = cardsOf(params);
  // Only what some card shows: a die shows no more than six.
  const pairs = groups === 2 ? new Set(cards.map((card) => card.groups.join())).size : undefined;
  const glance = glanceShare(params);
  return {
    figures: [
      figure(
        'cards',
        'Cards',
        cards.length,
        'cards',
        patterns.length === 1
          ? 'Each number that the arrangement can show.'
          : `Each number in each of ${patterns.length} arrangements that can show it; what looks alike is there once.`,
      ),
      ...(pairs === undefined
        ? []
        : [
            figure(
              'pairs',
              'Different sums',
              pairs,
              'pairs',
              `Two groups of at least one, at most ${max} together, order aside.`,
            ),
          ]),
      chanceFigure(
        'glance.share',
        'Seen at a glance',
        glance,
        `cards with no group above ${GLANCE}, which most can see without counting.`,
      ),
    ],
    parts: [
      need('dot-card', cards.length, 'No arrangement comes twice.'),
      params.cover === 'shield'
        ? need('shield', 1, 'The side of a cereal box, to hide the card behind.')
        : need('cover', 1, 'To cover the card when the time is over.'),
      ...(written
        ? [
            need('record-sheet', players, 'To write the number.'),
            need('pencil', players, 'One for each player.'),
          ]
        : []),
    ],
    prep: [`Print and cut ${cards.length} cards.`],
    turns: point(cards.length),
    setUpMinutes: 1,
    practice: cards.flatMap(({ groups: [a, b] }) =>
      b === undefined
        ? [{ fact: fact('glance', a!), meetings: 1 }]
        : [
            { fact: fact('glance', a!), meetings: 1 },
            { fact: fact('glance', b), meetings: 1 },
            { fact: fact('add', a!, b), meetings: 1 },
          ],
    ),
    players: { fewest: 1, most: 4, alone: false },
    notices: [
      glance < 0.5 &&
        mind(
          'mostly-counting',
          `${onlyShare(glance, 'card')} can be seen without counting; ${glance > 0 ? 'on the others a child guesses or counts' : 'a child guesses or counts'}.`,
          fewerDots(params),
        ),
      patterns.includes('scatter') &&
        max > 6 &&
        know(
          'scatter',
          'Scattered dots above six look like “many”: they are there for guessing, not for seeing.',
        ),
      seconds === 3 &&
        know(
          'short-look',
          'Three seconds are short at first: begin with five, and get shorter.',
          mend('Show for 5 seconds', params, { seconds: 5 }),
        ),
      written &&
        know(
          'written-later',
          'Writing comes after a few days of saying only.',
          mend('Say it only', params, { written: false }),
        ),
    ],
    ladder: ladder(params),
  };
}
