import { fact } from '~/core/cards/facts';
import { simulatePlays, type Effort } from '~/core/chance/simulate';
import {
  figure,
  know,
  LINES,
  mend,
  mind,
  need,
  simulatedFigure,
  type Answers,
  type Practised,
} from '~/core/games/kit';
import { inGames, onlyShare, shareOf } from '~/core/words/numbers';
import type { ThreeParams } from '.';
import { play } from './play';
import { EACH, ladder, SQUARE, TARGET } from './rules';

export function reckon(params: ThreeParams, effort: Effort): Answers {
  const { by, sums, place } = params;
  const simulated = simulatePlays((random) => play(params, random), effort);
  const { row, firstWins } = simulated.of;
  return {
    figures: [
      figure('stones', 'Stones', 2 * EACH, 'stones', `${EACH} for each of two players, with two marks.`),
      figure(
        'lines',
        'Lines',
        LINES.length,
        'lines',
        `Three across, three down and two slanting${sums ? `; each makes ${TARGET}` : ''}.`,
      ),
      ...simulatedFigure(
        'row.chance',
        'Somebody gets a row',
        row,
        'of 1',
        `${inGames(row!.mean)}; the others end full.`,
      ),
      ...simulatedFigure(
        'firstWins.chance',
        'It is who began',
        firstWins,
        'of 1',
        'Of the games with a row: begin by turns.',
      ),
    ],
    parts: [
      need('hop-stone', 2 * EACH, 'Five with one mark, five with another.'),
      need('board', 1, sums ? 'Nine cells with the numbers 1 to 9.' : 'Nine cells.'),
    ],
    prep: [
      'Mark five stones with a leaf and five with a wave.',
      ...(place === 'floor' ? ['Tape a board of nine cells on the floor.'] : []),
    ],
    turns: simulated.turns,
    setUpMinutes: place === 'floor' ? 3 : 1,
    practice: practice(params, simulated.of.turns!.mean),
    space:
      place === 'floor'
        ? { place: 'floor', widthMm: 1500, depthMm: 2500 }
        : { place: 'table', widthMm: 400, depthMm: 400 },
    players: { fewest: 2, most: 2, alone: false },
    notices: [
      by === 'placing' &&
        row!.mean < 0.7 &&
        know(
          'ends-full',
          `When both look ahead, ${shareOf(1 - row!.mean, 'game')} ${row!.mean <= 0 ? 'ends' : 'end'} full without a row. That is a good moment to ask why.`,
        ),
      by === 'tossing' &&
        row!.mean < 0.5 &&
        mind(
          'few-rows',
          `${onlyShare(row!.mean, 'tossed game')} ${row!.mean <= 0 ? 'makes' : 'make'} a row.`,
          mend('Place the stones', params, { by: 'placing' }),
        ),
    ],
    ladder: ladder(params),
    simulated,
  };
}

/** With sums: two numbers that lie in a line ask for the third. Without: looking ahead and waiting for one's turn. */
function practice({ sums }: ThreeParams, turns: number): Practised[] {
  if (!sums)
    return [
      { fact: fact('count', 3), meetings: turns / 2 },
      { fact: fact('listen', 1), meetings: turns / 2 },
    ];
  const asks = LINES.flatMap((line) =>
    line.map((cell) => {
      const number = SQUARE[cell]!;
      return { fact: fact('missing', TARGET - number, TARGET), meetings: turns / 2 / (3 * LINES.length) };
    }),
  );
  const adds = LINES.flatMap((line) =>
    line.map((cell, i) => ({
      fact: fact('add', SQUARE[cell]!, SQUARE[line[(i + 1) % 3]!]),
      meetings: turns / 2 / (3 * LINES.length),
    })),
  );
  return [...asks, ...adds];
}
