import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { ALL, firstCome, gainsOf, meantBy, withPin, withVeto, withoutPin, withoutVeto } from './choices';
import { round, scoreOf, USUAL_WEIGHTS, wallWords, type RoundAsked } from './round';

const random = seeded(99);
const any = <T>(list: readonly T[]): T => list[random.whole(0, list.length - 1)]!;
const asked = (): RoundAsked => {
  const kits = ['a', 'b', 'c'].map((id) => ({
    id,
    level: random.whole(0, 4),
    underThree: random.chance(0.6),
    allergens: random.chance(0.2) ? ['latex'] : [],
    languages: random.chance(0.5) ? ['en', 'es'] : ['en'],
  }));
  return {
    kits,
    copies: Array.from({ length: random.whole(1, 6) }, (_, i) => ({ id: `c${i}`, kit: any(kits).id })),
    families: Array.from({ length: random.whole(1, 8) }, (_, i) => ({
      id: `f${i}`,
      language: any(['en', 'es']),
      level: random.whole(0, 4),
      underThree: random.chance(0.2),
      allergens: random.chance(0.2) ? ['latex'] : [],
      had: random.chance(0.3) ? [any(kits).id] : [],
      weeksSince: random.chance(0.3) ? null : random.whole(0, 30),
      wishes: random.chance(0.3) ? [any(kits).id] : [],
    })),
  };
};

describe('handing out in the order of the list', () => {
  it('goes through no wall, and never serves more than the hand-out that is solved', async () => {
    for (let i = 0; i < 150; i++) {
      const one = asked();
      const [first, best] = [firstCome(one), await round(one)];
      expect(best.served).toBeGreaterThanOrEqual(first.served);
      expect(new Set(first.matches.map(({ copy }) => copy)).size).toBe(first.served);
      for (const { family, copy } of first.matches)
        expect(wallWords(one, one.copies.find(({ id }) => id === copy)!.kit, family)).toBeUndefined();
      const { gains, loses } = gainsOf(first.matches, best.matches);
      expect(gains.length - loses.length).toBe(best.served - first.served);
    }
  });
});

describe('what counts how much', () => {
  it('is as it always was where nobody turns it', () => {
    for (let i = 0; i < 50; i++) {
      const { kits, families } = asked();
      for (const kit of kits)
        for (const family of families)
          expect(scoreOf(kit, family)).toBe(
            2 * Math.min(family.weeksSince ?? 26, 26) +
              (family.wishes.includes(kit.id) ? 10 : 0) +
              Math.max(0, 10 - Math.round(5 * Math.abs(kit.level - family.level))),
          );
    }
  });
  it('never serves fewer, however it is turned, and scores best by its own weights', async () => {
    for (let i = 0; i < 60; i++) {
      const one = asked();
      const weights = {
        wait: random.whole(0, 5),
        wish: random.whole(0, 30),
        fit: random.whole(0, 30),
        languages: random.chance(0.5),
      };
      const [usual, turned] = [await round(one), await round({ ...one, weights })];
      expect(turned.served).toBe(usual.served);
      if (weights.languages) expect(turned.fairness).toBe(usual.fairness);
      const kitOf = (copy: string) =>
        one.kits.find(({ id }) => id === one.copies.find((c) => c.id === copy)!.kit)!;
      const byTurned = usual.matches.reduce(
        (sum, { family, copy }) =>
          sum +
          scoreOf(
            kitOf(copy),
            one.families.find(({ id }) => id === family)!,
            weights,
          ),
        0,
      );
      expect(turned.score).toBeGreaterThanOrEqual(byTurned);
    }
    expect(USUAL_WEIGHTS).toEqual({ wait: 2, wish: 10, fit: 10, languages: true });
  });
});

describe('whom a hand-out is for', () => {
  it('is said where it is not for all', () => {
    expect(meantBy(ALL)).toBe('');
    expect(meantBy(ALL, 'Game night')).toBe('who came to Game night');
    expect(meantBy({ groups: ['Room 1', 'Room 2'], bands: ['K', 'g1'] }, 'Game night')).toBe(
      'who came to Game night, in Room 1 and Room 2, with a child in kindergarten or grade 1',
    );
  });
});

describe('what is held fast', () => {
  const kitOf = (copy: string): string => (copy === 'c1' ? 'a' : 'b');
  it('gives way to what is held fast later', () => {
    const pinned = withPin(withPin(ALL, 'f1', 'c1', 'a'), 'f2', 'c1', 'a');
    expect(pinned.pins).toEqual([{ family: 'f2', copy: 'c1' }]);
    expect(withoutPin(pinned, 'f2').pins).toEqual([]);
    const ruledOut = withVeto(pinned, 'f2', 'a', kitOf);
    expect(ruledOut).toMatchObject({ pins: [], vetoes: [{ family: 'f2', kit: 'a' }] });
    expect(withPin(ruledOut, 'f2', 'c1', 'a').vetoes).toEqual([]);
    expect(withoutVeto(ruledOut, 'f2', 'a').vetoes).toEqual([]);
    expect(withVeto(withPin(ALL, 'f1', 'c2', 'b'), 'f1', 'a', kitOf).pins).toHaveLength(1);
  });
});
