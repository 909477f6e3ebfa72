import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, mend, mind, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { ladder, perSheet, PIECES, possible, PUZZLE_MM, puzzles, type PuzzleParams } from './rules';

export function reckon(params: PuzzleParams, assumptions: Assumptions): Reckoning {
  const { count } = params;
  const printed = puzzles(params);
  const all = possible(params).length;
  const sheets = Math.ceil(count / perSheet(params));
  return reckoned({
    assumptions,
    figures: [
      figure(
        'pieces',
        'Pieces',
        PIECES * count,
        'pieces',
        `${count} puzzles of two picture parts and their answer.`,
      ),
      figure(
        'sheets',
        'Sheets',
        sheets,
        'sheets',
        `${perSheet(params)} puzzles of ${PUZZLE_MM.w} × ${PUZZLE_MM.h} mm on one sheet.`,
      ),
    ],
    parts: [need('puzzle-piece', PIECES * count, 'Every puzzle has a cut of its own.')],
    prep: [`Print ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}; cut each puzzle along its two waves.`],
    turns: point(count),
    setUpMinutes: 1,
    practice: printed.flatMap(({ a, b }) => [
      { fact: fact('add', a, b), meetings: 1 },
      { fact: fact('count', a + b), meetings: 1 },
    ]),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      count > all &&
        mind(
          'puzzles-repeat',
          `There are only ${all} different puzzles with answers to ${params.max}.`,
          all >= 2 ? mend(`Make ${all} puzzles`, params, { count: all }) : undefined,
        ),
      count > 10 &&
        know(
          'many-pieces',
          `${PIECES * count} pieces on one table are many: lay out five puzzles at a time.`,
          mend('Make 10 puzzles', params, { count: 10 }),
        ),
    ],
    ladder: ladder(params),
  });
}
