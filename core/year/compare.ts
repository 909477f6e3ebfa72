/** Two ways side by side over many years: each figure's mean with its interval, and the paired difference with its own. */
import jstat from 'jstat';
import { tenths } from '~/core/words/numbers';
import type { Way, YearFigures } from './ways';

export interface FigureAbout {
  label: string;
  unit: string;
  /** Whether more of it is good. */
  better: 'more' | 'less';
}
export const FIGURES: Readonly<Record<keyof YearFigures, FigureAbout>> = {
  justRight: { label: 'Just right', unit: 'of 100 bags', better: 'more' },
  bags: { label: 'Bags to a family', unit: 'a year', better: 'more' },
  evenness: { label: 'Evenness of languages', unit: 'of 100', better: 'more' },
  inVain: { label: 'Asked in vain', unit: 'of 100 times', better: 'less' },
  few: { label: 'Fewer than three bags', unit: 'of 100 families', better: 'less' },
  lost: { label: 'Something lost', unit: 'of 100 bags', better: 'less' },
  hours: { label: 'Hours of hands', unit: 'a year', better: 'less' },
};
const SHOWN = Object.keys(FIGURES) as (keyof YearFigures)[];

export interface Estimate {
  mean: number;
  low: number;
  high: number;
}
/** The mean of some numbers with its 95 % interval by Student's t; of fewer than two there is none. */
export function estimate(values: readonly number[]): Estimate {
  const n = values.length;
  if (n < 2) throw new RangeError('An interval needs two years at least.');
  const mean = values.reduce((sum, one) => sum + one, 0) / n;
  const variance = values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (n - 1);
  const half = jstat.jStat.studentt.inv(0.975, n - 1) * Math.sqrt(variance / n);
  return { mean, low: mean - half, high: mean + half };
}

export interface Compared extends FigureAbout {
  figure: keyof YearFigures;
  ways: Record<Way, Estimate>;
  /** Hand-outs less first come, year by year. */
  difference: Estimate;
  /** Which way is better in it; undefined where the years do not tell. */
  best?: Way;
  sentence: string;
}

/** What many years show; both ways have the same seeds in the same order. */
export const compared = (years: Readonly<Record<Way, readonly YearFigures[]>>): Compared[] =>
  SHOWN.map((figure): Compared => {
    const about = FIGURES[figure];
    const [first, rounds] = [years.firstCome, years.rounds].map((list) => list.map((one) => one[figure]));
    const difference = estimate(rounds!.map((value, i) => value - first![i]!));
    const clear = difference.low > 0 || difference.high < 0;
    const more = difference.mean > 0;
    const best = clear ? (more === (about.better === 'more') ? 'rounds' : 'firstCome') : undefined;
    const [low, high] = [
      Math.min(Math.abs(difference.low), Math.abs(difference.high)),
      Math.max(Math.abs(difference.low), Math.abs(difference.high)),
    ];
    const sentence = clear
      ? `${about.label}: ${Math.abs(difference.mean).toFixed(1)} ${about.unit} ${more ? 'more' : 'less'} with hand-outs (${tenths(low)} to ${tenths(high)}): ${best === 'rounds' ? 'better' : 'worse'}.`
      : `${about.label}: ${first!.length} years show no difference (${tenths(difference.low)} to ${tenths(difference.high)} ${about.unit}).`;
    return {
      figure,
      ...about,
      ways: { firstCome: estimate(first!), rounds: estimate(rounds!) },
      difference,
      ...(best ? { best } : {}),
      sentence,
    };
  });
