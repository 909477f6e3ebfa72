import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { change, count, listed, plain, ranges, share, tenths } from './numbers';

describe('numbers as they are read', () => {
  it('have no sign where they round to nothing, and the sign of a minus where they are below', () => {
    expect([-0.04, 0.04, 0, 1.25, -0.5, -12.06].map(tenths)).toEqual([
      '0.0',
      '0.0',
      '0.0',
      '1.3',
      '−0.5',
      '−12.1',
    ]);
    expect([-0.04, 0.04, 0.5, -0.5].map(change)).toEqual(['0.0', '0.0', '+0.5', '−0.5']);
    fc.assert(
      fc.property(fc.double({ min: -1000, max: 1000, noNaN: true }), (n) => {
        expect(tenths(n)).toMatch(/^−?[\d,]+\.\d$/);
        expect(Math.abs(Number(tenths(n).replace('−', '-').replace(',', '')) - n)).toBeLessThan(0.0501);
        expect(change(n).replace(/^[+]/, '')).toBe(tenths(n));
      }),
    );
  });
  it('are chances in a hundred, or one in so many', () => {
    expect([0, 1, 0.31, 0.5, 0.05, 0.999].map(share)).toEqual([
      'never',
      'always',
      '31 in 100',
      '50 in 100',
      '1 in 20',
      'more than 99 in 100',
    ]);
  });
  it('are counted with their thing, listed, and drawn together', () => {
    expect([count(1, 'bag'), count(2, 'bag'), count(1200, 'family', 'families')]).toEqual([
      '1 bag',
      '2 bags',
      '1,200 families',
    ]);
    expect([listed([]), listed(['a']), listed(['a', 'b', 'c'])]).toEqual(['', 'a', 'a, b and c']);
    expect(ranges([3, 1, 2, 7, 7])).toBe('1–3, 7');
    expect([0.123, 3.14159, 41.7].map(plain)).toEqual(['0.12', '3.1', '42']);
  });
});
