import { mean, quantile, type Pmf } from '~/core/chance/pmf';
import type { Length } from './types';

/** The length of one play from the distribution of its turns; minutes are rounded up. */
export function lengthOf(turns: Pmf, secondsPerTurn: number, setUpMinutes: number): Length {
  const minutes = (count: number): number => Math.ceil((count * secondsPerTurn) / 60 + setUpMinutes - 1e-9);
  return {
    turns,
    secondsPerTurn,
    setUpMinutes,
    minutes: {
      mean: minutes(mean(turns)),
      p50: minutes(quantile(turns, 0.5)),
      p90: minutes(quantile(turns, 0.9)),
    },
  };
}
