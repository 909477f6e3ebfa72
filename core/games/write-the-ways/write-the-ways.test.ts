import { describe, expect, it } from 'vitest';
import { fact, type Operation } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, printed, refusals, setting } from '~/core/games/kit/testing';
import type { Turn } from '~/core/games/kit/types';
import { saidOn } from '~/core/paper/testing';
import { writeTheWays } from '.';

holdsTheShelfLaws(writeTheWays, { gives: [['ways']] });

describe('Write the Ways', () => {
  it('lists what counting one by one lists', () => {
    for (const order of ['ordered', 'unordered'] as const) {
      let ways = 0;
      for (let a = 0; a <= 12; a++)
        for (let b = 0; b <= 12; b++) {
          if (a + b === 12 && (order === 'ordered' || a <= b)) ways++;
          if (a - b === 12) ways++;
          if (a * b === 12 && (order === 'ordered' || a <= b)) ways++;
          if (b !== 0 && a === 12 * b) ways++;
        }
      expect(
        figuresOf('write-the-ways', { target: 12, ops: ['+', '−', '×', '÷'], upTo: 12, order }).ways,
      ).toBe(ways);
    }
    expect(figuresOf('write-the-ways', { target: 10 }).ways).toBe(11);
  });
  it('takes signs as they are typed, and refuses what makes nothing', () => {
    expect(figuresOf('write-the-ways', { target: 6, ops: '+-' }).ways).toBe(12);
    expect(refusals('write-the-ways', { target: 20, ops: ['+'], upTo: 5 }).target).toMatch(/No sentence/);
    expect(refusals('write-the-ways', { ops: [] }).ops).toBe('Choose at least 1 for signs.');
  });
});

describe('the sheets of Write the Ways', () => {
  it('every way on the back of the record, each with a box', () => {
    const [front, back] = printed('write-the-ways', { target: 7, players: 1 });
    const ways = saidOn(back!);
    expect(ways).toHaveLength(8);
    for (const way of ways) {
      const [, a, b] = /^(\d+) \+ (\d+) = 7$/.exec(way)!;
      expect(Number(a) + Number(b)).toBe(7);
    }
    expect(back!.shapes.filter((shape) => shape.kind === 'rect')).toHaveLength(8);
    expect([front!.back, back!.back]).toEqual([undefined, true]);
  });
});

const OPS: Record<string, Operation> = { '+': 'add', '−': 'subtract', '×': 'multiply', '÷': 'divide' };

const makes: Record<string, (a: number, b: number) => number> = {
  '+': (a, b) => a + b,
  '−': (a, b) => a - b,
  '×': (a, b) => a * b,
  '÷': (a, b) => a / b,
};

const met = (turn: Turn) => {
  const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
  return [fact(OPS[String(turn.args.sign)]!, a, b)];
};

describe('a play of Write the Ways', () => {
  it('finds every sentence of the list once, and each makes the target', () => {
    for (const change of [
      { target: 12, ops: ['+', '−', '×', '÷'], upTo: 20 },
      { target: 7, order: 'unordered', zero: false },
    ])
      for (const { turns } of plays(writeTheWays, change, 5)) {
        const { figures } = setting(writeTheWays, change).reckon({
          ageBand: 'g2',
          secondsPerTurn: 20,
        });
        expect(turns).toHaveLength(figures.ways as number);
        expect(new Set(turns.map(({ args }) => `${args.a} ${args.sign} ${args.b}`)).size).toBe(turns.length);
        for (const turn of turns) {
          const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
          expect(makes[String(turn.args.sign)]!(a, b)).toBe(change.target);
        }
        expect(inTurn(turns, 2)).toBe(true);
      }
  });

  it('writes no turned sentence where order does not count', () => {
    for (const ops of [['+'], ['×'], ['+', '×']])
      for (const { turns } of plays(writeTheWays, { target: 12, ops, order: 'unordered', upTo: 12 }, 3)) {
        const turned = turns.map(({ args }) =>
          [args.sign, ...[Number(args.a), Number(args.b)].sort((a, b) => a - b)].join(),
        );
        expect(new Set(turned).size).toBe(turned.length);
      }
  });

  it('meets each sentence once', () => {
    expect(
      strangeMeetings(writeTheWays, { target: 9, ops: ['+', '−'] }, ['add', 'subtract'], met, 2),
    ).toEqual([]);
  });
});
