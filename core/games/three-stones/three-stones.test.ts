import { describe, expect, it } from 'vitest';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { LINES } from '~/core/games/kit/nine-cells';
import { numbersIn, plays, tally } from '~/core/games/kit/plays.testing';
import { apart, reckoningOf } from '~/core/games/kit/testing';
import type { Params } from '~/core/games/kit/types';
import { threeStones } from '.';
import { SQUARE, TARGET } from './rules';

holdsTheShelfLaws(threeStones, { gives: [['stones']] });

describe('Three Stones', () => {
  it('has a square in which every line makes 15', () => {
    expect([...SQUARE].sort((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
    for (const line of LINES) expect(line.reduce<number>((sum, cell) => sum + SQUARE[cell]!, 0)).toBe(TARGET);
  });
  it('tosses rows as often as a count over all boards says', () => {
    const row = (cells: readonly number[], player: number) =>
      LINES.some((line) => line.every((cell) => cells[cell] === player));
    const known = new Map<string, number>();
    const chance = (cells: readonly number[], count: number): number => {
      if (count === 10 || cells.every((cell) => cell !== 0)) return 0;
      const key = `${cells.join('')}${count}`;
      const before = known.get(key);
      if (before !== undefined) return before;
      const player = (count % 2) + 1;
      let total = 0;
      for (let cell = 0; cell < 9; cell++) {
        if (cells[cell] !== 0) total += chance(cells, count + 1) / 9;
        else {
          const next = cells.map((owner, i) => (i === cell ? player : owner));
          total += (row(next, player) ? 1 : chance(next, count + 1)) / 9;
        }
      }
      known.set(key, total);
      return total;
    };
    const figure = reckoningOf('three-stones', { by: 'tossing' }).explained.find(
      (one) => one.name === 'row.chance',
    )!;
    expect(
      apart(chance(new Array<number>(9).fill(0), 0), { mean: figure.value, error: figure.error!, plays: 1 }),
    ).toBeLessThan(4);
  });
});

const CHANGES: Params[] = [
  { by: 'placing', sums: false },
  { by: 'placing', sums: true },
  { by: 'tossing', sums: false, place: 'floor' },
  { by: 'tossing', sums: true },
];

describe('a play of Three Stones', () => {
  it.each(CHANGES)('puts stones on free cells by turns until three are in a row, with %j', (change) => {
    for (const { turns, outcome } of plays(threeStones, change, 80)) {
      const owner = new Array<number>(9).fill(0);
      const has = (player: number) => LINES.find((line) => line.every((cell) => owner[cell] === player));
      turns.forEach((turn, i) => {
        const { player } = turn;
        expect(player).toBe((i % 2) + 1);
        if (turn.id === 'play.row' || turn.id === 'play.sum') {
          // The last stone is not told by itself: the line is, and its other two lay there before.
          const line = String(turn.args.numbers)
            .split(' + ')
            .map((n) => SQUARE.indexOf(Number(n) as 1));
          expect(LINES.map(String)).toContain(String(line));
          const own = line.filter((cell) => owner[cell] === player);
          expect([own.length, line.filter((cell) => owner[cell] === 0).length]).toEqual([2, 1]);
          expect(turn.id).toBe(change.sums ? 'play.sum' : 'play.row');
          if (change.sums) expect(line.reduce((sum, cell) => sum + SQUARE[cell]!, 0)).toBe(15);
          expect(i).toBe(turns.length - 1);
          expect(outcome).toEqual({ row: 1, firstWins: player === 1 ? 1 : 0 });
          return;
        }
        const cell = SQUARE.indexOf(numbersIn(turn, 'number')[0] as 1);
        if (turn.id === 'play.taken') {
          expect([change.by, owner[cell] !== 0]).toEqual(['tossing', true]);
          return;
        }
        expect(owner[cell]).toBe(0);
        owner[cell] = player;
        expect(has(player)).toBeUndefined();
      });
      for (const times of tally(turns.map(({ player }) => player)).values())
        expect(times).toBeLessThanOrEqual(5);
      if (outcome.row === 0)
        expect(owner.filter((one) => one === 0).length === 0 || turns.length === 10).toBe(true);
    }
  });

  it('finishes a line that can be finished, and closes one that threatens, when stones are placed', () => {
    for (const { turns } of plays(threeStones, { by: 'placing', sums: false }, 80)) {
      const owner = new Array<number>(9).fill(0);
      const open = (player: number) =>
        LINES.flatMap((line) =>
          line.filter((cell) => owner[cell] === player).length === 2
            ? line.filter((cell) => owner[cell] === 0)
            : [],
        );
      for (const turn of turns) {
        const { player } = turn;
        if (open(player).length) {
          expect(turn.id).toBe('play.row');
          continue;
        }
        expect(turn.id).toBe('play.stone');
        const cell = SQUARE.indexOf(numbersIn(turn, 'number')[0] as 1);
        const threats = open(3 - player);
        if (threats.length) expect(threats).toContain(cell);
        owner[cell] = player;
      }
    }
  });
});
