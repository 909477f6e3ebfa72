/** What is said of few numbers holds as often as it says: each is held against schools that are drawn. */
import { describe, expect, it } from 'vitest';
import { seeded, type Random } from '~/core/chance/random';
import { forLooks, wilson } from '~/core/chance/intervals';
import { meanAway } from './away';
import { turnedAway } from './batches';
import { supplyOf } from './copies';
import { gaps, pairsOf, sharesSentence, MEASURES, type GroupShare } from './reached';
import { wear } from './wear';
import { priorOf } from './worn';

/** What a loan loses: mostly nothing, and then several at once. */
const clumps = (random: Random, often: number, more: number, inBag: number): number => {
  if (!random.chance(often)) return 0;
  let lost = 1;
  while (lost < inBag && random.chance(more)) lost++;
  return lost;
};

describe('wear by what each loan lost', () => {
  it.each([
    { often: 0.06, more: 0.5, loans: 60, inBag: 20 },
    { often: 0.15, more: 0.7, loans: 60, inBag: 20 },
    { often: 0.3, more: 0.2, loans: 30, inBag: 20 },
    { often: 0.1, more: 0.9, loans: 100, inBag: 12 },
  ])('holds nine in ten of clumped losses, and its spares suffice: %j', ({ often, more, loans, inBag }) => {
    const random = seeded(3);
    const draw = (): number[] => Array.from({ length: loans }, () => clumps(random, often, more, inBag));
    const sum = (list: readonly number[]): number => list.reduce((all, one) => all + one, 0);
    let truth = 0;
    for (let i = 0; i < 3000; i++) truth += sum(draw()) / loans / 3000;
    let [holds, suffices] = [0, 0];
    const tries = 200;
    for (let i = 0; i < tries; i++) {
      const lost = draw();
      const each = lost.filter((one) => one > 0);
      const found = wear({ lost: sum(lost), loans, each, inBag, next: loans });
      expect(found.low <= found.perLoan && found.perLoan <= found.high).toBe(true);
      if (found.low <= truth && truth <= found.high) holds++;
      if (sum(draw()) <= found.spares) suffices++;
    }
    // Nine in ten, less three deviations of 200 tries.
    expect(holds / tries).toBeGreaterThan(0.84);
    expect(suffices / tries).toBeGreaterThan(0.86);
  });
  it('never asks for more than lies in the bags to come, and refuses what does not add up', () => {
    const all = wear({ lost: 40, loans: 10, each: Array<number>(10).fill(4), inBag: 4, next: 3 });
    expect(all.spares).toBe(12);
    expect(all.high).toBeLessThanOrEqual(4);
    expect(() => wear({ lost: 3, loans: 10, each: [1, 1], next: 3 })).toThrow(/does not add up/);
    expect(() => wear({ lost: 3, loans: 1, each: [1, 2], next: 3 })).toThrow(/than there were loans/);
    expect(() => wear({ lost: 5, loans: 4, each: [5], inBag: 4, next: 3 })).toThrow(/in a bag/);
    expect(wear({ lost: 0, loans: 30, each: [], next: 0 }).spares).toBe(0);
  });
  it('begins with what other parts of its kind lose', () => {
    const of = (material: string, lost: number, loans: number) => ({
      material,
      lost,
      loans,
      each: [],
      inBag: 9,
    });
    const kinds: Record<string, string> = { a: 'counter', b: 'counter', c: 'die' };
    const all = [of('a', 3, 10), of('b', 20, 100), of('c', 5, 5)];
    const prior = priorOf(all[0]!, all, (one) => kinds[one]!);
    expect(prior.lost / prior.loans).toBeCloseTo(20.05 / 100.1, 9);
    expect(priorOf(all[2]!, all, (one) => kinds[one]!)).toEqual({ lost: 0.05, loans: 0.1 });
  });
});

describe('pages that look at many pairs', () => {
  const share = (id: string, n: number, of: number): GroupShare => ({
    id,
    label: id,
    n,
    of,
    ...wilson(n, of),
    small: of < 5,
  });
  it('say something of nothing on 5 in 100 pages at most, whatever the groups', () => {
    const random = seeded(8);
    for (const sizes of [
      [60, 25, 12, 8, 6],
      [40, 40, 40],
      [9, 8, 7, 6, 5, 5, 12],
    ])
      for (const rate of [0.2, 0.5, 0.85]) {
        let said = 0;
        for (let page = 0; page < 600; page++) {
          const shares = sizes.map((of, i) =>
            share(`g${i}`, Array.from({ length: of }, () => random.chance(rate)).filter(Boolean).length, of),
          );
          if (gaps(shares).length) said++;
        }
        // Five in a hundred, and three deviations of 600 pages.
        expect([sizes, rate, said / 600 <= 0.05 + 0.027]).toEqual([sizes, rate, true]);
      }
  });
  it('never speak of a group under five, nor count it among the pairs', () => {
    const shares = [share('many', 40, 40), share('few', 0, 4)];
    expect(pairsOf(shares)).toBe(0);
    expect(gaps(shares)).toEqual([]);
    expect(sharesSentence(shares, MEASURES.reached)).not.toMatch(/few: 0 of 4/);
  });
  it('ask for more, the more they look at', () => {
    const shares = [share('a', 30, 40), share('b', 19, 40)];
    expect(gaps(shares, 1)).toHaveLength(1);
    expect(gaps(shares, 40)).toEqual([]);
    expect(forLooks(1)).toBeCloseTo(1.96, 2);
    expect(forLooks(10)).toBeCloseTo(2.807, 3);
  });
});

describe('copies', () => {
  it('count bags that are still out for as long as they have been, and for no less', () => {
    const random = seeded(4);
    const days = Array.from({ length: 4000 }, () => 5 + random.whole(0, 20));
    const whole = days.reduce((sum, one) => sum + one, 0) / days.length;
    // Looked at on a day on which half of them have gone out lately.
    const seen = days.map((one) => {
      const ago = random.whole(1, 40);
      return ago < one ? { days: ago, home: false } : { days: one, home: true };
    });
    expect(meanAway(seen)!.days).toBeCloseTo(whole, 0);
    const plain =
      seen.filter(({ home }) => home).reduce((sum, one) => sum + one.days, 0) /
      seen.filter(({ home }) => home).length;
    expect(plain).toBeLessThan(whole - 0.8);
    expect(meanAway([{ days: 3, home: false }])).toBeUndefined();
  });
  it('handed out once a week are more in vain than one by one, as drawn weeks show', () => {
    const random = seeded(6);
    for (const [asks, weeks, copies] of [
      [2, 3, 6],
      [4, 2, 8],
      [1, 1, 1],
    ] as const) {
      let [away, asked, vain] = [0, 0, 0];
      for (let week = 0; week < 60_000; week++) {
        let n = 0;
        for (let product = 1; ; n++) {
          product *= random.whole(1, 1_000_000) / 1_000_000;
          if (product < Math.exp(-asks)) break;
        }
        asked += n;
        const served = Math.min(n, copies - away);
        vain += n - served;
        const out = away + served;
        away = 0;
        for (let i = 0; i < out; i++) if (!random.chance(1 / weeks)) away++;
      }
      expect(turnedAway(asks, weeks, copies)).toBeCloseTo(vain / asked, 2);
    }
  });
  it('are fewer when most families have had the kit, and are told with what is not known', () => {
    const use = {
      kitId: 'k',
      name: 'Kit',
      copies: 4,
      asks: 20,
      weeks: 10,
      away: Array.from({ length: 20 }, () => ({ days: 14, home: true })),
      lendingDays: 20,
      fresh: 400,
    };
    const many = supplyOf(use)!;
    expect(many.asksPerWeek).toBeCloseTo(1.95, 1);
    expect(many.fewest).toBeLessThan(many.copiesNeeded);
    expect(many.most).toBeGreaterThan(many.copiesNeeded);
    expect(supplyOf({ ...use, fresh: 5 })!.copiesNeeded).toBeLessThan(many.copiesNeeded);
    expect(supplyOf({ ...use, fresh: 0 })!.sentence).toMatch(/^Every family has had it/);
    const together = supplyOf({ ...use, lendingDays: 8 })!;
    expect(together.inBatches).toBe(true);
    expect(together.copiesNeeded).toBeGreaterThanOrEqual(many.copiesNeeded);
  });
});
