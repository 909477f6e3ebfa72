import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canMake, shareOut } from './can';

const kits = [
  {
    id: 'a',
    copies: 4,
    parts: [
      { material: 'cube', quantity: 20 },
      { material: 'board', quantity: 2 },
    ],
  },
  {
    id: 'b',
    copies: 3,
    parts: [
      { material: 'cube', quantity: 10 },
      { material: 'die', quantity: 2 },
    ],
  },
];
const offers = [
  { id: 'bag', material: 'cube', name: 'bag of 50', size: 50, priceCents: 900 },
  { id: 'box', material: 'cube', name: 'box of 100', size: 100, priceCents: 1500 },
];

describe('what can be made', () => {
  it('adds up what all copies take of the store, and leaves paper out', async () => {
    const { needs } = await canMake({ kits, free: { cube: 200, die: null }, offers, budgetCents: 0 });
    expect(needs).toEqual([
      { material: 'cube', need: 110, free: 200, short: 0 },
      { material: 'die', need: 6, free: null, short: 0 },
    ]);
  });

  it('says what to buy, what can be made now and what the budget allows', async () => {
    const can = await canMake({ kits, free: { cube: 50, die: 6 }, offers, budgetCents: 900 });
    expect(can.needs[0]).toEqual({
      material: 'cube',
      need: 110,
      free: 50,
      short: 60,
      packs: ['1 × box of 100'],
      costCents: 1500,
    });
    expect(can.costCents).toBe(1500);
    expect(can.now).toEqual({ a: 1, b: 3 });
    expect(can.withBudget).toEqual({ copies: { a: 3, b: 3 }, costCents: 900 });
  });

  it('takes what the store does not keep for short, and knows no price where nothing is sold', async () => {
    const can = await canMake({ kits, free: { cube: 110 }, offers, budgetCents: 5000 });
    expect(can.needs[0]).toEqual({ material: 'die', need: 6, free: 0, short: 6 });
    expect(can.costCents).toBeUndefined();
    expect(can.now).toEqual({ a: 4, b: 0 });
  });
});

describe('shares', () => {
  it('are whole, add up to the total, and differ from proportion by less than one', () => {
    fc.assert(
      fc.property(fc.nat(60), fc.array(fc.nat(50), { minLength: 1, maxLength: 6 }), (total, weights) => {
        const shares = shareOut(total, weights);
        const all = weights.reduce((a, b) => a + b, 0);
        expect(shares.reduce((a, b) => a + b, 0)).toBe(total);
        shares.forEach((share, i) =>
          expect(Math.abs(share - (all ? (total * weights[i]!) / all : total / weights.length))).toBeLessThan(
            1,
          ),
        );
      }),
    );
  });
});
