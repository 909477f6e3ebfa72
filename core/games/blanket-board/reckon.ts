import { fact } from '~/core/cards/facts';
import { mean } from '~/core/chance/pmf';
import { simulatePlays, type Effort } from '~/core/chance/simulate';
import {
  chanceFigure,
  figure,
  know,
  mend,
  mind,
  need,
  simulatedFigure,
  stop,
  type Answers,
  type Figure,
} from '~/core/games/kit';
import { count, inGames } from '~/core/words/numbers';
import type { BlanketParams } from '.';
import { callsToFirst, meanCalls, ofAnyBoards, tieChance } from './odds';
import { play } from './play';
import { boardsOf, differentBoards, ladder, slips } from './rules';

/** Above this chance of two finishing together, ties are worth a notice. */
const MANY_TIES = 0.35;

export function reckon(params: BlanketParams, effort: Effort): Answers {
  const { from, cells, boards, boardsPerChild, win, fill } = params;
  const blank = fill === 'blank';
  const which = blank ? 'all boards that can be written' : 'the boards printed';
  const drawn = boardsOf(params);
  const numbers = slips(params);
  const children = Math.floor(boards / boardsPerChild);
  const shared = drawn.flatMap((one, i) =>
    drawn.slice(0, i).map((other) => one.filter((number) => other.includes(number)).length),
  );
  const keys = drawn.map((board) => [...board].sort((a, b) => a - b).join());
  const distinct = new Set(keys).size === boards;
  const simulated = win === 'line' ? simulatePlays((random) => play(params, random), effort) : undefined;
  const any = blank ? ofAnyBoards(cells, boards, numbers) : undefined;
  const tie = simulated ? simulated.of.tie!.mean : (any?.tie ?? tieChance(drawn));
  const differ = (changed: BlanketParams): boolean => differentBoards(changed) >= boards;
  const fewTies = (changed: BlanketParams): boolean => differ(changed) && ties(changed, effort) <= MANY_TIES;
  const turns = simulated?.turns ?? any?.turns ?? callsToFirst(drawn, numbers);
  const exact = any ?? meanCalls(drawn, numbers);
  const lengths: Figure[] = simulated
    ? [
        ...simulatedFigure(
          'callsToFirst.mean',
          'Calls to the first line',
          simulated.of.first,
          'calls',
          `The average for ${which}.`,
        ),
        ...simulatedFigure(
          'callsToLast.mean',
          'Calls until all have a line',
          simulated.of.last,
          'calls',
          `The average for ${which}.`,
        ),
        ...simulatedFigure(
          'tie.chance',
          'Two finish together',
          simulated.of.tie,
          'of 1',
          'On the same slip.',
        ),
      ]
    : [
        figure(
          'callsToFirst.mean',
          'Calls to the first full board',
          exact.first,
          'calls',
          `The exact average for ${which}.`,
        ),
        figure(
          'callsToLast.mean',
          'Calls until all are full',
          exact.last,
          'calls',
          `${boards === 1 ? 'The one board' : `All ${boards} boards together`}; exact.`,
        ),
        chanceFigure('tie.chance', 'Two finish together', tie, `on the same slip; exact for ${which}.`),
      ];
  return {
    figures: [
      figure('slips', 'Calling slips', numbers, 'slips', `One for each number from ${from} to ${params.to}.`),
      figure(
        'chips',
        'Chips to cover',
        cells * boards,
        'chips',
        `${cells} for ${boards === 1 ? 'one board' : `each of ${boards} boards`}.`,
      ),
      ...lengths,
      ...(blank
        ? []
        : [
            figure(
              'boardsDistinct',
              'All boards differ',
              distinct ? 1 : 0,
              '',
              distinct ? 'No two have the same numbers.' : 'Some have the same numbers in other places.',
            ),
          ]),
      ...(shared.length && !blank
        ? [
            figure(
              'sharedCells.max',
              'Most numbers shared',
              Math.max(...shared),
              'cells',
              'By the two boards that are most alike.',
            ),
          ]
        : []),
    ],
    parts: [
      need(
        'board',
        boards,
        `${boardsPerChild} for each of ${children} ${children === 1 ? 'child' : 'children'}.`,
      ),
      ...(blank ? [need('pencil', children, 'To write the numbers.')] : []),
      need('slip', numbers, 'Each number once, with its dots.'),
      need('chip', cells * boards, 'To cover every cell of every board.'),
    ],
    prep: [`Print ${count(boards, 'board')} and ${count(numbers, 'slip')}; cut the slips.`],
    turns,
    practice: Array.from({ length: numbers }, (_, i) => ({
      fact: fact('quantity', from + i),
      meetings: mean(turns) / numbers,
    })),
    players: { fewest: 1, most: children, alone: true },
    notices: [
      !blank &&
        !distinct &&
        (differentBoards(params) < boards
          ? stop(
              'too-few-boards',
              `Only ${differentBoards(params)} different ${differentBoards(params) === 1 ? 'board' : 'boards'} can be made: ${cells} cells from ${numbers} numbers.`,
              more(params, differ),
            )
          : mind(
              'boards-alike',
              'Two boards came out the same.',
              mend('Draw other boards', params, { draw: (params.draw % 999) + 1 }),
            )),
      !blank &&
        distinct &&
        tie > MANY_TIES &&
        mind(
          'many-ties',
          `${inGames(tie)} two boards ${win === 'full' ? 'are full' : 'have a line'} on the same slip, since they share so many numbers.`,
          more(params, fewTies),
        ),
      win === 'full' &&
        mean(turns) > 0.9 * numbers &&
        know(
          'nearly-all-called',
          'Nearly every slip is called before a board is full: everybody is close to the end all the time, which children like.',
        ),
    ],
    ladder: ladder(params),
    simulated,
  };
}

/** Chance that two boards finish on the same slip: exact for whole boards, simulated for lines. */
const ties = (params: BlanketParams, effort: Effort): number =>
  params.win === 'full'
    ? tieChance(boardsOf(params))
    : simulatePlays((random) => play(params, random), { ...effort, progress: undefined }).of.tie!.mean;

/** More numbers to draw from, or fewer cells: the first change that works. */
function more(params: BlanketParams, works: (changed: BlanketParams) => boolean) {
  for (let to = params.to + 1; to <= 20; to++)
    if (works({ ...params, to })) return mend(`Numbers to ${to}`, params, { to });
  for (const cells of [18, 16, 15, 12, 10, 9, 8, 6, 4].filter((one) => one < params.cells))
    if (works({ ...params, cells })) return mend(`Boards of ${cells} cells`, params, { cells });
  return undefined;
}
