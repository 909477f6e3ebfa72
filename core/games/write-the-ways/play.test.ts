import { describe, expect, it } from 'vitest';
import { fact, type Operation } from '~/core/cards/facts';
import { inTurn, numbersIn, paramsOf, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import type { Turn } from '~/core/games/kit/types';
import { writeTheWays } from '.';

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
      for (const { turns } of plays(writeTheWays, change as never, 5)) {
        const { figures } = writeTheWays.reckon(paramsOf(writeTheWays, change as never), {
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
