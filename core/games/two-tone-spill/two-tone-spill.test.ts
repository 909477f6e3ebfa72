import { describe, expect, it } from 'vitest';
import { mean, quantile } from '~/core/chance/pmf';
import { seeded } from '~/core/chance/random';
import { settle } from '~/core/games/kit/game';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { assume } from '~/core/games/kit/types';
import { circles } from '~/core/paper/testing';
import { twoToneSpill, type SpillParams } from '.';
import { play } from './play';
import { ways } from './rules';

holdsTheShelfLaws(twoToneSpill, {
  gives: [['ways spillsToSeeAll.mean spillsToSeeAll.p95 distinctAfterSpills.mean rarestWay.chance']],
});

describe('the sheets of Two-Tone Spill', () => {
  it('show as many as the step says', () => {
    const variant = settle(twoToneSpill, twoToneSpill.presets[1]!.params);
    const step = variant.steps().find(({ id }) => id === 'turn.say')!;
    expect(circles(variant.picture(step)!)).toHaveLength(Number(step.args.counters));
  });
});

const base: SpillParams = { counters: 6, spills: 10, players: 2, order: 'ordered', finish: 'asTheyFall' };

const reckon = (params: SpillParams) => settle(twoToneSpill, params).reckon(assume('g1'));
const figures = (change: Partial<SpillParams> = {}) =>
  reckon({ ...base, ...change }).figures as Record<string, number>;

/** Every way the counters can lie, one by one. */
function oddsByEnumeration(counters: number, order: SpillParams['order']): number[] {
  const seen = new Map<number, number>();
  for (let lie = 0; lie < 2 ** counters; lie++) {
    const heads = lie.toString(2).replaceAll('0', '').length;
    const way = order === 'ordered' ? heads : Math.max(heads, counters - heads);
    seen.set(way, (seen.get(way) ?? 0) + 1 / 2 ** counters);
  }
  return [...seen.values()].sort((a, b) => a - b);
}

/** Mean draws until all are seen, by first-step equations over the sets seen: an independent way. */
function meanBySets(odds: number[]): number {
  const full = 2 ** odds.length - 1;
  const rest = new Array<number>(full + 1).fill(0);
  for (let set = full - 1; set >= 0; set--) {
    let stay = 0;
    let onwards = 0;
    odds.forEach((p, i) => {
      if (set & (1 << i)) stay += p;
      else onwards += p * rest[set | (1 << i)]!;
    });
    rest[set] = (1 + onwards) / (1 - stay);
  }
  return rest[0]!;
}

describe('Two-Tone Spill', () => {
  it('has 7 ordered ways for 6 counters and takes 96.73 spills on average to see them all', () => {
    expect(figures().ways).toBe(7);
    expect(figures()['spillsToSeeAll.mean']).toBeCloseTo(96.73, 2);
    expect(figures()['rarestWay.chance']).toBe(1 / 64);
  });

  it.each([3, 4, 5, 6, 7, 10, 12])('agrees with brute force for %i counters in both schools', (counters) => {
    for (const order of ['ordered', 'unordered'] as const) {
      const odds = oddsByEnumeration(counters, order);
      const own = ways({ counters, order }).map((way) => way.chance);
      expect([...own].sort((a, b) => a - b).map((p) => p.toFixed(12))).toEqual(
        odds.map((p) => p.toFixed(12)),
      );
      const got = figures({ counters, order });
      expect(got['spillsToSeeAll.mean']! / meanBySets(odds)).toBeCloseTo(1, 9);
      expect(got['distinctAfterSpills.mean']).toBeCloseTo(
        odds.reduce((total, p) => total + 1 - (1 - p) ** base.spills, 0),
        9,
      );
    }
  });

  it('reaches its 95 in 100 mark in a simulation', () => {
    const { 'spillsToSeeAll.p95': p95 } = figures({ counters: 3 });
    const random = seeded(5);
    const runs = 4000;
    let within = 0;
    for (let run = 0; run < runs; run++) {
      const seen = new Set<number>();
      for (let spill = 0; spill < p95!; spill++)
        seen.add(random.whole(0, 1) + random.whole(0, 1) + random.whole(0, 1));
      if (seen.size === 4) within++;
    }
    expect(within / runs).toBeGreaterThan(0.95 - 4 * Math.sqrt((0.95 * 0.05) / runs));
  });

  it('counts both schools: 10 is split 11 ways, or 6 when order does not count', () => {
    expect(figures({ counters: 10 }).ways).toBe(11);
    expect(figures({ counters: 10, order: 'unordered' }).ways).toBe(6);
  });

  it('warns that shaking alone does not show every way, and its mend ends the warning', () => {
    const { notices } = reckon(base);
    const warning = notices.find((notice) => notice.code === 'all-ways-unlikely');
    expect(warning?.text).toContain('97 spills on average');
    expect(warning?.mend?.params).toMatchObject({ finish: 'turnOver' });
    expect(reckon(warning!.mend!.params as SpillParams).notices.map((notice) => notice.code)).not.toContain(
      'all-ways-unlikely',
    );
  });

  it('does not warn where shaking is enough', () => {
    const { notices } = reckon({ ...base, counters: 3, spills: 40 });
    expect(notices.map((notice) => notice.code)).toEqual(['too-long', 'small-parts']);
  });

  it('takes as long as its turns, and longer when missing ways are turned over', () => {
    expect(reckon(base).length.minutes).toEqual({ mean: 10, p50: 10, p90: 10 });
    const { turns } = reckon({ ...base, finish: 'turnOver' }).length;
    expect(mean(turns)).toBeCloseTo(20 + 2 * (7 - figures()['distinctAfterSpills.mean']!), 9);
    expect(quantile(turns, 0.9)).toBeGreaterThan(25);
  });

  it('meets each fact as often as it is played', () => {
    for (const finish of ['asTheyFall', 'turnOver'] as const) {
      const params = { ...base, finish };
      const { practice } = reckon(params);
      const random = seeded(9);
      const plays = 2000;
      const met = new Map<string, number>();
      for (let n = 0; n < plays; n++)
        for (const turn of play(params, random))
          met.set(`${turn.args.a}`, (met.get(`${turn.args.a}`) ?? 0) + 1 / plays);
      for (const { fact, meetings } of practice)
        expect(Math.abs((met.get(`${fact.a}`) ?? 0) - meetings)).toBeLessThan(
          4 * Math.sqrt((meetings + 0.5) / plays),
        );
    }
  });

  it('turns over every way still missing, so that each player ends with all', () => {
    const seen = [new Set<unknown>(), new Set<unknown>()];
    for (const turn of play({ ...base, finish: 'turnOver', order: 'unordered' }, seeded(1)))
      seen[turn.player - 1]!.add(turn.args.a);
    expect(seen.map((ways) => ways.size)).toEqual([4, 4]);
  });

  it('has presets for 5, 6, 8 and 10 in both schools', () => {
    expect(
      twoToneSpill.presets.map(({ params }) => `${params.counters as number} ${params.order as string}`),
    ).toEqual([
      '5 ordered',
      '6 ordered',
      '8 ordered',
      '10 ordered',
      '5 unordered',
      '6 unordered',
      '8 unordered',
      '10 unordered',
    ]);
  });

  it('steps from 6 to 5 and 7, and ends at 3 and 20', () => {
    const { ladder } = reckon(base);
    expect([ladder.easier?.params.counters, ladder.harder?.params.counters]).toEqual([5, 7]);
    expect(reckon({ ...base, counters: 3 }).ladder.easier).toBeUndefined();
    expect(reckon({ ...base, counters: 20 }).ladder.harder).toBeUndefined();
  });
});
