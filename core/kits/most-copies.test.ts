import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mostCopies } from './most-copies';

const kit = fc.record({
  parts: fc.record({ a: fc.nat(4), b: fc.nat(4), c: fc.nat(4) }),
  worth: fc.integer({ min: 0, max: 5 }),
});
const offer = fc.record({ size: fc.integer({ min: 1, max: 6 }), priceCents: fc.integer({ min: 1, max: 9 }) });

describe('what can be built', () => {
  it('is never beaten by trying every number of copies and of packs', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(kit, { minLength: 1, maxLength: 3 }),
        fc.record({ a: fc.nat(9), b: fc.nat(9), c: fc.nat(9) }),
        offer,
        offer,
        fc.nat(20),
        fc.integer({ min: 0, max: 4 }),
        async (list, onHand, ofA, ofB, budgetCents, most) => {
          const kits = list.map((one, i) => ({ id: `k${i}`, ...one }));
          const atMost = Object.fromEntries(kits.map(({ id }) => [id, most]));
          const found = await mostCopies({
            kits,
            onHand,
            offers: { a: [{ id: 'x', ...ofA }], b: [{ id: 'y', ...ofB }] },
            budgetCents,
            atMost,
          });
          let best = { worth: -1, cost: Infinity };
          const copies = (i: number, chosen: number[]): void => {
            if (i < kits.length) {
              for (let n = 0; n <= most; n++) copies(i + 1, [...chosen, n]);
              return;
            }
            const need = (material: 'a' | 'b' | 'c'): number =>
              kits.reduce((total, one, k) => total + one.parts[material] * chosen[k]!, 0);
            if (need('c') > onHand.c) return;
            const packs = (material: 'a' | 'b', { size }: { size: number }): number =>
              Math.max(0, Math.ceil((need(material) - onHand[material]) / size));
            const cost = packs('a', ofA) * ofA.priceCents + packs('b', ofB) * ofB.priceCents;
            if (cost > budgetCents) return;
            const worth = kits.reduce((total, one, k) => total + one.worth * chosen[k]!, 0);
            if (worth > best.worth || (worth === best.worth && cost < best.cost)) best = { worth, cost };
          };
          copies(0, []);
          expect({ worth: found.worth, cost: found.costCents }).toEqual(best);
          for (const { id } of kits) expect(found.copies[id]).toBeLessThanOrEqual(most);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('finds the cheapest of the best also where a copy is worth a fraction', async () => {
    const kits = [
      { id: 'a', parts: { x: 2 }, worth: 1 / 3 },
      { id: 'b', parts: { x: 3 }, worth: 0.5 },
    ];
    const found = await mostCopies({
      kits,
      onHand: { x: 5 },
      offers: { x: [{ id: 'p', size: 1, priceCents: 10 }] },
      budgetCents: 15,
    });
    // Six pieces are worth 1 in any way; five of them are there.
    expect(found.worth).toBeCloseTo(1, 9);
    expect(found.costCents).toBe(10);
  });

  it('keeps every hundredth of a worth, however far apart worths are', async () => {
    const found = await mostCopies({
      kits: [
        { id: 'large', parts: { x: 1 }, worth: 1_000_000 },
        { id: 'small', parts: { y: 2 }, worth: 7.25 },
        { id: 'other', parts: { y: 1 }, worth: 1 },
      ],
      onHand: { x: 10, y: 2 },
      offers: { y: [{ id: 'p', size: 1, priceCents: 30 }] },
      budgetCents: 30,
    });
    expect(found).toEqual({
      copies: { large: 10, small: 1, other: 1 },
      worth: 10_000_008.25,
      costCents: 30,
    });
    // The same worth from less money.
    const cheap = await mostCopies({
      kits: [
        { id: 'a', parts: { x: 1, z: 1 }, worth: 999_999.999999 },
        { id: 'b', parts: { y: 1, z: 1 }, worth: 999_999.999999 },
      ],
      onHand: { x: 0, y: 0, z: 3 },
      offers: {
        x: [{ id: 'x', size: 1, priceCents: 7 }],
        y: [{ id: 'y', size: 1, priceCents: 5 }],
      },
      budgetCents: 100,
    });
    expect(cheap).toMatchObject({ copies: { a: 0, b: 3 }, costCents: 15 });
  });

  it('does not go on without end', async () => {
    await expect(mostCopies({ kits: [{ id: 'air', parts: {}, worth: 1 }], onHand: {} })).rejects.toThrow(
      /Nothing limits how many copies of air/,
    );
    expect(await mostCopies({ kits: [], onHand: { a: 4 } })).toEqual({ copies: {}, worth: 0, costCents: 0 });
  });

  it('takes no more than there is and can be bought, for a store of many kits', async () => {
    const materials = Array.from({ length: 24 }, (_, i) => `m${i}`);
    const kits = Array.from({ length: 12 }, (_, k) => ({
      id: `k${k}`,
      worth: 1,
      parts: Object.fromEntries(
        materials.filter((_, i) => (i * 7 + k * 3) % 5 < 2).map((one, i) => [one, 1 + ((i + k) % 9)]),
      ),
    }));
    const onHand = Object.fromEntries(materials.map((one, i) => [one, 30 + ((i * 37) % 200)]));
    const found = await mostCopies({ kits, onHand });
    expect(found.worth).toBeGreaterThan(10);
    for (const material of materials) {
      const used = kits.reduce(
        (total, { id, parts }) => total + (parts[material] ?? 0) * found.copies[id]!,
        0,
      );
      expect(used).toBeLessThanOrEqual(onHand[material]!);
    }
  });
});
