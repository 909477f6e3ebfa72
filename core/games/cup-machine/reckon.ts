import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import {
  figure,
  know,
  levels,
  lineNeed,
  lineNotice,
  mend,
  mind,
  need,
  type Answers,
  type Ladder,
} from '~/core/games/kit';
import type { MachineParams } from '.';

/** The problems: every a + b with 1 to max in each cup; every a − b with 1 ≤ b ≤ a ≤ max. */
export const problems = ({ max, op }: Pick<MachineParams, 'max' | 'op'>): { a: number; b: number }[] => {
  const numbers = Array.from({ length: max }, (_, i) => i + 1);
  return numbers.flatMap((a) => numbers.filter((b) => op === 'add' || b <= a).map((b) => ({ a, b })));
};

export const ladder = (params: MachineParams): Ladder =>
  levels(params, 'max', [3, 4, 5, 6, 8, 10], (max) => `Numbers up to ${max}`);

export function reckon(params: MachineParams): Answers {
  const { max, op, players, source, signs } = params;
  const all = problems(params);
  const counters = op === 'add' ? 2 * max : max;
  const turns = params.problems;
  return {
    figures: [
      figure(
        'counters',
        'Counters',
        counters,
        'counters',
        op === 'add' ? `${max} in each of the two cups.` : `${max} in the cup that is poured from.`,
      ),
      figure(
        'problemsAvailable',
        'Different problems',
        all.length,
        'problems',
        op === 'add' ? `1 to ${max} in each cup.` : `Every a − b with 1 ≤ b ≤ a ≤ ${max}.`,
      ),
    ],
    parts: [
      need('small-cup', 3, 'Two for the numbers, one for the total.'),
      need('chip', counters, 'The largest problem.'),
      ...(source === 'deck'
        ? [need('card-deck', 1, 'One color for each cup.')]
        : [need('number-card', 2 * max, 'Two sets, one for each cup.')]),
      ...(signs ? [need('operation-card', 2, 'The sign and =.')] : []),
      ...lineNeed(params, players),
      need('record-sheet', players, 'Three ways on one sheet: pour, draw, in the head.'),
      need('pencil', players, 'One for each player.'),
    ],
    prep: [
      source === 'deck'
        ? `Take the cards ace to ${max} out of a deck: ${4 * max} cards.`
        : `Print and cut two sets of number cards from 1 to ${max}.`,
    ],
    turns: point(turns),
    practice: all.map(({ a, b }) => ({
      fact: fact(op === 'add' ? 'add' : 'subtract', a, b),
      // Two cards are turned: a difference comes both ways round, one of equal numbers one way.
      meetings: (turns * (op === 'add' || a === b ? 1 : 2)) / max ** 2,
    })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      turns > all.length &&
        mind(
          'problems-repeat',
          `There are only ${all.length} different problems: some come twice.`,
          mend(`Play ${all.length} problems`, params, { problems: all.length }),
        ),
      lineNotice(params, op === 'add' ? 2 * max : max),
      max > 5 &&
        op === 'add' &&
        know(
          'count-in-fives',
          'Totals above ten are lost while counting: lay them in fives when they are poured out.',
        ),
    ],
    ladder: ladder(params),
  };
}
