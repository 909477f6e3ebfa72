import { describe, expect, it } from 'vitest';
import { apply, fact, type Operation, type Sign } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, paramsOf, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, noticesOf, refusals, setting } from '~/core/games/kit/testing';
import { assume, type Params, type Turn } from '~/core/games/kit/types';
import { answerHop } from '.';

holdsTheShelfLaws(answerHop, { gives: [['ways.1 ways.2 ways.10 fewestWays']] });

describe('Answer Hop', () => {
  it.each([[['+']], [['+', '−']], [['+', '−', '×', '÷']]] as [Sign[]][])(
    'counts every sentence with %j',
    (ops) => {
      const ways: Record<string, number> = {};
      for (let t = 1; t <= 20; t++) ways[`ways.${t}`] = 0;
      for (let a = 0; a <= 9; a++)
        for (let b = 0; b <= 9; b++)
          for (const sign of ops) {
            const answer = apply(sign, a, b);
            if (answer !== undefined && answer >= 1 && answer <= 20) ways[`ways.${answer}`]!++;
          }
      const { fewestWays, ...found } = figuresOf('answer-hop', { ops, to: 20 });
      expect(found).toEqual(ways);
      expect(ways[`ways.${fewestWays}`]).toBe(Math.min(...Object.values(ways)));
    },
  );
  it('names the hard targets, and those that cannot be hopped', () => {
    expect(noticesOf('answer-hop', { ops: ['×'], to: 20 })).toEqual(
      expect.arrayContaining(['hard-targets', 'never']),
    );
    expect(refusals('answer-hop', { ops: ['×'], digits: [0, 7] }).ops).toMatch(/No target/);
  });
});

const OPS: Record<string, Operation> = { '+': 'add', '−': 'subtract', '×': 'multiply', '÷': 'divide' };

const met = (turn: Turn) => {
  const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
  return [fact(OPS[String(turn.args.sign)]!, a, b)];
};

const CHANGES: Params[] = [
  { ops: ['+'], to: 12 },
  { ops: ['+', '−', '×', '÷'], to: 20, players: 3 },
  { digits: [2, 4, 8], ops: ['+', '−'], to: 16 },
];

describe('a play of Answer Hop', () => {
  it.each(CHANGES)('hops a right sentence for every target that has one, in order, with %j', (change) => {
    const { digits, players } = paramsOf(answerHop, change) as { digits: number[]; players: number };
    const { figures } = setting(answerHop, change).reckon(assume('g2'));
    const possible = Array.from({ length: change.to as number }, (_, i) => i + 1).filter(
      (target) => (figures[`ways.${target}`] as number) > 0,
    );
    for (const { turns } of plays(answerHop, change, 20)) {
      expect(turns.map((turn) => numbersIn(turn, 'target')[0])).toEqual(possible);
      expect(inTurn(turns, players)).toBe(true);
      for (const turn of turns) {
        const [a, b, target] = numbersIn(turn, 'a', 'b', 'target') as [number, number, number];
        expect([digits.includes(a), digits.includes(b)]).toEqual([true, true]);
        expect(met(turn)[0]!.answer).toBe(target);
        expect(change.ops).toContain(turn.args.sign);
        // The grown-up knows how many other ways there are.
        expect(turn.coach!.args.ways).toBe(figures[`ways.${target}`]);
      }
    }
  });

  it('meets the ways to a target as often as each other', () => {
    expect(strangeMeetings(answerHop, { ops: ['+', '×'], to: 9 }, ['add', 'multiply'], met, 3000)).toEqual(
      [],
    );
  });
});
