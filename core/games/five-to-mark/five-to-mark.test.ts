import { describe, expect, it } from 'vitest';
import { DECK, type Card } from '~/core/cards/deck';
import type { Sign } from '~/core/cards/facts';
import { seeded, shuffled } from '~/core/chance/random';
import { FULL } from '~/core/chance/simulate';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, paramsOf, plays, tally } from '~/core/games/kit/plays.testing';
import { reckoningOf, refusals } from '~/core/games/kit/testing';
import { fiveToMark, type MarkParams } from '.';
import { oddsOf } from './enumerate';
import { deckNumbers } from './reckon';
import { solve } from './solve';

holdsTheShelfLaws(fiveToMark, {
  gives: [['solvable.chance fewest.2 fewest.3 fewest.4 fewest.5 hardestTarget']],
});

/** Every value that all of the numbers make, by joining any two of them first: independent of the solver. */
function reachable(numbers: readonly number[], ops: readonly Sign[], whole: boolean): Set<number> {
  if (numbers.length === 1) return new Set(numbers);
  const found = new Set<number>();
  for (let i = 0; i < numbers.length; i++)
    for (let j = 0; j < numbers.length; j++) {
      if (i === j) continue;
      const rest = numbers.filter((_, k) => k !== i && k !== j);
      const [a, b] = [numbers[i]!, numbers[j]!];
      const results: number[] = [];
      if (ops.includes('+')) results.push(a + b);
      if (ops.includes('−')) results.push(a - b);
      if (ops.includes('×')) results.push(a * b);
      if (ops.includes('÷') && b !== 0) results.push(a / b);
      for (const result of results) {
        if (whole && (result < 0 || !Number.isInteger(result))) continue;
        for (const value of reachable([...rest, result], ops, whole))
          found.add(Math.round(value * 1e8) / 1e8);
      }
    }
  return found;
}

/** The fewest cards that make the target, or 0. */
function fewestCards(laid: readonly number[], target: number, ops: readonly Sign[], whole: boolean): number {
  for (let size = 2; size <= laid.length; size++)
    for (let mask = 1; mask < 2 ** laid.length; mask++) {
      const chosen = laid.filter((_, i) => mask & (1 << i));
      if (chosen.length === size && reachable(chosen, ops, whole).has(target)) return size;
    }
  return 0;
}

const evaluate = (text: string): number =>
  // The text holds digits, signs and brackets only.
  Number(new Function(`return ${text.replaceAll('−', '-').replaceAll('×', '*').replaceAll('÷', '/')}`)());

describe('Five to the Mark', () => {
  it.each([
    [['+'], true],
    [['+', '−'], true],
    [['+', '−', '×', '÷'], true],
    [['+', '−', '÷'], false],
  ] as [Sign[], boolean][])(
    'counts every deal of a small deck as brute force does, with %j',
    (ops, whole) => {
      const deck = [1, 2, 2, 3, 5, 7, 10];
      const tally: Record<number, number> = {};
      let deals = 0;
      for (let target = 0; target < deck.length; target++)
        for (let mask = 0; mask < 2 ** deck.length; mask++) {
          const laid = deck.filter((_, i) => mask & (1 << i));
          if (laid.length !== 4 || mask & (1 << target)) continue;
          deals++;
          const size = fewestCards(laid, deck[target]!, ops, whole);
          tally[size] = (tally[size] ?? 0) + 1;
        }
      const odds = oddsOf(deck, 4, ops, whole);
      expect(odds.solvable).toBeCloseTo(1 - (tally[0] ?? 0) / deals, 12);
      for (const k of [2, 3, 4]) expect(odds.fewest[k]).toBeCloseTo((tally[k] ?? 0) / deals, 12);
    },
  );

  it('agrees with dealing at random from the whole deck', () => {
    const { figures } = reckoningOf('five-to-mark', { ops: ['+', '−'] }, FULL);
    const deck = DECK.map((card: Card) => Number.parseInt(card, 10) || (card.startsWith('A') ? 1 : 0)).filter(
      Boolean,
    );
    const random = seeded(3);
    let good = 0;
    const plays = 400;
    for (let i = 0; i < plays; i++) {
      const cards = shuffled(deck, random);
      if (fewestCards(cards.slice(0, 5), cards[5]!, ['+', '−'], true)) good++;
    }
    const chance = figures['solvable.chance'] as number;
    expect(Math.abs(good / plays - chance)).toBeLessThan(4 * Math.sqrt((chance * (1 - chance)) / plays));
  });

  it('solves a layout: every way is right, different, and the fewest cards come first', () => {
    const rules = { ops: ['+', '−', '×', '÷'] as Sign[], whole: true };
    const random = seeded(9);
    for (let i = 0; i < 30; i++) {
      const laid = Array.from({ length: 5 }, () => random.whole(1, 10));
      const target = random.whole(1, 13);
      const { ways } = solve(laid, target, rules);
      expect(new Set(ways.map((way) => way.text)).size).toBe(ways.length);
      for (const way of ways) {
        expect(evaluate(way.text)).toBe(target);
        expect(
          way.text
            .match(/\d+/g)!
            .map(Number)
            .sort((a, b) => b - a),
        ).toEqual(way.cards);
      }
      const sizes = ways.map((way) => way.cards.length);
      expect(sizes).toEqual([...sizes].sort((a, b) => a - b));
      expect(sizes[0] ?? 0).toBe(fewestCards(laid, target, rules.ops, true));
    }
  });

  it('takes turned sums and products as one way, and says when there is none', () => {
    expect(solve([2, 3, 4], 9, { ops: ['+'], whole: true }).ways.map((way) => way.text)).toEqual([
      '4 + 3 + 2',
    ]);
    expect(solve([6, 4], 10, { ops: ['+', '−', '×', '÷'], whole: true }).ways.map((way) => way.text)).toEqual(
      ['6 + 4'],
    );
    expect(solve([1, 1], 9, { ops: ['+', '−', '×', '÷'], whole: true }).ways).toEqual([]);
  });

  it('reckons with fractions as they are, and keeps brackets where a sign is used without its opposite', () => {
    const texts = (laid: number[], target: number, ops: Sign[], whole = false) =>
      solve(laid, target, { ops, whole }).ways.map((way) => way.text);
    expect(texts([8, 8, 3, 3], 24, ['+', '−', '×', '÷'])).toContain('8 ÷ (3 − 8 ÷ 3)');
    expect(texts([3, 1, 3], 9, ['÷'])).toEqual(['3 ÷ (1 ÷ 3)']);
    expect(texts([8, 4, 2], 4, ['÷'], true)).toEqual(['8 ÷ 2', '8 ÷ (4 ÷ 2)']);
    expect(texts([5, 3, 2], 4, ['−'], true)).toEqual(['5 − (3 − 2)']);
    expect(texts([1, 5, 5, 5], 1, ['−', '÷'])).toContain('5 ÷ 5');
    expect(texts([7, 3, 5, 11], 1, ['÷'])).toEqual([]);
  });

  it('finds as many different ways with fractions as there are values, by trying every pair', () => {
    const random = seeded(21);
    const every: Sign[] = ['+', '−', '×', '÷'];
    for (let i = 0; i < 40; i++) {
      const ops = every.filter(() => random.chance(0.7));
      if (ops.length === 0) continue;
      const laid = Array.from({ length: 4 }, () => random.whole(1, 13));
      const target = random.whole(1, 13);
      const { ways } = solve(laid, target, { ops, whole: false });
      for (const way of ways) expect(Math.abs(evaluate(way.text) - target)).toBeLessThan(1e-9);
      for (const way of ways) for (const sign of way.text.match(/[+−×÷]/g)!) expect(ops).toContain(sign);
      expect([laid, target, ops, ways[0]?.cards.length ?? 0]).toEqual([
        laid,
        target,
        ops,
        fewestCards(laid, target, ops, false),
      ]);
    }
  });

  it('refuses a deck that cannot lay a target', () => {
    expect(refusals('five-to-mark', { missing: DECK.slice(4) }).missing).toMatch(/4 cards are left/);
  });
});

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

describe('the heavy figures of Five to the Mark', () => {
  it('are named as pending until they are there', () => {
    const { figures, pending } = reckoningOf(fiveToMark);
    expect(pending).toEqual([
      'solvable.chance',
      'fewest.2',
      'fewest.3',
      'fewest.4',
      'fewest.5',
      'hardestTarget',
    ]);
    expect(pending.filter((name) => name in figures)).toEqual([]);
  });
  it('tell how far they are', () => {
    const shares: number[] = [];
    reckoningOf(fiveToMark, { ops: ['+'] }, { ...FULL, progress: (share) => shares.push(share) });
    expect(shares.length).toBeGreaterThan(2);
    expect(shares.every((share) => share > 0 && share <= 1)).toBe(true);
  });
});
