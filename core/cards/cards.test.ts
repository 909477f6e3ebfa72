import { describe, expect, it } from 'vitest';
import { countValues, DECK, deckWithout, numbersOf, pairChances, readCards, showCard } from './deck';
import fc from 'fast-check';
import { FRACTIONS, WHOLE } from './exact';
import { apply, fact, SIGNS, written, type Sign } from './facts';

describe('the deck', () => {
  it('reads cards as people type them', () => {
    expect(readCards('7h, qs 10♦ ac').cards).toEqual(['QS', '7H', '10D', 'AC']);
    expect(readCards('ace of spades, King hearts; 1c').cards).toEqual(['AS', 'KH', 'AC']);
    expect(readCards('7 h 7h').cards).toEqual(['7H']);
    expect(readCards('11h xyz 4s')).toEqual({ cards: ['4S'], unread: ['11H', 'XYZ'] });
    expect(DECK.map(showCard).slice(0, 2)).toEqual(['A♠', '2♠']);
  });
  it('is whole without what is missing', () => {
    expect(deckWithout([])).toHaveLength(52);
    expect(deckWithout(['7H', '7H', 'nothing'])).toHaveLength(51);
    expect(numbersOf(DECK, 'remove')).toHaveLength(40);
    expect(Math.max(...numbersOf(DECK, '11-12-13'))).toBe(13);
  });
  it('draws pairs whose chances add up to 1', () => {
    const pairs = pairChances(countValues([1, 1, 2, 3]));
    expect(pairs).toEqual([
      { a: 1, b: 1, chance: 1 / 6 },
      { a: 1, b: 2, chance: 2 / 6 },
      { a: 1, b: 3, chance: 2 / 6 },
      { a: 2, b: 3, chance: 1 / 6 },
    ]);
    expect(pairChances(countValues([4]))).toEqual([]);
  });
});

describe('facts', () => {
  it('are written as a person reads them', () => {
    expect(
      [
        fact('subtract', 3, 5),
        fact('divide', 12, 4),
        fact('compare', 3, 7),
        fact('missing', 4, 10),
        fact('tens', 3, 4),
        fact('groups', 3, 4),
        fact('glance', 4),
        fact('add', -3, 5),
      ].map(written),
    ).toEqual([
      '3 − 5 = (−2)',
      '12 ÷ 4 = 3',
      '3 < 7',
      '4 + ? = 10',
      '3 tens and 4 ones are 34',
      '3 groups of 4 are 12',
      'see 4',
      '(−3) + 5 = 2',
    ]);
  });
  it('have no answer where there is none', () => {
    expect(apply('÷', 7, 2)).toBeUndefined();
    expect(apply('÷', 7, 2, false)).toBe(3.5);
    expect(apply('÷', 7, 0, false)).toBeUndefined();
    expect(apply('−', 2, 5)).toBeUndefined();
  });
});

describe('arithmetic in which nothing is rounded', () => {
  it('agrees with fractions of large whole numbers, whatever is reckoned with', () => {
    const common = (a: bigint, b: bigint): bigint => (b === 0n ? (a < 0n ? -a : a) : common(b, a % b));
    const steps = fc.array(
      fc.tuple(fc.constantFrom(...(Object.keys(SIGNS) as Sign[])), fc.integer({ min: 1, max: 15 })),
      {
        minLength: 1,
        maxLength: 4,
      },
    );
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 15 }), steps, (first, list) => {
        let now = FRACTIONS.from(first);
        let [p, q] = [BigInt(first), 1n];
        for (const [sign, n] of list) {
          now = FRACTIONS.step[sign](now, FRACTIONS.from(n));
          const m = BigInt(n);
          [p, q] =
            sign === '+'
              ? [p + m * q, q]
              : sign === '−'
                ? [p - m * q, q]
                : sign === '×'
                  ? [p * m, q]
                  : [p, q * m];
        }
        const g = common(p, q);
        const exact = FRACTIONS.step['÷'](FRACTIONS.from(Number(p / g)), FRACTIONS.from(Number(q / g)));
        expect(now).toBe(exact);
        expect(FRACTIONS.size(now)).toBeCloseTo(Number(p) / Number(q), 9);
      }),
    );
  });
  it('has no division by nothing, and without fractions no remainder and nothing below zero', () => {
    expect(FRACTIONS.step['÷'](FRACTIONS.from(3), FRACTIONS.from(0))).toBeNaN();
    const third = FRACTIONS.step['÷'](FRACTIONS.from(8), FRACTIONS.from(3));
    const rest = FRACTIONS.step['−'](FRACTIONS.from(3), third);
    expect(FRACTIONS.step['÷'](FRACTIONS.from(8), rest)).toBe(FRACTIONS.from(24));
    expect(FRACTIONS.step['−'](FRACTIONS.from(2), FRACTIONS.from(2))).toBe(FRACTIONS.from(0));
    for (const [sign, a, b] of [
      ['÷', 7, 2],
      ['÷', 7, 0],
      ['−', 2, 3],
    ] as const)
      expect(WHOLE.step[sign](a, b)).toBeNaN();
  });
});
