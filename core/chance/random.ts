import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A source of random numbers that gives the same numbers for the same seed. */
export interface Random {
  /** A whole number from `low` to `high`, both possible. */
  whole(low: number, high: number): number;
  /** True with the given chance. */
  chance(p: number): boolean;
}

/** A new order of the items, each order equally likely (Fisher and Yates). */
export function shuffled<T>(items: readonly T[], random: Random): T[] {
  const order = [...items];
  for (let i = order.length - 1; i > 0; i--) {
    const j = random.whole(0, i);
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return order;
}

/** One of the items, each equally likely. */
export const pick = <T>(items: readonly T[], random: Random): T => items[random.whole(0, items.length - 1)]!;

export function seeded(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  return {
    whole: (low, high) => uniformInt(generator, low, high),
    chance: (p) => uniformFloat64(generator) < p,
  };
}
