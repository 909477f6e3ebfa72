import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DECK, deckWithout, type Card } from '~/core/cards/deck';
import { seeded, shuffled } from '~/core/chance/random';
import { FULL } from '~/core/chance/simulate';
import type { Sign } from '~/core/cards/facts';
import { gameOf } from '.';
import { oddsOf } from '~/core/games/five-to-mark/enumerate';
import { solve } from '~/core/games/five-to-mark/solve';
import { apart, figuresOf, noticesOf, refusals, reckoningOf } from '~/core/games/kit/testing';
import { pairing, type TideParams } from '~/core/games/tide-pairs/rules';

/** The most pairs, by trying every pairing. */
function mostPairs(values: readonly number[], target: number | undefined): number {
  const [first, ...rest] = values;
  if (first === undefined) return 0;
  let best = mostPairs(rest, target);
  const tried = new Set<number>();
  rest.forEach((other, i) => {
    if (tried.has(other) || (target === undefined ? first !== other : first + other !== target)) return;
    tried.add(other);
    best = Math.max(best, 1 + mostPairs([...rest.slice(0, i), ...rest.slice(i + 1)], target));
  });
  return best;
}

describe('Tide Pairs', () => {
  it('keeps the cards that have a partner', () => {
    expect(figuresOf('tide-pairs', { target: 10 })).toMatchObject({
      kept: 36,
      removed: 16,
      pairs: 18,
      leftover: 0,
      dealable: 1,
    });
    expect(figuresOf('tide-pairs', { target: 10, zeroCard: 'jack' })).toMatchObject({ kept: 44, pairs: 22 });
    expect(figuresOf('tide-pairs', { target: 'same' })).toMatchObject({ kept: 52, removed: 0, pairs: 26 });
    expect(figuresOf('tide-pairs', { target: 15 })).toMatchObject({ kept: 24, pairs: 12 });
  });

  it('pairs as many as trying everything does', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 10 }), { maxLength: 11 }),
        fc.constantFrom(undefined, 5, 8, 10),
        (values, target) => {
          const { pairs, leftover } = pairing(values, target);
          expect(pairs).toBe(mostPairs(values, target));
          expect(leftover).toHaveLength(values.length - 2 * pairs);
        },
      ),
    );
  });

  it('says which card is left over, and mends it by taking one out', () => {
    const { notices, figures } = reckoningOf('tide-pairs', { target: 10, missing: ['7H'] });
    expect(figures.leftover).toBe(1);
    const notice = notices.find((one) => one.code === 'leftover')!;
    expect(notice.text).toMatch(/\(3\) can never pair/);
    expect(notice.mend!.label).toBe('Take 3♠ out');
    expect(figuresOf('tide-pairs', notice.mend!.params).leftover).toBe(0);
  });

  it('agrees with itself under another seed, within four standard errors', () => {
    const one = reckoningOf('tide-pairs', { target: 10 }, { ...FULL, seed: 5 });
    const other = reckoningOf('tide-pairs', { target: 10 }, { ...FULL, seed: 77 });
    for (const name of ['turns.mean', 'allPaired.chance']) {
      const [a, b] = [one, other].map((of) => of.explained.find((figure) => figure.name === name)!);
      expect(apart(a!.value, { mean: b!.value, error: b!.error!, plays: 1 }, a!.error)).toBeLessThan(4);
    }
  });

  it('with everything dealt out and nothing drawn needs exactly one turn for each pair that was split', () => {
    // Ten cards, five pairs of aces and nines and so on, two hands of five: each asks for what the other has.
    const missing = DECK.filter(
      (card) => !['AS', '9S', '2S', '8S', '3S', '7S', '4S', '6S', '5S', '5H'].includes(card),
    );
    const game = gameOf('tide-pairs');
    const params = {
      ...game.presets.find((one) => one.id === 'ten')!.params,
      missing,
    } as unknown as TideParams;
    for (let seed = 0; seed < 200; seed++) {
      const turns = [...game.play(params as never, seeded(seed))];
      const asked = turns.filter((turn) => turn.id === 'play.gets').length;
      expect(asked).toBeLessThanOrEqual(5);
      expect(turns.every((turn) => turn.id === 'play.gets' || turn.id === 'play.laysAll')).toBe(true);
    }
    expect(figuresOf('tide-pairs', { target: 10, missing })['allPaired.chance']).toBe(1);
  });

  it('refuses a target no two cards make, and says when hands cannot be dealt', () => {
    expect(refusals('tide-pairs', { target: 20, missing: ['10S', '10H', '10D', '10C'] })).toEqual({
      target: 'No two cards of this deck make this target.',
    });
    expect(noticesOf('tide-pairs', { target: 20 })).toContain('not-dealable');
    expect(refusals('tide-pairs', { target: 4 } as never).target).toMatch(/^Target must be one of: same/);
  });

  it('is audited with cards missing, and with two decks', () => {
    const game = gameOf('tide-pairs');
    const params = game.presets.find((one) => one.id === 'ten')!.params;
    expect(game.audit!(params, DECK)).toEqual({ verdict: 'plays', note: '18 pairs, nothing left over.' });
    expect(game.audit!(params, deckWithout(['7H']))).toMatchObject({
      verdict: 'playsWithNote',
      note: expect.stringMatching(/17 pairs\. Take out 3/),
    });
    expect(game.audit!(params, DECK.slice(0, 9)).verdict).toBe('doesNotPlay');
    const two = [...deckWithout(['7H']), ...deckWithout(['3C'])];
    expect(game.audit!(params, two)).toEqual({ verdict: 'plays', note: '35 pairs, nothing left over.' });
  });
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
    expect(solve([1, 2], 0.5, { ops: ['÷'], whole: false }).ways.map((way) => way.text)).toEqual(['1 ÷ 2']);
  });

  it('refuses a deck that cannot lay a target', () => {
    expect(refusals('five-to-mark', { missing: DECK.slice(4) }).missing).toMatch(/4 cards are left/);
  });
});

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
