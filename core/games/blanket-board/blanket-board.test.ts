import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { mean } from '~/core/chance/pmf';
import { FULL } from '~/core/chance/simulate';
import { settle } from '~/core/games/kit/game';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { numbersIn, paramsOf, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { apart, noticesOf, printed, reckoningOf, refusals } from '~/core/games/kit/testing';
import { assume, type Params } from '~/core/games/kit/types';
import { gameOf } from '~/core/games/shelf';
import { circles, saidOn } from '~/core/paper/testing';
import { blanketBoard, type BlanketParams } from '.';
import { callsToFirst, meanCalls, tieChance } from './odds';
import { boardsOf, linesOf } from './rules';

holdsTheShelfLaws(blanketBoard, {
  gives: [
    ['slips chips callsToFirst.mean callsToLast.mean tie.chance boardsDistinct sharedCells.max'],
    ['callsToFirst.mean callsToLast.mean tie.chance', { win: 'line' }],
  ],
});

const permutations = (items: number[]): number[][] =>
  items.length <= 1
    ? [items]
    : items.flatMap((one, i) =>
        permutations([...items.slice(0, i), ...items.slice(i + 1)]).map((rest) => [one, ...rest]),
      );

describe('Blanket the Board', () => {
  it('counts calls and ties exactly as every order of the slips does', () => {
    const boards = [
      [1, 2, 3],
      [2, 3, 4],
      [5, 6, 1],
    ];
    let [first, last, ties] = [0, 0, 0];
    const orders = permutations([1, 2, 3, 4, 5, 6]);
    const atFirst = new Map<number, number>();
    for (const order of orders) {
      const done = boards.map((board) => Math.max(...board.map((number) => order.indexOf(number) + 1)));
      const now = Math.min(...done);
      first += now;
      last += Math.max(...done);
      if (done.filter((one) => one === now).length > 1) ties++;
      atFirst.set(now, (atFirst.get(now) ?? 0) + 1);
    }
    expect(meanCalls(boards, 6).first).toBeCloseTo(first / orders.length, 10);
    expect(meanCalls(boards, 6).last).toBeCloseTo(last / orders.length, 10);
    expect(tieChance(boards)).toBeCloseTo(ties / orders.length, 10);
    const pmf = callsToFirst(boards, 6);
    for (const [call, times] of atFirst)
      expect(pmf.p[call - pmf.from]).toBeCloseTo(times / orders.length, 10);
    expect(mean(pmf)).toBeCloseTo(first / orders.length, 10);
  });

  it('draws boards that all differ, the same for the same draw', () => {
    const game = gameOf('blanket-board');
    for (const { params } of game.presets) {
      const boards = boardsOf(params as unknown as BlanketParams);
      expect(new Set(boards.map((board) => [...board].sort().join())).size).toBe(boards.length);
      expect(boards.every((board) => new Set(board).size === board.length)).toBe(true);
      expect(boardsOf({ ...params } as unknown as BlanketParams)).toEqual(boards);
      expect(boardsOf({ ...params, draw: 2 } as unknown as BlanketParams)).not.toEqual(boards);
    }
  });

  it('plays a line as its simulation says, and refuses more cells than numbers', () => {
    const one = reckoningOf(
      'blanket-board',
      { win: 'line', cells: 9, from: 1, to: 12 },
      { ...FULL, seed: 3 },
    );
    const other = reckoningOf(
      'blanket-board',
      { win: 'line', cells: 9, from: 1, to: 12 },
      { ...FULL, seed: 4 },
    );
    const [a, b] = [one, other].map((of) =>
      of.explained.find((figure) => figure.name === 'callsToFirst.mean')!,
    );
    expect(apart(a!.value, { mean: b!.value, error: b!.error!, plays: 1 }, a!.error)).toBeLessThan(4);
    expect(refusals('blanket-board', { from: 1, to: 8, cells: 9 }).cells).toMatch(
      /needs 9 different numbers; from 1 to 8 there are 8/,
    );
    expect(noticesOf('blanket-board', { from: 1, to: 9, cells: 9 })).toContain('too-few-boards');
  });
});

describe('the sheets of Blanket the Board', () => {
  it('draw as many cells as a board has', () => {
    const variant = settle(blanketBoard, blanketBoard.presets[2]!.params);
    const step = variant.steps().find(({ id }) => id === 'setUp.boards')!;
    expect(variant.picture(step)!.filter((shape) => shape.kind === 'rect')).toHaveLength(16);
  });

  it('boards that all differ, and a sentence when there are not so many', () => {
    const { params } = gameOf('blanket-board').presets[1]!;
    const boards = boardsOf(params as never).map((board) => [...board].sort().join());
    expect(new Set(boards).size).toBe(boards.length);
    expect(() => printed('blanket-board', { from: 1, to: 9, cells: 9, boards: 2 })).toThrow(
      'Blanket the Board: 2 boards are asked for, and there is 1 that differ with 9 of 9 numbers. Use fewer boards, or more numbers.',
    );
  });

  it('slips with a numeral and as many dots', () => {
    const [, slips] = printed('blanket-board', { from: 0, to: 10, cells: 8, boards: 1 });
    expect(circles(slips!.shapes)).toHaveLength(55);
    expect(saidOn(slips!)).toEqual(expect.arrayContaining(['0', '7', '10']));
  });
});

const CHANGES: Params[] = [
  {},
  { from: 1, to: 20, cells: 16, boards: 6, win: 'line' },
  { boards: 6, boardsPerChild: 2 },
];

describe('a play of Blanket the Board', () => {
  it.each(CHANGES)(
    'draws each slip once until the named child is done and no other was before, with %j',
    (change) => {
      const params = paramsOf(blanketBoard, change) as unknown as BlanketParams;
      const boards = boardsOf(params);
      const lines =
        params.win === 'full' ? [Array.from({ length: params.cells }, (_, i) => i)] : linesOf(params.cells);
      const isDone = (board: number[], drawn: Set<number>) =>
        lines.some((line) => line.every((place) => drawn.has(board[place]!)));
      for (const { turns, outcome } of plays(blanketBoard, change, 30)) {
        const drawn = new Set<number>();
        turns.forEach((turn, i) => {
          const [number] = numbersIn(turn, 'number') as [number];
          expect(drawn.has(number)).toBe(false);
          drawn.add(number);
          const done = boards.map((board) => isDone(board, drawn));
          if (i < turns.length - 1) {
            expect(done).not.toContain(true);
            expect(turn.args.covered).toBe(boards.filter((board) => board.includes(number)).length);
            return;
          }
          expect(turn.id).toBe('play.full');
          const own = done.slice(
            (turn.player - 1) * params.boardsPerChild,
            turn.player * params.boardsPerChild,
          );
          expect(own).toContain(true);
          expect(outcome.tie).toBe(done.filter(Boolean).length > 1 ? 1 : 0);
        });
        expect(outcome.first).toBe(turns.length);
        expect(outcome.last).toBeGreaterThanOrEqual(outcome.first!);
      }
    },
  );

  it('meets each number as often as the others', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => [fact('quantity', numbersIn(turn, 'number')[0]!)];
    // The boards that are printed hold some numbers more often, so the end comes with some more often too; what is
    // reckoned is the mean over all numbers.
    const [low, high] = [0, 10];
    const strange = strangeMeetings(
      blanketBoard,
      { from: low, to: high, cells: 8, boards: 8 },
      ['quantity'],
      met,
      400,
    );
    expect(strange.length).toBeLessThanOrEqual(3);
    expect(strange.join()).not.toContain('not reckoned');
  });
});

describe('boards that children fill themselves', () => {
  it('are reckoned over all boards that can be written', () => {
    const { figures } = settle(blanketBoard, {
      ...blanketBoard.presets[0]!.params,
      from: 1,
      to: 8,
      cells: 6,
      boards: 2,
      boardsPerChild: 1,
      win: 'full',
      fill: 'blank',
    }).reckon(assume('K'));
    // P(full by the 6th) = 1/28, by the 7th 1/4, by the 8th 1.
    expect(figures['callsToFirst.mean']).toBeCloseTo(6 + (27 / 28) ** 2 + 0.75 ** 2, 9);
    expect(figures['callsToLast.mean']).toBeCloseTo(8 - (1 / 28) ** 2 - 0.25 ** 2, 9);
    expect(figures['tie.chance']).toBeCloseTo((1 / 28) ** 2 + (6 / 28) ** 2 + (21 / 28) ** 2, 9);
  });
});
