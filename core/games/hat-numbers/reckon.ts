import { countValues, deckWithout, isRed, pairChances, rankOf, valueOf, type Card } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { noneDrawn } from '~/core/chance/hypergeometric';
import { point } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import {
  chanceFigure,
  choices,
  climb,
  figure,
  know,
  mend,
  mind,
  need,
  remembered,
  type Answers,
  type Ladder,
} from '~/core/games/kit';
import { shareOf } from '~/core/words/numbers';
import type { HatParams } from '.';

/** What a card on a hat counts; undefined for cards that are taken out. */
export function hatValue(
  card: Card,
  { signed, faces }: Pick<HatParams, 'signed' | 'faces'>,
): number | undefined {
  const size = faces === 'zero' && rankOf(card) === 'K' ? 0 : valueOf(card);
  if (size > 10 && faces !== '11-12-13') return undefined;
  return signed && isRed(card) && size !== 0 ? -size : size;
}

export const hatValues = (params: HatParams, cards: readonly Card[]): number[] =>
  cards.map((card) => hatValue(card, params)).filter((value) => value !== undefined);

export const values = remembered((params: HatParams): number[] =>
  hatValues(params, deckWithout(params.missing)),
);

export const faults = (params: HatParams): FieldErrors =>
  values(params).length < 2 ? { missing: 'Fewer than two cards are left; a round takes two.' } : {};

export const call = (op: HatParams['op'], a: number, b: number): number => (op === 'add' ? a + b : a * b);

export const ladder = (params: HatParams): Ladder =>
  climb(
    choices(params, 'op', [
      ['add', 'Call the sum'],
      ['multiply', 'Call the product'],
    ]),
    choices(params, 'signed', [
      [false, 'All cards above zero'],
      [true, 'Red cards below zero'],
    ]),
  );

export function reckon(params: HatParams): Answers {
  const { op } = params;
  const all = values(params);
  const pairs = pairChances(countValues(all));
  const calls = pairs.map(({ a, b }) => call(op, a, b));
  const rounds = Math.floor(all.length / 2);
  const zeros = all.filter((value) => value === 0).length;
  const undetermined = op === 'multiply' ? 1 - noneDrawn(all.length, zeros, 2) : 0;
  return {
    figures: [
      figure('rounds', 'Rounds', rounds, 'rounds', `${all.length} cards, two in a round.`),
      figure('call.min', 'Smallest call', Math.min(...calls), '', 'Of the cards in this deck.'),
      figure('call.max', 'Largest call', Math.max(...calls), '', 'Of the cards in this deck.'),
      figure(
        'distinctFacts',
        'Different facts',
        pairs.length,
        'facts',
        'Pairs of numbers that can be on the two hats, order aside.',
      ),
      chanceFigure(
        'undetermined.chance',
        'A hat stays unknown',
        undetermined,
        op === 'multiply'
          ? `a zero on one hat leaves the other unknown; ${zeros} of ${all.length} cards are zero.`
          : 'a sum always tells the other number.',
      ),
    ],
    parts: [need('card-deck', 1, 'One for all three.')],
    prep: [
      params.faces === 'remove'
        ? 'Take jacks, queens and kings out.'
        : params.faces === 'zero'
          ? 'Take jacks and queens out; kings count 0.'
          : 'Keep all cards.',
    ],
    turns: point(rounds),
    setUpMinutes: 2,
    practice: pairs.flatMap(({ a, b, chance }) =>
      op === 'add'
        ? [
            { fact: fact('add', a, b), meetings: rounds * chance },
            { fact: fact('missing', a, a + b), meetings: rounds * chance },
            { fact: fact('missing', b, a + b), meetings: rounds * chance },
          ]
        : [
            { fact: fact('multiply', a, b), meetings: rounds * chance },
            ...[
              [a, b],
              [b, a],
            ]
              .filter(([known]) => known !== 0)
              .map(([known, hidden]) => ({
                fact: fact('divide', known! * hidden!, known),
                meetings: rounds * chance,
              })),
          ],
    ),
    players: { fewest: 3, most: 3, alone: false },
    notices: [
      undetermined > 0 &&
        mind(
          'zero-hides',
          `In ${shareOf(undetermined, 'round')} a zero leaves the other hat unknown: nobody can say it, and that is worth talking about.`,
          mend('Take all picture cards out', params, { faces: 'remove' }),
        ),
      rounds > 12 &&
        know(
          'enough-rounds',
          `${rounds} rounds use up the deck. Change the caller every two rounds and stop when it is enough.`,
        ),
    ],
    ladder: ladder(params),
  };
}
