import { describe, expect, it } from 'vitest';
import { BIG, shares } from './big';

describe('a large district', () => {
  it('shares out everything there is, ten times as much to the first school as to each other one', () => {
    for (const all of [BIG.families, BIG.copies, BIG.loans, BIG.answers]) {
      const each = shares(all, BIG.schools);
      expect(each.reduce((total, one) => total + one, 0)).toBe(all);
      expect(each[0]! / each[1]!).toBeGreaterThan(9.9);
    }
    expect(shares(7, 1)).toEqual([7]);
  });
});
