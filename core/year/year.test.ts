import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { LEVEL_OF } from '~/core/lending/children';
import { chanceOf } from '~/core/listening/level';
import { compared, estimate, FIGURES } from './compare';
import { drawFamilies, finds, grown, MIX } from './families';
import { chart } from './chart';
import { schoolYear, YEAR, type YearFigures, type YearKit } from './ways';

const KITS: YearKit[] = (['preK', 'K', 'K', 'g1', 'g1', 'g2'] as const).map((band, i) => ({
  id: `kit ${i}`,
  band,
  demand: LEVEL_OF[band] + [0.2, -0.4, 0.5, -0.2, 0.3, 0][i]!,
  copies: 5,
  smallParts: i % 3 === 1,
  languages: i === 4 ? ['en', 'es'] : ['en', 'es', 'ar', 'pt'],
}));

describe('families of a simulated year', () => {
  it('are as many of each language as in the demo, and the same for the same seed', () => {
    const all = drawFamilies(seeded(3));
    for (const { language, families } of MIX)
      expect(all.filter((one) => one.language === language)).toHaveLength(families);
    expect(drawFamilies(seeded(3))).toEqual(all);
    expect(drawFamilies(seeded(4))).not.toEqual(all);
    for (const { eager, answers, late, loses } of all)
      for (const chance of [eager, answers, late, loses]) {
        expect(chance).toBeGreaterThanOrEqual(0);
        expect(chance).toBeLessThanOrEqual(1);
      }
  });

  it('find a game as likely just right as the scale has it, and grow', () => {
    const random = seeded(9);
    for (const [level, demand] of [
      [1, 1],
      [1, 2.5],
      [3, 1.5],
    ] as const) {
      const n = 6000;
      const right = Array.from({ length: n }, () => finds(level, demand, random)).filter(
        (said) => said === 'justRight',
      ).length;
      expect(right / n).toBeCloseTo(chanceOf('justRight', level, demand), 1);
    }
    expect(grown(1, 40)).toBe(2);
    expect(grown(1, 0)).toBe(1);
  });
});

describe('a simulated year', () => {
  it('is the same for the same seed, and its figures are within what they can be', async () => {
    for (const way of ['firstCome', 'rounds'] as const) {
      const one = await schoolYear(way, KITS, 5);
      expect(await schoolYear(way, KITS, 5)).toEqual(one);
      for (const share of [one.justRight, one.evenness, one.few, one.lost, one.inVain]) {
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(100);
      }
      // No family can have a kit twice, and no copy can be out twice at a time.
      expect(one.bags).toBeLessThanOrEqual(KITS.length);
      expect(one.bags).toBeLessThanOrEqual((30 * YEAR.weeks) / 2 / 48);
      expect(one.hours).toBeGreaterThan(0);
    }
  });

  it('has nothing to tell where there are no bags', async () => {
    expect(await schoolYear('rounds', [], 1)).toMatchObject({ bags: 0, justRight: 0, few: 100, lost: 0 });
    expect(await schoolYear('firstCome', [], 1)).toMatchObject({ bags: 0, few: 100 });
  });
});

describe('two ways compared', () => {
  const year = (change: Partial<YearFigures>): YearFigures => ({
    justRight: 60,
    bags: 4,
    evenness: 70,
    inVain: 1,
    few: 20,
    lost: 10,
    hours: 50,
    ...change,
  });

  it('have intervals by Student’s t', () => {
    // Worked by hand: mean 3, sd √2.5, t(0.975; 4) = 2.7764.
    const { mean, low, high } = estimate([1, 2, 3, 4, 5]);
    expect(mean).toBe(3);
    expect(high - mean).toBeCloseTo(2.7764 * Math.sqrt(2.5 / 5), 3);
    expect(mean - low).toBeCloseTo(high - mean, 12);
    expect(() => estimate([1])).toThrow(RangeError);
  });

  it('are told apart only where the years show it, and by which of them is better', () => {
    const first = [
      year({ inVain: 2, justRight: 50 }),
      year({ inVain: 3, justRight: 52 }),
      year({ inVain: 2, justRight: 49 }),
    ];
    const rounds = [
      year({ inVain: 1, justRight: 61 }),
      year({ inVain: 2.1, justRight: 62 }),
      year({ inVain: 1.1, justRight: 61 }),
    ];
    const found = compared({ firstCome: first, rounds });
    const of = (figure: keyof YearFigures) => found.find((one) => one.figure === figure)!;
    expect(found.map(({ figure }) => figure)).toEqual(Object.keys(FIGURES));
    expect(of('justRight').best).toBe('rounds');
    expect(of('inVain').best).toBe('rounds');
    expect(of('inVain').sentence).toMatch(/less with hand-outs .*better/);
    expect(of('lost').best).toBeUndefined();
    expect(of('lost').sentence).toMatch(/show no difference/);
    const worse = compared({ firstCome: rounds, rounds: first });
    expect(worse.find(({ figure }) => figure === 'inVain')!.best).toBe('firstCome');
  });

  it('are drawn with every figure, its unit and both values, readable without colour', () => {
    const years = [year({}), year({ inVain: 2 }), year({ bags: 5 })];
    const svg = chart(compared({ firstCome: years, rounds: [year({ inVain: 0 }), year({}), year({})] }), 3);
    for (const { label, unit } of Object.values(FIGURES)) {
      expect(svg).toContain(label);
      expect(svg).toContain(unit);
    }
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
    // No attribute stands twice in one tag.
    for (const [tag] of svg.matchAll(/<[^>]+>/g)) {
      const names = [...tag.matchAll(/ ([a-z-]+)=/g)].map(([, name]) => name);
      expect([tag, new Set(names).size]).toEqual([tag, names.length]);
    }
    expect(svg.match(/<circle/g)!.length).toBeGreaterThanOrEqual(Object.keys(FIGURES).length);
    expect(svg.match(/<rect/g)!.length).toBeGreaterThanOrEqual(Object.keys(FIGURES).length);
  });
});
