import { fact } from '~/core/cards/facts';
import { drawsToFill, meanDrawsToFill } from '~/core/chance/coverage';
import { enoughDrawn } from '~/core/chance/hypergeometric';
import { fromCdf, mean, point, quantile, type Pmf } from '~/core/chance/pmf';
import {
  chanceFigure,
  figure,
  know,
  mend,
  mind,
  need,
  stop,
  type Answers,
  type Practised,
} from '~/core/games/kit';
import { count } from '~/core/words/numbers';
import type { MatParams } from '.';
import { drawsOnMat, ladder, matched, needed, odds, sumCards } from './rules';

/** Rolls until the mat is covered, exact; undefined when some cell can never be. */
export function rollsToCover(params: MatParams): { mean: number; turns: Pmf } | undefined {
  const wanted = needed(params);
  if (wanted.some((one) => one.chance === 0)) return undefined;
  if (params.source === 'cards' && params.drawn === 'aside') {
    if (wanted.some((one) => one.times > params.cardsPerSum)) return undefined;
    const turns = fromCdf(
      enoughDrawn(wanted.map(({ times }) => ({ have: params.cardsPerSum, needed: times }))),
    );
    return { mean: mean(turns), turns };
  }
  return { mean: meanDrawsToFill(wanted), turns: drawsToFill(wanted) };
}

export function reckon(params: MatParams): Answers {
  const { source, cells, claim, cardsPerSum } = params;
  const wanted = needed(params);
  const chances = odds(params);
  const cover = rollsToCover(params);
  const unreachable =
    source === 'cards' && params.drawn === 'aside'
      ? wanted.reduce((total, one) => total + Math.max(0, one.times - cardsPerSum), 0)
      : wanted.filter((one) => one.chance === 0).reduce((total, one) => total + one.times, 0);
  const wasted = [...chances]
    .filter(([number]) => !cells.includes(number))
    .reduce((total, [, chance]) => total + chance, 0);
  const best = source === 'cards' ? undefined : matched(params);
  const bestMean = best && meanDrawsToFill(needed({ source, cells: best }));
  const rolls = source === 'cards' ? 'draws' : 'rolls';
  const cards = sumCards(params);
  const most = Math.max(...wanted.map((one) => one.times));
  return {
    figures: [
      ...(cover
        ? [
            figure(
              'rollsToCover.mean',
              `${source === 'cards' ? 'Draws' : 'Rolls'} to cover the mat`,
              cover.mean,
              rolls,
              `The exact average for ${cells.length === 1 ? 'this one cell' : `these ${cells.length} cells`}.`,
            ),
            figure(
              'rollsToCover.p95',
              'To be nearly sure',
              quantile(cover.turns, 0.95),
              rolls,
              '95 of 100 plays are over by then.',
            ),
          ]
        : []),
      figure(
        'unreachable',
        'Cells that never come',
        unreachable,
        'cells',
        unreachable
          ? `${source === 'cards' ? 'There are too few cards' : 'No roll gives'} for them.`
          : 'Every cell can be covered.',
      ),
      chanceFigure('wasted.chance', 'First roll finds no cell', wasted, 'its number is not on the mat.'),
      ...(source === 'cards'
        ? [
            figure(
              'cardsNeeded',
              'Sum cards',
              cards.length,
              'cards',
              `${cardsPerSum} for ${wanted.length === 1 ? 'one number' : `each of ${wanted.length} numbers`}.`,
            ),
          ]
        : []),
    ],
    parts: [
      need('mat', 1, `${count(cells.length, 'cell')}.`),
      ...(source === 'cards'
        ? [need('sum-card', cards.length, 'At least one for every number on the mat.')]
        : [need('die', source === 'one-die' ? 1 : 2, 'Rolled in turns.')]),
      drawsOnMat(params)
        ? need('pencil', 2, 'One to circle with, another color for the second time.')
        : need(
            claim ? 'two-colour-counter' : 'chip',
            cells.length,
            claim ? 'One side for each player.' : 'One for each cell.',
          ),
    ],
    prep: ['Print the mat.', ...(source === 'cards' ? [`Print and cut ${cards.length} sum cards.`] : [])],
    turns: cover?.turns ?? point(cells.length),
    setUpMinutes: 1,
    practice: practice(params, cover?.mean ?? cells.length),
    players: { fewest: claim ? 2 : 1, most: claim ? 2 : 4, alone: !claim },
    notices: [
      unreachable > 0 &&
        (source === 'cards'
          ? stop(
              'too-few-cards',
              `A number with ${most} cells needs ${most} sum cards; there are ${cardsPerSum}.`,
              mend(`Print ${most} for each number`, params, { cardsPerSum: most }),
            )
          : stop(
              'never-covered',
              `${unreachable === 1 ? 'One cell' : `${unreachable} cells`} can never be covered: ${wanted
                .filter((one) => one.chance === 0)
                .map((one) => one.number)
                .join(', ')}.`,
              cells.some((number) => chances.has(number))
                ? mend('Take them off the mat', params, {
                    cells: cells.filter((number) => chances.has(number)),
                  })
                : best && mend('Use the matched mat', params, { cells: best }),
            )),
      cover !== undefined &&
        bestMean !== undefined &&
        cover.mean - bestMean > 3 &&
        mind(
          'matched-mat',
          `A matched mat with ${count(cells.length, 'cell')}, its numbers repeated as often as they come, takes ${Math.round(bestMean)} rolls on average instead of ${Math.round(cover.mean)}: ${Math.round(cover.mean) - Math.round(bestMean)} fewer.`,
          mend('Use the matched mat', params, { cells: best! }),
        ),
      cover !== undefined &&
        cover.mean > 45 &&
        know(
          'long-wait',
          'The last cells are waited for longest. “Which number do we still need? How could it come?” keeps the wait a game.',
        ),
    ],
    ladder: ladder(params),
  };
}

function practice(params: MatParams, turns: number): Practised[] {
  const faces = [1, 2, 3, 4, 5, 6];
  if (params.source === 'one-die')
    return faces.map((face) => ({ fact: fact('quantity', face), meetings: turns / 6 }));
  if (params.source === 'two-dice')
    return faces.flatMap((a) => faces.map((b) => ({ fact: fact('add', a, b), meetings: turns / 36 })));
  const cards = sumCards(params);
  return cards.map(({ a, b }) => ({ fact: fact('add', a, b), meetings: turns / cards.length }));
}
