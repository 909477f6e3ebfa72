import { describe, expect, it } from 'vitest';
import { inTurn, numbersIn, plays, tally } from '~/core/games/kit/plays.testing';
import type { Params } from '~/core/games/kit/types';
import { harvestMat } from '.';

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
    const rolled = plays(harvestMat, CHANGES[1]!, 200).flatMap(({ turns }) =>
      turns.map((turn) => numbersIn(turn, 'a', 'b') as [number, number]),
    );
    const sevens = rolled.filter(([a, b]) => a + b === 7).length / rolled.length;
    expect(Math.abs(sevens - 1 / 6)).toBeLessThan(5 * Math.sqrt(5 / 36 / rolled.length));
    expect(rolled.every(([a, b]) => a >= 1 && a <= 6 && b >= 1 && b <= 6)).toBe(true);
  });

  it('draws no sum card more often than it is printed', () => {
    for (const { turns } of plays(harvestMat, CHANGES[3]!, 20))
      for (const [sum, times] of tally(turns.flatMap((turn) => numbersIn(turn, 'number'))))
        expect([sum, times <= 3]).toEqual([sum, true]);
  });
});
