import { describe, expect, it } from 'vitest';
import { mean } from '~/core/chance/pmf';
import { seeded } from '~/core/chance/random';
import { settle } from '~/core/games/kit/game';
import { FULL } from '~/core/chance/simulate';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, tally } from '~/core/games/kit/plays.testing';
import {
  apart,
  figuresOf,
  noticesOf,
  printed,
  reckoningOf,
  refusals,
  sample,
} from '~/core/games/kit/testing';
import type { Params } from '~/core/games/kit/types';
import { gameOf } from '~/core/games/shelf';
import { needed, piecesOn, saidOn } from '~/core/paper/testing';
import { harvestMat, type MatParams } from '.';
import { rollsToCover } from './reckon';
import { matched } from './rules';

holdsTheShelfLaws(harvestMat, {
  gives: [
    ['rollsToCover.mean rollsToCover.p95 unreachable wasted.chance'],
    ['cardsNeeded', { source: 'cards' }],
  ],
});

describe('Harvest Mat', () => {
  const two = (cells: number[]): MatParams => ({
    source: 'two-dice',
    cells,
    claim: false,
    cardsPerSum: 2,
    drawn: 'aside',
    mark: 'chips',
  });
  it('takes 61.2174 rolls of two dice to cover 2 to 12', () => {
    const cells = Array.from({ length: 11 }, (_, i) => i + 2);
    expect(figuresOf('harvest-mat', { source: 'two-dice', cells })['rollsToCover.mean']).toBeCloseTo(
      61.2174,
      4,
    );
    expect(mean(rollsToCover(two(cells))!.turns)).toBeCloseTo(61.2174, 2);
  });
  it.each([
    ['one-die', [1, 2, 3, 4, 5, 6]],
    ['one-die', [6, 6, 1]],
    ['two-dice', [4, 5, 6, 6, 7, 7, 7, 8, 8, 9, 10]],
    ['cards', [3, 4, 4, 5]],
    ['cards', [3, 4, 4, 5], 'back'],
  ] as [string, number[], string?][])(
    'covers as fast as its plays do: %s %j %s',
    (source, cells, drawn = 'aside') => {
      const params = {
        source,
        cells: [...cells],
        claim: false,
        cardsPerSum: 2,
        drawn,
        mark: 'chips',
      };
      const exact = figuresOf('harvest-mat', params);
      const random = seeded(8);
      const game = gameOf('harvest-mat');
      const lengths: number[] = [];
      const played = sample(6000, () => {
        const turns = [...settle(game, params).play(random)].length;
        lengths.push(turns);
        return turns;
      });
      expect(apart(exact['rollsToCover.mean']!, played)).toBeLessThan(4);
      const within = lengths.filter((turns) => turns <= exact['rollsToCover.p95']!).length / lengths.length;
      expect(within).toBeGreaterThan(0.95 - 4 * Math.sqrt((0.95 * 0.05) / lengths.length));
    },
  );
  it('offers a matched mat that is quicker, and takes off what never comes', () => {
    const cells = Array.from({ length: 11 }, (_, i) => i + 2);
    const notice = reckoningOf('harvest-mat', { source: 'two-dice', cells }).notices.find(
      (one) => one.code === 'matched-mat',
    )!;
    expect(notice.mend!.params.cells).toHaveLength(11);
    expect(figuresOf('harvest-mat', notice.mend!.params)['rollsToCover.mean']).toBeLessThan(40);
    expect(matched(two(cells)).reduce((a, b) => a + b) / 11).toBeCloseTo(7, 0);
    expect(figuresOf('harvest-mat', { source: 'two-dice', cells: [1, 7, 13] })).toMatchObject({
      unreachable: 2,
    });
    expect(figuresOf('harvest-mat', { source: 'two-dice', cells: [7] })['wasted.chance']).toBeCloseTo(
      30 / 36,
      12,
    );
    expect(noticesOf('harvest-mat', { source: 'cards', cells: [5, 5, 5], cardsPerSum: 1 })).toContain(
      'too-few-cards',
    );
    expect(refusals('harvest-mat', { source: 'one-die', cells: [9, 10] }).cells).toMatch(
      /No roll gives any number/,
    );
  });
});

describe('the sheets of Harvest Mat', () => {
  it('sum cards that have an answer on the mat', () => {
    const sheets = printed('harvest-mat', { source: 'cards', cells: [3, 4, 5, 6], cardsPerSum: 2 });
    const sums = needed(piecesOn(sheets))
      .filter(({ material }) => material === 'sum-card')
      .map(({ name }) => name.split(' + ').map(Number));
    expect(new Set(sums.map(([a, b]) => a! + b!))).toEqual(new Set([3, 4, 5, 6]));
    const mat = sheets.find((sheet) => sheet.pieces?.some(({ material }) => material === 'mat'))!;
    expect(saidOn(mat).slice(1)).toEqual(['3', '4', '5', '6']);
  });
});

const COVERS = new Set(['play.one', 'play.sum']);

const CHANGES: (Params & { cells: number[] })[] = [
  { source: 'one-die', cells: [1, 2, 3, 3, 4, 5, 6, 6] },
  { source: 'two-dice', cells: [2, 3, 4, 5, 6, 7, 7, 8, 9, 10, 11, 12] },
  { source: 'two-dice', cells: [6, 7, 8], claim: true },
  { source: 'cards', cells: [3, 4, 5, 5, 6], cardsPerSum: 3 },
];

describe('a play of Harvest Mat', () => {
  it.each(CHANGES)(
    'covers a cell with every answer that is open, and ends with the last one, with %j',
    (change) => {
      for (const { turns, outcome } of plays(harvestMat, change, 30)) {
        const open = tally<number>(change.cells);
        let left = change.cells.length;
        let wasted = 0;
        turns.forEach((turn, i) => {
          const [a, b, number] = numbersIn(turn, 'a', 'b', 'number') as [number, number, number];
          expect(a + b).toBe(number);
          const free = open.get(number) ?? 0;
          expect([number, COVERS.has(turn.id)]).toEqual([number, free > 0]);
          if (free > 0) {
            open.set(number, free - 1);
            left--;
          } else wasted++;
          expect(left === 0).toBe(i === turns.length - 1);
        });
        expect(outcome.wasted).toBe(wasted);
        expect(inTurn(turns, 'claim' in change ? 2 : 1)).toBe(true);
      }
    },
  );

  it('leaves out what can never come, and still ends', () => {
    for (const { turns } of plays(harvestMat, { source: 'two-dice', cells: [1, 7, 13, 8] }, 10)) {
      const covered = turns.filter(({ id }) => COVERS.has(id)).flatMap((turn) => numbersIn(turn, 'number'));
      expect(covered.sort((a, b) => a - b)).toEqual([7, 8]);
    }
  });

  it('rolls as dice do: seven as often as six in thirty-six', () => {
    const rolled = plays(harvestMat, CHANGES[1], 200).flatMap(({ turns }) =>
      turns.map((turn) => numbersIn(turn, 'a', 'b') as [number, number]),
    );
    const sevens = rolled.filter(([a, b]) => a + b === 7).length / rolled.length;
    expect(Math.abs(sevens - 1 / 6)).toBeLessThan(5 * Math.sqrt(5 / 36 / rolled.length));
    expect(rolled.every(([a, b]) => a >= 1 && a <= 6 && b >= 1 && b <= 6)).toBe(true);
  });

  it('draws no sum card more often than it is printed', () => {
    for (const { turns } of plays(harvestMat, CHANGES[3], 20))
      for (const [sum, times] of tally(turns.flatMap((turn) => numbersIn(turn, 'number'))))
        expect([sum, times <= 3]).toEqual([sum, true]);
  });
});

it('leaves rollsToCover.mean out where there is none, and says why', () => {
  const { figures, notices } = reckoningOf(
    harvestMat,
    { source: 'two-dice', cells: [1, 2, 3] },
    { ...FULL, plays: 200 },
  );
  expect(figures).not.toHaveProperty(['rollsToCover.mean']);
  expect(notices.filter(({ severity }) => severity === 'stop').map(({ code }) => code)).toContain(
    'never-covered',
  );
});
