/**
 * Intervals of shares, at 95 % and without correction for continuity: Wilson's score interval (1927), and Newcombe's
 * hybrid score interval of a difference (1998, method 10).
 */
import jstat from 'jstat';

export interface Share {
  share: number;
  low: number;
  high: number;
}
/** The share of one less that of another, with its interval. */
export interface Difference {
  difference: number;
  low: number;
  high: number;
}

/** The 97.5 % point of the normal distribution. */
const Z = 1.959963984540054;

/**
 * How many deviations an interval reaches when so many are looked at together: all of them hold at once in 95 of 100
 * cases at least (Bonferroni).
 */
export const forLooks = (looks: number): number =>
  looks <= 1 ? Z : -jstat.jStat.normal.inv(0.025 / looks, 0, 1);

/** Wilson's interval of a share. */
export function wilson(reached: number, of: number, z = Z): Share {
  const share = reached / of;
  const middle = reached + z ** 2 / 2;
  const half = z * Math.sqrt(reached * (1 - share) + z ** 2 / 4);
  const whole = of + z ** 2;
  return {
    share,
    // At the ends the bound is the end itself, not a rounding beside it.
    low: reached === 0 ? 0 : (middle - half) / whole,
    high: reached === of ? 1 : (middle + half) / whole,
  };
}

/** Newcombe's interval of the difference of two shares. */
export function newcombe(a: Share, b: Share): Difference {
  const difference = a.share - b.share;
  return {
    difference,
    low: difference - Math.hypot(a.share - a.low, b.high - b.share),
    high: difference + Math.hypot(a.high - a.share, b.share - b.low),
  };
}
