import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkForm } from '~/core/check/check';
import { has, moveSchema, MOVES, shortFor, storable, WRITTEN } from './store';

const parts = fc.array(
  fc.record({
    material: fc.constantFrom('two-colour-counter', 'cup', 'pencil', 'card-deck'),
    quantity: fc.integer({ min: 0, max: 30 }),
  }),
  { maxLength: 4 },
);
const onHand = fc.dictionary(
  fc.constantFrom('two-colour-counter', 'cup', 'pencil', 'card-deck'),
  fc.option(fc.integer({ min: 0, max: 200 }), { nil: null }),
);

describe('what a store has', () => {
  it('is enough where nobody has counted yet, and nothing where it is not named', () => {
    expect(has({ cup: null }, 'cup', 1_000)).toBe(true);
    expect(has({ cup: 4 }, 'cup', 4)).toBe(true);
    expect(has({ cup: 4 }, 'cup', 5)).toBe(false);
    expect(has({}, 'cup', 1)).toBe(false);
    expect(has({}, 'cup', 0)).toBe(true);
    expect(has({}, 'constructor', 1)).toBe(false);
  });

  it('is short by what is missing for so many copies, and only of that', () => {
    fc.assert(
      fc.property(parts, onHand, fc.integer({ min: 0, max: 9 }), (list, store, copies) => {
        const short = shortFor(list, copies, store);
        for (const one of short) {
          expect(one.short).toBeGreaterThan(0);
          expect(one.onHand + one.short).toBe(one.need);
          expect(has(store, one.material, one.need)).toBe(false);
        }
        for (const { material, quantity } of list)
          expect(short.some((one) => one.material === material && one.need === quantity * copies)).toBe(
            !has(store, material, quantity * copies),
          );
      }),
    );
    // Paper is printed, and what families find at home is not bought.
    expect(shortFor([{ material: 'instruction-sheet', quantity: 2 }], 5, {})).toEqual([]);
    expect(storable().map(({ id }) => id)).not.toContain('instruction-sheet');
  });

  it('is moved by hand in ways that add or take away, with so many pieces', () => {
    for (const kind of Object.keys(WRITTEN)) expect(Object.hasOwn(MOVES, kind)).toBe(true);
    expect(checkForm(moveSchema, { kind: 'lost', quantity: '3' })).toEqual({
      ok: true,
      value: { kind: 'lost', quantity: 3, note: '' },
    });
    for (const wrong of [
      { kind: 'undone', quantity: '3' },
      { kind: 'bought', quantity: '0' },
      { kind: 'bought', quantity: '1e9' },
      { kind: 'bought', quantity: '' },
      { kind: 'bought', quantity: '100001' },
    ])
      expect(checkForm(moveSchema, wrong).ok, JSON.stringify(wrong)).toBe(false);
  });
});
