import { countValues, deckWithout, isRed, valueOf, type Card } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { evenly, last, mean, point, product, quantile } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import {
  figure,
  know,
  mend,
  mind,
  need,
  needFrom,
  type Answers,
  type Ladder,
  type Params,
} from '~/core/games/kit';
import { count, ranges } from '~/core/words/numbers';
import type { MarketParams } from '.';

/** The most a die shows, and the most a number card. */
const DIE_MOST = 6;
const CARD_MOST = 10;

export const faults = (params: MarketParams): FieldErrors => {
  const errors: FieldErrors = {};
  for (const name of ['cups', 'pieces'] as const)
    if (params[name].from > params[name].to)
      errors[name] = `The larger number must be at least ${params[name].from}.`;
    else if (params.source === 'dice' && params[name].to > DIE_MOST)
      errors[name] = `A die shows at most ${DIE_MOST}: take cards for larger numbers.`;
  if (Object.keys(errors).length === 0 && params.source === 'cards') {
    const { cups, pieces } = piles(params, deckWithout(params.missing));
    if (cups.length === 0 || pieces.length === 0)
      errors.missing = 'No card is left for one of the two numbers.';
  }
  return errors;
};

/** The cards of both piles: red for cups, black for pieces. */
export function piles(
  { cups, pieces }: MarketParams,
  cards: readonly Card[],
): { cups: number[]; pieces: number[] } {
  const within = (of: { from: number; to: number }, red: boolean): number[] =>
    cards
      .filter((card) => isRed(card) === red)
      .map(valueOf)
      .filter((value) => value >= of.from && value <= of.to);
  return { cups: within(cups, true), pieces: within(pieces, false) };
}

/** The numbers each of the two can show, a number as often as it is likely. */
export function shown(params: MarketParams): { cups: number[]; pieces: number[] } {
  if (params.source === 'cards') return piles(params, deckWithout(params.missing));
  const range = ({ from, to }: { from: number; to: number }): number[] =>
    Array.from({ length: to - from + 1 }, (_, i) => from + i);
  return { cups: range(params.cups), pieces: range(params.pieces) };
}

/** Whether some numbers of the dice are not played with. */
export const rollsAgain = ({ source, cups, pieces }: MarketParams): boolean =>
  source === 'dice' && [cups, pieces].some(({ from, to }) => from > 1 || to < 6);

export function ladder(params: MarketParams): Ladder {
  const to = (most: number) => ({
    params: { ...params, cups: { from: 1, to: most }, pieces: { from: 1, to: most } } as Params,
    label: `Up to ${most} cups of ${most}`,
  });
  const now = Math.max(params.cups.to, params.pieces.to);
  return {
    easier: now > 2 ? to(now - 1) : undefined,
    harder: now < (params.source === 'dice' ? DIE_MOST : CARD_MOST) ? to(now + 1) : undefined,
  };
}

export function reckon(params: MarketParams): Answers {
  const { source, symbol, rounds, players } = params;
  const numbers = shown(params);
  const [cups, pieces] = [evenly(numbers.cups), evenly(numbers.pieces)];
  const all = product(cups, pieces);
  const [cupKinds, pieceKinds] = [
    [...countValues(numbers.cups).keys()],
    [...countValues(numbers.pieces).keys()],
  ];
  const [mostCups, mostPieces] = [Math.max(...cupKinds), Math.max(...pieceKinds)];
  const turnarounds = cupKinds.flatMap((a) =>
    pieceKinds.filter((b) => a < b && cupKinds.includes(b) && pieceKinds.includes(a)),
  ).length;
  const turns = rounds * players;
  const odds = (list: readonly number[], n: number) => list.filter((one) => one === n).length / list.length;
  // What has to be in the bag is what the largest turn of a play takes.
  const most = last(all, turns);
  return {
    figures: [
      figure('cups', 'Cups', mostCups, 'cups', 'As many as the highest number of cups.'),
      figure(
        'pieces.p95',
        'Enough pieces',
        quantile(most, 0.95),
        'pieces',
        `95 of 100 plays need no more; the largest of ${count(turns, 'turn')} counts.`,
      ),
      figure(
        'pieces.max',
        'The most possible',
        mostCups * mostPieces,
        'pieces',
        `${count(mostCups, 'cup')} of ${mostPieces}.`,
      ),
      figure(
        'product.mean',
        'Pieces in a turn',
        mean(all),
        'pieces',
        'The exact average; they go back after each turn.',
      ),
      figure(
        'distinctFacts',
        'Different facts',
        cupKinds.length * pieceKinds.length,
        'facts',
        `${count(cupKinds.length, 'number')} of cups × ${pieceKinds.length} of pieces; 2 cups of 3 is not 3 cups of 2.`,
      ),
      figure(
        'turnarounds',
        'Turned-round pairs',
        turnarounds,
        'pairs',
        'Such as 2 cups of 3 and 3 cups of 2: the same number, laid out otherwise.',
      ),
    ],
    parts: [
      need('small-cup', mostCups, 'With a color dot that matches the cup die.'),
      needFrom('piece', most, 'Quiet pieces; they go back after each turn.', mostCups * mostPieces),
      ...(source === 'dice'
        ? [need('die', 2, 'Two colors: one for cups, one for pieces.')]
        : [need('card-deck', 1, 'Red cards for cups, black cards for pieces.')]),
      need('record-sheet', players, 'To draw the cups and write the groups.'),
      need('pencil', players, 'One for each player.'),
    ],
    prep: [
      source === 'dice'
        ? 'Put a color dot on the cup label and on its die.'
        : `Make two piles: red cards with ${ranges(cupKinds)} for cups, black cards with ${ranges(pieceKinds)} for pieces. An ace is 1.`,
      `Count ${count(mostCups * mostPieces, 'piece')} into the bag.`,
    ],
    turns: point(turns),
    practice: cupKinds.flatMap((a) =>
      pieceKinds.flatMap((b) => {
        const meetings = turns * odds(numbers.cups, a) * odds(numbers.pieces, b);
        return [
          { fact: fact('groups', a, b), meetings },
          ...(symbol ? [{ fact: fact('multiply', a, b), meetings }] : []),
        ];
      }),
    ),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      turnarounds > 0 &&
        !symbol &&
        know(
          'turnarounds',
          'Two cups of three and three cups of two look different and count the same: let the child find it.',
        ),
      params.cups.to === 1 &&
        mind(
          'one-cup',
          'With one cup there are no groups.',
          mend('Up to 3 cups', params, { cups: { from: 1, to: 3 } }),
        ),
      rollsAgain(params) && know('roll-again', 'A number outside the range is rolled again.'),
    ],
    ladder: ladder(params),
  };
}
