import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded, type Random } from '~/core/chance/random';
import type { AgeBand } from '~/core/games/kit/types';
import { LEVELS } from '~/core/pack/questions';
import { chanceOf, level, posterior, rangeOf, type LevelAsked, type Said } from './level';

const BANDS = ['preK', 'K', 'g1', 'g2', 'g3'] as const satisfies readonly AgeBand[];
const saids = Object.keys(LEVELS) as Said[];
const answers = fc.array(
  fc.record({
    demand: fc.double({ min: -2, max: 6, noNaN: true }),
    said: fc.constantFrom(...saids),
    weeksAgo: fc.double({ min: 0, max: 100, noNaN: true }),
  }),
  { maxLength: 12 },
);
const asked = fc.record({ band: fc.constantFrom(...BANDS), answers });

/** A normal variable, by twelve uniform ones. */
const normal = (random: Random): number =>
  Array.from({ length: 12 }, () => random.whole(0, 999_999) / 1_000_000).reduce((a, b) => a + b, 0) - 6;
/** What a child at a level says of a variant. */
function says(random: Random, at: number, demand: number): Said {
  const drawn = random.whole(0, 999_999) / 1_000_000;
  const easy = chanceOf('tooEasy', at, demand);
  return drawn < easy
    ? 'tooEasy'
    : drawn < easy + chanceOf('justRight', at, demand)
      ? 'justRight'
      : 'tooHard';
}

describe('what a child may say', () => {
  it('sums to one, and is just right most often where level and demand meet', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 7, noNaN: true }),
        fc.double({ min: -100, max: 100, noNaN: true }),
        (at, demand) => {
          const chances = saids.map((said) => chanceOf(said, at, demand));
          expect(chances.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
          for (const one of chances) expect(one).toBeGreaterThanOrEqual(0);
          expect(chanceOf('justRight', at, at)).toBeGreaterThanOrEqual(
            chanceOf('justRight', at, demand) - 1e-12,
          );
        },
      ),
    );
    expect(chanceOf('justRight', 2, 2)).toBeCloseTo(1 - 2 / (1 + Math.exp(2)), 12);
  });
});

describe('where a child is', () => {
  it('is where the grade says until somebody has answered', () => {
    for (const [i, band] of BANDS.entries()) {
      const { mean, sd } = level({ band, answers: [] });
      // The grid ends at −3 and 7: three sds below pre-K, and above grade 3.
      expect(mean).toBeCloseTo(i, 1);
      expect(sd).toBeCloseTo(1, 1);
    }
  });

  it('agrees with a grid ten times as fine', () => {
    fc.assert(
      fc.property(asked, (one) => {
        const fine = posterior(one, 0.002);
        const mean = fine.reduce((sum, point) => sum + point.level * point.weight, 0);
        const sd = Math.sqrt(fine.reduce((sum, point) => sum + (point.level - mean) ** 2 * point.weight, 0));
        const found = level(one);
        expect(Math.abs(found.mean - mean)).toBeLessThan(2e-3);
        expect(Math.abs(found.sd - sd)).toBeLessThan(2e-3);
      }),
      { numRuns: 60 },
    );
  });

  it('moves up with “too easy” and down with “too hard”, less the longer ago it was', () => {
    fc.assert(
      fc.property(asked, fc.double({ min: 0, max: 4, noNaN: true }), (one, demand) => {
        const before = level(one).mean;
        const after = (said: Said, weeksAgo = 0): number =>
          level({ ...one, answers: [...one.answers, { demand, said, weeksAgo }] }).mean;
        expect(after('tooEasy')).toBeGreaterThan(before);
        expect(after('tooHard')).toBeLessThan(before);
        expect(after('tooEasy', 52)).toBeLessThanOrEqual(after('tooEasy') + 1e-9);
        expect(after('tooEasy', 4000)).toBeCloseTo(before, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('counts two answers of half a year ago as one of today', () => {
    const answer = { demand: 2, said: 'tooHard' as const };
    const today = level({ band: 'g1', answers: [answer] });
    const twice = level({
      band: 'g1',
      answers: [
        { ...answer, weeksAgo: 26 },
        { ...answer, weeksAgo: 26 },
      ],
    });
    expect(twice.mean).toBeCloseTo(today.mean, 12);
  });

  it('holds the true level in its 90 % range 87 to 93 times in 100, over 2,000 simulated families', () => {
    const random = seeded(2_000);
    let held = 0;
    for (let i = 0; i < 2000; i++) {
      const band = BANDS[random.whole(1, 3)]!;
      const truth = BANDS.indexOf(band) + normal(random);
      const said = Array.from({ length: random.whole(1, 8) }, () => {
        const demand = BANDS.indexOf(band) + random.whole(-20, 20) / 10;
        return { demand, said: says(random, truth, demand) };
      });
      const { from, to } = rangeOf(posterior({ band, answers: said }), 0.9);
      if (from <= truth && truth <= to) held++;
    }
    expect(held / 2000).toBeGreaterThan(0.87);
    expect(held / 2000).toBeLessThan(0.93);
  });

  it('advises better than the grade alone, in simulation', () => {
    const random = seeded(77);
    const candidates = Array.from({ length: 9 }, (_, i) => ({ id: `v${i}`, demand: i / 2 }));
    let [advised, byGrade] = [0, 0];
    for (let i = 0; i < 400; i++) {
      const band = BANDS[random.whole(0, 4)]!;
      const truth = BANDS.indexOf(band) + normal(random);
      const said = Array.from({ length: 6 }, () => {
        const demand = candidates[random.whole(0, 8)]!.demand;
        return { demand, said: says(random, truth, demand) };
      });
      const best = (list: LevelAsked['answers']): number => {
        const [first] = level({ band, answers: list, candidates }).candidates;
        return chanceOf('justRight', truth, candidates.find(({ id }) => id === first!.id)!.demand);
      };
      advised += best(said);
      byGrade += best([]);
    }
    // Six answers make it about 10 in 100 likelier that the next bag is just right.
    expect((advised - byGrade) / 400).toBeGreaterThan(0.05);
  });

  it('names candidates with the likeliest first', () => {
    const { candidates } = level({
      band: 'g1',
      answers: [],
      candidates: [
        { id: 'far', demand: 6 },
        { id: 'near', demand: 2 },
        { id: 'middle', demand: 3 },
      ],
    });
    expect(candidates.map(({ id }) => id)).toEqual(['near', 'middle', 'far']);
    expect(candidates[0]!.justRight).toBeGreaterThan(candidates[1]!.justRight);
  });

  it('goes as far as the grid does for demands beyond all measure, whatever is said of them', () => {
    for (const demand of [-100, -30, 30, 100])
      for (const said of saids) {
        const { mean, sd } = level({ band: 'g1', answers: [{ demand, said }] });
        const pulled = said === 'justRight' || (said === 'tooEasy') === demand > 0;
        // Far away the likelihood falls by 2 for each year, which moves a normal of sd 1 by 2.
        expect(mean, `${said} ${demand}`).toBeCloseTo(pulled ? 2 + 2 * Math.sign(demand) : 2, 1);
        expect(sd).toBeGreaterThan(0.5);
      }
  });
});
