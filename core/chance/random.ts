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

export function seeded(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  return {
    whole: (low, high) => uniformInt(generator, low, high),
    chance: (p) => uniformFloat64(generator) < p,
  };
}
