import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reordered } from './Ordered';

describe('a new order', () => {
  it('takes what was moved to the side of the other one where it was dropped', () => {
    expect(reordered(['a', 'b', 'c'], new Set(['c']), 'a', 'before')).toEqual(['c', 'a', 'b']);
    expect(reordered(['a', 'b', 'c'], new Set(['a']), 'c', 'after')).toEqual(['b', 'c', 'a']);
    expect(reordered(['a', 'b', 'c', 'd'], new Set(['d', 'a']), 'b', 'after')).toEqual(['b', 'a', 'd', 'c']);
  });
  it('loses and doubles nothing, and leaves the others in their order', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer(), { minLength: 2, maxLength: 9 }),
        fc.integer({ min: 0, max: 511 }),
        fc.boolean(),
        (all, mask, before) => {
          const moved = new Set(all.filter((_, i) => mask & (1 << i)));
          const rest = all.filter((one) => !moved.has(one));
          fc.pre(rest.length > 0);
          const next = reordered(all, moved, rest[mask % rest.length]!, before ? 'before' : 'after');
          expect([...next].sort()).toEqual([...all].sort());
          expect(next.filter((one) => !moved.has(one))).toEqual(rest);
        },
      ),
    );
  });
});
