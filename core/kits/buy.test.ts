import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buy, type Offer } from './buy';

/** Every way to buy at most so many packs of each offer, by trying all. */
function tried(short: number, offers: readonly Offer[]): [cents: number, leftover: number, packs: number] {
  let best: [number, number, number] = [Infinity, Infinity, Infinity];
  const go = (i: number, bought: number, cents: number, packs: number): void => {
    if (bought >= short) {
      const so: [number, number, number] = [cents, bought - short, packs];
      const at = so.findIndex((value, k) => value !== best[k]);
      if (at >= 0 && so[at]! < best[at]!) best = so;
      return;
    }
    if (i === offers.length) return;
    const { size, priceCents } = offers[i]!;
    for (let n = 0; n <= Math.ceil((short - bought) / size); n++)
      go(i + 1, bought + n * size, cents + n * priceCents, packs + n);
  };
  go(0, 0, 0, 0);
  return best;
}

describe('packs that cover what is short', () => {
  it('are never beaten by trying all of them', () => {
    fc.assert(
      fc.property(
        fc.nat(60),
        fc.nat(30),
        fc.array(fc.record({ size: fc.integer({ min: 1, max: 25 }), priceCents: fc.nat(40) }), {
          minLength: 1,
          maxLength: 4,
        }),
        (need, onHand, list) => {
          const offers = list.map((offer, i) => ({ id: `o${i}`, ...offer }));
          const found = buy({ need, onHand, offers });
          if (!('packs' in found)) throw new Error('sold');
          const short = Math.max(0, need - onHand);
          const of = (what: (offer: Offer) => number): number =>
            offers.reduce((total, offer) => total + (found.packs[offer.id] ?? 0) * what(offer), 0);
          expect(found.short).toBe(short);
          expect(of(({ size }) => size) - short).toBe(found.leftover);
          expect(of(({ priceCents }) => priceCents)).toBe(found.costCents);
          expect([found.costCents, found.leftover, of(() => 1)]).toEqual(tried(short, offers));
        },
      ),
      { numRuns: 400 },
    );
  });

  it('are none where nothing is short, and a sentence where nothing is sold', () => {
    expect(buy({ need: 5, onHand: 9, offers: [] })).toEqual({
      short: 0,
      packs: {},
      costCents: 0,
      leftover: 0,
    });
    expect(buy({ need: 9, onHand: 5, offers: [] })).toEqual({
      short: 4,
      why: expect.stringMatching(/^4 are missing/),
    });
  });

  it('are found for a whole district, not only for a bag', () => {
    const offers = [
      { id: 'a', size: 144, priceCents: 2399 },
      { id: 'b', size: 100, priceCents: 1700 },
      { id: 'c', size: 1, priceCents: 25 },
    ];
    const found = buy({ need: 400_000, onHand: 1, offers });
    expect('packs' in found && found.packs.a! > 2700).toBe(true);
  });
});
