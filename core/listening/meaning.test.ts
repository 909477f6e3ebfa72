import { describe, expect, it } from 'vitest';
import { seeded, type Random } from '~/core/chance/random';
import { settle } from '~/core/games/kit/game';
import { gameOf } from '~/core/games/shelf';
import { LEVEL_OF } from '~/core/lending/children';
import { byTenths, isOff } from './calibration';
import { correction, correctionSentence } from './correction';
import { chanceOf, type Said } from './level';
import { bandOf, meaning, movedBy, whoKey, whoOf, type Voice } from './meaning';
import { advise, mendedFor, standing, whyAdvised } from './next';

const BANDS = ['preK', 'K', 'g1', 'g2', 'g3'] as const;
const draw = (random: Random): number => random.whole(0, 999_999) / 1_000_000;
const normal = (random: Random): number =>
  Array.from({ length: 12 }, () => draw(random)).reduce((a, b) => a + b, 0) - 6;
function says(random: Random, level: number, demand: number): Said {
  const drawn = draw(random);
  const easy = chanceOf('tooEasy', level, demand);
  if (drawn < easy) return 'tooEasy';
  return drawn < easy + chanceOf('justRight', level, demand) ? 'justRight' : 'tooHard';
}

/** Children with hidden levels who answer about variants that ask something else than was reckoned. */
function school(seed: number, children: number, off: Record<string, number>) {
  const random = seeded(seed);
  const demands: Record<string, number> = { a: 1, b: 1.5, c: 2, d: 2.5, e: 3 };
  const voices: Voice[] = [];
  for (let i = 0; i < children; i++) {
    const band = BANDS[random.whole(1, 3)]!;
    const level = LEVEL_OF[band] + normal(random);
    for (const [variant, demand] of Object.entries(demands))
      if (random.chance(0.7))
        voices.push({
          who: `child ${i}`,
          band,
          variant,
          said: says(random, level, demand + (off[variant] ?? 0)),
          weeksAgo: random.whole(0, 20),
        });
  }
  return { demands, voices };
}

describe('how hard a variant is found', () => {
  it('moves towards what families find, and stays where they find nothing else', () => {
    const { demands, voices } = school(5, 60, { c: 1 });
    const { corrections } = meaning(voices, demands);
    expect(corrections.c!.shift).toBeGreaterThan(0.5);
    expect(corrections.c!.answers).toBe(voices.filter(({ variant }) => variant === 'c').length);
    expect(Math.abs(corrections.a!.shift)).toBeLessThan(0.4);
    expect(movedBy(demands, corrections).c).toBeCloseTo(2 + corrections.c!.shift, 12);
  });

  it('holds the truth in two standard deviations nine times in ten, and comes nearer than the reckoning', () => {
    const random = seeded(11);
    let [held, nearer] = [0, 0];
    const runs = 60;
    for (let i = 0; i < runs; i++) {
      // As the prior says: a half school year is a usual error of a reckoning.
      const truth = 0.5 * normal(random);
      const { demands, voices } = school(100 + i, 30, { c: truth });
      const { shift, sd } = meaning(voices, demands).corrections.c!;
      if (Math.abs(shift - truth) < 2 * sd) held++;
      if (Math.abs(shift - truth) < Math.abs(truth)) nearer++;
    }
    expect(held / runs).toBeGreaterThan(0.85);
    expect(nearer / runs).toBeGreaterThan(0.6);
  });

  it('rests on one word of each child, and says on how many', () => {
    const one: Voice = { who: 'x', band: 'g1', variant: 'a', said: 'tooHard', weeksAgo: 3 };
    const { corrections } = meaning([one, { ...one, weeksAgo: 1, said: 'justRight' }], { a: 2 });
    expect(corrections.a!.answers).toBe(1);
    expect(correction(2, []).shift).toBe(0);
    expect(correctionSentence(correction(2, []))).toMatch(/^No answers yet/);
    const hard = correction(
      1,
      Array.from({ length: 12 }, () => ({
        said: 'tooHard' as const,
        of: { band: 'g1' as const, answers: [] },
      })),
    );
    expect(correctionSentence(hard)).toMatch(
      /^Families find it harder than reckoned, by \d\.\d of a school year .* 12 answers\)\.$/,
    );
  });
});

describe('a forecast', () => {
  it('comes true as often as it says, over simulated families', () => {
    const { demands, voices } = school(21, 900, {});
    const { tenths } = meaning(voices, demands);
    expect(tenths.reduce((sum, { answers }) => sum + answers, 0)).toBe(voices.length);
    // Of ten intervals at 95 in 100 one may be left.
    expect(tenths.filter((one) => one.answers > 30 && isOff(one, 1)).length).toBeLessThanOrEqual(1);
    for (const { said, from, to, low, share, high } of tenths) {
      expect(said).toBeGreaterThanOrEqual(from - 1e-9);
      expect(said).toBeLessThanOrEqual(to + 1e-9);
      expect(low <= share && share <= high).toBe(true);
    }
  });
  it('is seen to be wrong where it is', () => {
    const wrong = Array.from({ length: 200 }, (_, i) => ({ chance: 0.65, right: i % 4 === 0 }));
    expect(byTenths(wrong)).toMatchObject([{ from: 0.6, answers: 200, share: 0.25 }]);
    expect(isOff(byTenths(wrong)[0]!, 10)).toBe(true);
    expect(byTenths([])).toEqual([]);
  });
});

describe('of whom an answer speaks', () => {
  const children = 'Juno, kindergarten\nTavi, grade 2';
  it('is the child of the nickname, whatever its case and accents, or the family', () => {
    expect(whoOf('f', children, 'JUNÓ')).toEqual({ familyId: 'f', child: 'Juno', band: 'K' });
    expect(whoOf('f', children, '')).toEqual({ familyId: 'f', child: '', band: 'g1' });
    expect(whoOf('f', 'Pip, grade 1', '')).toEqual({ familyId: 'f', child: 'Pip', band: 'g1' });
    expect(whoOf('f', '', 'Lark')).toEqual({ familyId: 'f', child: 'Lark', band: 'g1' });
    expect(whoKey({ familyId: 'f', child: 'Juno' })).toBe(whoKey({ familyId: 'f', child: 'juno' }));
  });
  it('stands in the middle of its children where nobody is named', () => {
    expect(bandOf([])).toBe('g1');
    expect(
      bandOf([
        { name: 'a', band: 'preK' },
        { name: 'b', band: 'g3' },
      ]),
    ).toBe('g1');
  });
});

describe('the bag after this one', () => {
  const hard = {
    band: 'g1' as const,
    answers: [1, 2, 3].map(() => ({ demand: 2, said: 'tooHard' as const })),
  };
  it('is the likeliest to be just right, and says why', () => {
    const advised = advise(hard, [
      { id: 'hard', demand: 4 },
      { id: 'right', demand: 0.7 },
      { id: 'same', demand: 2 },
      { id: 'easy', demand: -0.5 },
    ]);
    expect(advised.map(({ id }) => id)).toEqual(['right', 'easy', 'same']);
    expect(whyAdvised(advised[0]!.justRight, 0.7, 0.7)).toMatch(/^\d\d in 100 .* right where they are\.$/);
  });
  it('tells where they stand and what it rests on', () => {
    expect(standing({ band: 'g1', answers: [] }, 'grade 1').sentence).toMatch(/the grade stands, grade 1/);
    const now = standing(hard, 'grade 1');
    expect(now.mean).toBeLessThan(2);
    expect(now.from).toBeLessThan(now.mean);
    expect(now.to).toBeGreaterThan(now.mean);
    expect(now.sentence).toMatch(/3 too hard/);
  });
  it('turns the present game to where it is likelier to be just right', () => {
    const spill = gameOf('two-tone-spill');
    const variant = settle(spill, { ...spill.presets[0]!.params, counters: 12 });
    const easier = mendedFor(variant, 'g1', hard, 0)!;
    expect(easier.params.counters).toBeLessThan(12);
    expect(easier.justRight).toBeGreaterThan(easier.before);
    const good = { band: 'g1' as const, answers: [] };
    const kept = mendedFor(settle(spill, { ...variant.params, counters: 12 }), 'g1', good, 0);
    expect(kept === undefined || kept.justRight > kept.before).toBe(true);
  });
});
