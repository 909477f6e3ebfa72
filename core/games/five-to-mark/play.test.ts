import { describe, expect, it } from 'vitest';
import { inTurn, paramsOf, plays, tally } from '~/core/games/kit/plays.testing';
import { deckNumbers, type MarkParams } from './rules';
import { solve } from './solve';
import { fiveToMark } from '.';

/** What a written way makes, reckoned by JavaScript itself. */
const made = (way: string): number => {
  const plain = way.replaceAll('−', '-').replaceAll('×', '*').replaceAll('÷', '/').split(' = ')[0]!;
  expect(plain).toMatch(/^[\d+\-*/() ]+$/);
  return Number(new Function(`return ${plain}`)());
};
const laidOf = (laid: unknown): number[] => String(laid).split(', ').map(Number);

describe('a play of Five to the Mark', () => {
  it('deals from one deck, and reaches the target with laid cards and allowed signs', () => {
    for (const ops of [['+'], ['+', '−'], ['+', '−', '×', '÷']])
      for (const { turns, outcome } of plays(fiveToMark, { ops, rounds: 5 }, 12)) {
        expect(turns).toHaveLength(5);
        expect(inTurn(turns, 2)).toBe(true);
        for (const { id, args } of turns) {
          const laid = laidOf(args.laid);
          expect(laid).toHaveLength(5);
          for (const [value, times] of tally([...laid, Number(args.target)])) {
            expect(times).toBeLessThanOrEqual(4);
            expect(value).toBeLessThanOrEqual(10);
          }
          if (id !== 'play.reaches') continue;
          const way = String(args.way);
          expect([way, made(way)]).toEqual([way, args.target]);
          const left = [...laid];
          for (const card of way.split(' = ')[0]!.match(/\d+/g)!.map(Number)) {
            expect(left).toContain(card);
            left.splice(left.indexOf(card), 1);
          }
          expect(5 - left.length).toBeGreaterThanOrEqual(2);
          for (const sign of way.match(/[+−×÷]/g)!) expect(ops).toContain(sign);
        }
        const reached = turns.filter(({ id }) => id === 'play.reaches').length;
        expect(outcome.solved).toBeCloseTo(reached / 5, 12);
      }
  });

  it('says there is none only where the solver finds none, and takes the fewest cards', () => {
    const params = paramsOf(fiveToMark, { ops: ['+'] }) as unknown as MarkParams;
    for (const { turns } of plays(fiveToMark, { ops: ['+'] }, 20))
      for (const { id, args } of turns) {
        const { ways } = solve(laidOf(args.laid), Number(args.target), params, 50);
        expect(ways.length > 0).toBe(id === 'play.reaches');
        if (id === 'play.reaches')
          expect(String(args.way).split(' = ')[0]!.match(/\d+/g)).toHaveLength(ways[0]!.cards.length);
      }
  });

  it('deals jokers and picture cards where they are asked for', () => {
    const change = { laid: 6, faces: '11-12-13', jokers: '15', ops: ['+'], rounds: 20 };
    const deck = tally(deckNumbers(paramsOf(fiveToMark, change) as unknown as MarkParams));
    expect([deck.get(13), deck.get(15)]).toEqual([4, 2]);
    const dealt = tally(
      plays(fiveToMark, change, 20).flatMap(({ turns }) => turns.flatMap(({ args }) => laidOf(args.laid))),
    );
    expect([...dealt.keys()].sort((a, b) => a - b)).toEqual([...deck.keys()].sort((a, b) => a - b));
  });
});
