import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { learnUnit, varianceOf, weigh, type Weighed } from './weigh';

const CUBES: Weighed = {
  unitG: 4,
  unitSdG: 0.05,
  sample: 20,
  tareG: 60,
  tareSdG: 0,
  resolutionG: 1,
  readingG: 60 + 83 * 4,
  most: 120,
};

const scale = fc.record({
  unitG: fc.double({ min: 0.2, max: 20, noNaN: true }),
  unitSdG: fc.double({ min: 0, max: 0.6, noNaN: true }),
  sample: fc.integer({ min: 1, max: 60 }),
  tareG: fc.double({ min: 0, max: 200, noNaN: true }),
  tareSdG: fc.double({ min: 0, max: 3, noNaN: true }),
  resolutionG: fc.double({ min: 0.1, max: 5, noNaN: true }),
  readingG: fc.double({ min: 0, max: 900, noNaN: true }),
  most: fc.integer({ min: 0, max: 60 }),
});

describe('counting on a scale', () => {
  it('says what Bayes says, number by number', () => {
    fc.assert(
      fc.property(scale, (one) => {
        const found = weigh(one);
        // With densities as they are, where they do not vanish altogether.
        const density = Array.from({ length: one.most + 1 }, (_, n) => {
          const variance =
            n * one.unitSdG ** 2 +
            (n * one.unitSdG) ** 2 / one.sample +
            one.tareSdG ** 2 +
            one.resolutionG ** 2 / 12;
          return (
            Math.exp(-((one.readingG - one.tareG - n * one.unitG) ** 2) / (2 * variance)) /
            Math.sqrt(variance)
          );
        });
        const all = density.reduce((a, b) => a + b, 0);
        fc.pre(all > 1e-250);
        const chance = density.map((one) => one / all);
        expect(chance[found.count]).toBeCloseTo(Math.max(...chance), 9);
        expect(found.confidence).toBeCloseTo(chance[found.count]!, 9);
        const held = chance.slice(found.from, found.to + 1).reduce((a, b) => a + b, 0);
        expect(held).toBeGreaterThanOrEqual(0.95 - 1e-9);
        expect(found.from <= found.count && found.count <= found.to).toBe(true);
        // Without its less likely end it would hold less.
        if (found.from < found.to) {
          const ends = [found.from, found.to].filter((end) => end !== found.count).map((end) => chance[end]!);
          expect(held - Math.min(...ends)).toBeLessThan(0.95 + 1e-9);
        }
      }),
    );
  });

  it('counts 83 cubes, and says up to how many it can be trusted', () => {
    expect(weigh(CUBES)).toMatchObject({ count: 83, from: 83, to: 83 });
    const { countableUpTo } = weigh(CUBES);
    // 2.5758 standard deviations are 99 in 100.
    const sd = (n: number): number => Math.sqrt(varianceOf(CUBES, n));
    expect(2 / sd(countableUpTo)).toBeGreaterThanOrEqual(2.5758);
    expect(2 / sd(countableUpTo + 1)).toBeLessThan(2.576);
    expect(weigh({ ...CUBES, unitG: 1, resolutionG: 5 }).countableUpTo).toBe(0);
  });

  it('answers also where a reading is out of all reach, or without any spread', () => {
    expect(weigh({ ...CUBES, readingG: 50_000 })).toMatchObject({ count: 120, confidence: 1 });
    const exact = { ...CUBES, unitSdG: 0, resolutionG: 0 };
    expect(weigh(exact)).toEqual({ count: 83, confidence: 1, from: 83, to: 83, countableUpTo: 120 });
    expect(weigh({ ...exact, readingG: 333 }).count).toBe(68);
  });
});

describe('learning what a piece weighs', () => {
  it('finds mean and spread of pieces whose spread is known, also when several lie on the scale', () => {
    const random = seeded(7);
    // Twelve uniform numbers add up to nearly a normal one, of variance one.
    const normal = (): number =>
      Array.from({ length: 12 }, () => random.whole(0, 1_000_000) / 1_000_000).reduce((a, b) => a + b) - 6;
    const weighings = Array.from({ length: 4000 }, (_, i) => {
      const pieces = 1 + (i % 5);
      let mass = 12;
      for (let k = 0; k < pieces; k++) mass += 4 + 0.2 * normal();
      return { pieces, readingG: Math.round(mass * 10) / 10 };
    });
    const { unitG, unitSdG, sample } = learnUnit(weighings, { tareG: 12, resolutionG: 0.1 });
    expect(sample).toBe(weighings.reduce((sum, { pieces }) => sum + pieces, 0));
    expect(unitG).toBeCloseTo(4, 2);
    expect(unitSdG).toBeGreaterThan(0.19);
    expect(unitSdG).toBeLessThan(0.21);
  });

  it('is never surer than the steps of the scale, and refuses what says nothing', () => {
    const scale = { tareG: 0, resolutionG: 1 };
    const alike = learnUnit(
      [
        { pieces: 10, readingG: 40 },
        { pieces: 10, readingG: 40 },
      ],
      scale,
    );
    expect(alike).toMatchObject({ unitG: 4, sample: 20 });
    // The error of the unit by the model, sd² / sample, is that of two roundings over 20 pieces.
    expect(alike.unitSdG ** 2 / 20).toBeCloseTo(2 / 12 / 20 ** 2, 12);
    const { countableUpTo } = weigh({ ...CUBES, ...alike, ...scale, readingG: 40, most: 500 });
    expect(countableUpTo).toBeGreaterThan(20);
    expect(countableUpTo).toBeLessThan(100);
    expect(() => learnUnit([{ pieces: 10, readingG: 40 }], scale)).toThrow('weighings');
    expect(() =>
      learnUnit(
        Array.from({ length: 2 }, () => ({ pieces: 3, readingG: 0 })),
        scale,
      ),
    ).toThrow('weigh nothing');
  });
});
