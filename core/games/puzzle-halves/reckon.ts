import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, levels, mend, mind, need, type Answers, type Ladder } from '~/core/games/kit';
import { impose } from '~/core/paper/cards';
import type { PuzzleParams } from '.';

/** One puzzle before it is cut, in mm. */
export const PUZZLE_MM = { w: 180, h: 58 };
export const PUZZLE_GAP_MM = 4;

/** Two picture parts and the answer. */
export const PIECES = 3;

/** Every puzzle there can be: two parts of at least one, their sum at most max, the larger part first. */
export const possible = ({ max }: Pick<PuzzleParams, 'max'>): { a: number; b: number }[] => {
  const list: { a: number; b: number }[] = [];
  for (let answer = 2; answer <= max; answer++)
    for (let b = 1; b <= answer / 2; b++) list.push({ a: answer - b, b });
  return list;
};

/** The puzzles that are printed, spread evenly over the answers; they begin again when there are not enough. */
export function puzzles(params: PuzzleParams): { a: number; b: number }[] {
  const all = possible(params);
  return Array.from({ length: params.count }, (_, i) =>
    params.count <= all.length ? all[Math.floor((i * all.length) / params.count)]! : all[i % all.length]!,
  );
}

export const perSheet = ({ paper }: Pick<PuzzleParams, 'paper'>): number =>
  impose(PUZZLE_MM, paper, 'shared', PUZZLE_GAP_MM).cells.length;

export const ladder = (params: PuzzleParams): Ladder =>
  levels(params, 'max', [3, 4, 5, 6, 8, 10], (max) => `Answers to ${max}`);

export function reckon(params: PuzzleParams): Answers {
  const { count } = params;
  const printed = puzzles(params);
  const all = possible(params).length;
  const sheets = Math.ceil(count / perSheet(params));
  return {
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
  };
}
