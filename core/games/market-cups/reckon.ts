import { countValues } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { evenly, mean, point, product } from '~/core/chance/pmf';
import { figure, know, mend, mind, need, needFrom, reckoned } from '~/core/games/kit/make';
import { quantile } from '~/core/chance/pmf';
import { count } from '~/core/words/numbers';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { ladder, shown, type MarketParams } from './rules';

export function reckon(params: MarketParams, assumptions: Assumptions): Reckoning {
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
  const p95 = quantile(all, 0.95);
  return reckoned({
    assumptions,
    figures: [
      figure('cups', 'Cups', mostCups, 'cups', 'As many as the highest number of cups.'),
      figure('pieces.p95', 'Enough pieces', p95, 'pieces', '95 of 100 turns need no more.'),
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
      need('small-cup', mostCups, 'With a colour dot that matches the cup die.'),
      needFrom('piece', all, 'Quiet pieces; they go back after each turn.', mostCups * mostPieces),
      ...(source === 'dice'
        ? [need('die', 2, 'Two colours: one for cups, one for pieces.')]
        : [need('card-deck', 1, 'Ace to six: red for cups, black for pieces.')]),
      need('record-sheet', players, 'To draw the cups and write the groups.'),
      need('pencil', players, 'One for each player.'),
    ],
    prep: [
      source === 'dice'
        ? 'Put a colour dot on the cup label and on its die.'
        : 'Take out the ace to six; make a red and a black pile.',
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
      source === 'dice' &&
        (params.cups.to < 6 || params.cups.from > 1 || params.pieces.to < 6 || params.pieces.from > 1) &&
        know('roll-again', 'A number outside the range is rolled again.'),
    ],
    ladder: ladder(params),
  });
}
