import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, paramsOf, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, printed, reckoningOf, refusals } from '~/core/games/kit/testing';
import type { Turn } from '~/core/games/kit/types';
import { saidOn } from '~/core/paper/testing';
import { gardenRows, type RowsParams } from '.';
import { rowsOf } from './rules';

holdsTheShelfLaws(gardenRows, {
  gives: [['rows cubes.first cubes.second sums'], ['tie.chance', { way: 'two' }]],
});

const rows = (change = {}) => rowsOf(paramsOf(gardenRows, change) as unknown as RowsParams);

describe('Garden Rows', () => {
  it('has cards that differ, within the longest row, and other ones for another mixture', () => {
    for (const mixed of [1, 2, 3]) {
      const all = rows({ max: 9, cards: 20, mixed });
      expect(new Set(all.map(({ a, b }) => `${a} ${b}`)).size).toBe(20);
      for (const { a, b } of all) expect([a >= 1, b >= 1, a + b <= 9]).toEqual([true, true, true]);
    }
    expect(rows({ max: 9, mixed: 1 })).not.toEqual(rows({ max: 9, mixed: 2 }));
    expect(refusals('garden-rows', { max: 4, cards: 7 }).cards).toMatch(/6 different cards/);
    // All rows of at most 5: 4 + 3 + 2 + 1.
    expect(figuresOf('garden-rows', { max: 5, cards: 10 })).toMatchObject({
      rows: 10,
      'cubes.first': 4,
      'cubes.second': 4,
      sums: 4,
    });
    // Two of the largest at once: 4 and 3.
    expect(figuresOf('garden-rows', { max: 5, cards: 10, way: 'two' })).toMatchObject({
      'cubes.first': 7,
      'cubes.second': 7,
    });
  });

  it('has as many cubes of each color as any play takes', () => {
    for (const way of ['count', 'sum', 'two']) {
      const change = { way, max: 10, cards: 21, mixed: 7 };
      const figures = figuresOf('garden-rows', change);
      let [first, second] = [0, 0];
      for (const { turns } of plays(gardenRows, change, 400))
        for (const { args } of turns) {
          first = Math.max(first, Number(args.a) + Number(args.c ?? 0));
          second = Math.max(second, Number(args.b) + Number(args.d ?? 0));
        }
      expect([first, second]).toEqual([figures['cubes.first'], figures['cubes.second']]);
    }
  });

  it('has a cell on the mat for every card', () => {
    const numbers = (change = {}) =>
      saidOn(printed('garden-rows', change)[0]!).filter((text) => /^\d+$/.test(text));
    expect(numbers({ way: 'count' })).toEqual(rows().flatMap(({ a, b }) => [String(a), String(b)]));
    expect(numbers({ way: 'sum' })).toEqual(rows().map(({ a, b }) => String(a + b)));
  });
});

describe('a play of Garden Rows', () => {
  it('turns every card once, and the longer row covers', () => {
    for (const { turns } of plays(gardenRows, { way: 'sum', players: 2 }, 10)) {
      expect(turns).toHaveLength(12);
      expect(inTurn(turns, 2)).toBe(true);
      const built = turns.map((turn) => numbersIn(turn, 'a', 'b').join(' ')).sort();
      expect(built).toEqual(
        rows()
          .map(({ a, b }) => `${a} ${b}`)
          .sort(),
      );
    }
    const ties = plays(gardenRows, { way: 'two', cards: 12 }, 2000).flatMap(({ turns }) =>
      turns.map((turn) => {
        const [a, b, c, d, answer] = numbersIn(turn, 'a', 'b', 'c', 'd', 'answer');
        expect(answer).toBe(Math.max(a! + b!, c! + d!));
        expect(turn.id).toBe(a! + b! === c! + d! ? 'play.same' : 'play.longer');
        if (a! + b! !== c! + d!) expect(turn.player).toBe(a! + b! > c! + d! ? 1 : 2);
        return Number(turn.id === 'play.same');
      }),
    );
    const chance = figuresOf('garden-rows', { way: 'two', cards: 12 })['tie.chance']!;
    const share = ties.reduce((x, y) => x + y, 0) / ties.length;
    expect(Math.abs(share - chance)).toBeLessThan(5 * Math.sqrt((chance * (1 - chance)) / ties.length));
  });

  it('meets what it says', () => {
    const met = (turn: Turn) => {
      const [a = 0, b = 0, c = 0, d = 0] = ['a', 'b', 'c', 'd'].map((name) => Number(turn.args[name]));
      const [x, y] = [a + b, c + d].sort((p, q) => p - q);
      return [fact('add', a, b), fact('add', c, d), fact('compare', x!, y)];
    };
    expect(strangeMeetings(gardenRows, { way: 'two', cards: 7 }, ['add', 'compare'], met, 3000)).toEqual([]);
    const { practice } = reckoningOf('garden-rows', { way: 'count' });
    expect(practice.every(({ fact: { op } }) => op === 'count' || op === 'quantity')).toBe(true);
  });
});
