/**
 * Counting on a scale: how many pieces lie on it, how sure that is, and up to how many a part can be counted so. For n
 * pieces a reading is normal, its mean tare + n × unit; its variance holds the spread of single pieces, the error of the
 * unit found from a sample, the spread of the tare and the steps of the scale (a uniform error of one step: step² / 12).
 */
import { Type, type Static } from '@sinclair/typebox';
import jstat from 'jstat';
import { Whole } from '~/core/check/schema';

const grams = (
  title: string,
  about: { minimum?: number; exclusiveMinimum?: number; default?: number } = {},
) =>
  Type.Number({
    ...(about.exclusiveMinimum === undefined ? { minimum: 0 } : {}),
    maximum: 100_000,
    title,
    ...about,
  });

export const weighSchema = Type.Object(
  {
    unitG: Type.Number({ exclusiveMinimum: 0, maximum: 100_000, title: 'Grams of one piece' }),
    unitSdG: grams('Spread of one piece (grams)'),
    sample: Whole(1, 100_000, { title: 'Pieces in the sample' }),
    tareG: grams('Tare (grams)'),
    tareSdG: grams('Spread of the tare (grams)', { default: 0 }),
    resolutionG: grams('Step of the scale (grams)'),
    readingG: Type.Number({ minimum: -100_000, maximum: 100_000, title: 'Reading (grams)' }),
    most: Whole(0, 100_000, { title: 'The most there can be' }),
  },
  { additionalProperties: false },
);
export type Weighed = Static<typeof weighSchema>;

export interface Counted {
  /** The likeliest number of pieces, and its probability. */
  count: number;
  confidence: number;
  /** The smallest range around it that holds 0.95. */
  from: number;
  to: number;
  /** The largest number whose own reading is off by less than half a piece 99 times in 100; 0 where there is none. */
  countableUpTo: number;
}

/** Below this a person counts by hand. */
export const SURE = 0.99;
const RANGE = 0.95;

/** Variance of the reading for n pieces, in g². */
export const varianceOf = (
  { unitSdG, sample, tareSdG, resolutionG }: Pick<Weighed, 'unitSdG' | 'sample' | 'tareSdG' | 'resolutionG'>,
  n: number,
): number => n * unitSdG ** 2 + (n ** 2 * unitSdG ** 2) / sample + tareSdG ** 2 + resolutionG ** 2 / 12;

/** Chance that a normal value lies within z standard deviations of its mean. */
const within = (z: number): number => jstat.jStat.erf(z / Math.SQRT2);

/** What a reading says about the number of pieces, all numbers from 0 to the most being equally likely beforehand. */
export function weigh(weighed: Weighed): Counted {
  const { unitG, tareG, readingG, most } = weighed;
  // Logarithms of the likelihoods: a reading far from all numbers still has a likeliest one.
  const logs = Array.from({ length: most + 1 }, (_, n) => {
    const off = readingG - tareG - n * unitG;
    const variance = varianceOf(weighed, n);
    // Without any spread a reading is either exactly this number or not.
    if (variance === 0) return Math.abs(off) <= 1e-9 * Math.max(1, Math.abs(readingG)) ? Infinity : -Infinity;
    return -0.5 * Math.log(variance) - off ** 2 / (2 * variance);
  });
  const top = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  const nearest = Math.min(most, Math.max(0, Math.round((readingG - tareG) / unitG)));
  const weights =
    top === -Infinity
      ? logs.map((_, n) => Number(n === nearest))
      : logs.map((log) => (top === Infinity ? Number(log === Infinity) : Math.exp(log - top)));
  const all = weights.reduce((a, b) => a + b, 0);
  const chance = (n: number): number => (weights[n] ?? 0) / all;
  const count = weights.indexOf(weights.reduce((a, b) => Math.max(a, b)));
  let [from, to, held] = [count, count, chance(count)];
  while (held < RANGE - 1e-12 && (from > 0 || to < most)) {
    const below = from > 0 ? chance(from - 1) : -1;
    const above = to < most ? chance(to + 1) : -1;
    if (below >= above) held += chance(--from);
    else held += chance(++to);
  }
  let countableUpTo = 0;
  for (let n = 0; n <= most; n++) {
    const sd = Math.sqrt(varianceOf(weighed, n));
    if ((sd === 0 ? 1 : within(unitG / 2 / sd)) < SURE) break;
    countableUpTo = n;
  }
  return { count, confidence: chance(count), from, to, countableUpTo };
}

/** What one piece weighs, from a sample of so many: mean and standard deviation in grams. */
export interface LearnedUnit {
  unitG: number;
  unitSdG: number;
  sample: number;
}

/**
 * Learns the mass of one piece from weighings of several pieces each. For n pieces a reading less the tare is normal with
 * mean n × unit and variance n × sd²; unit is the pooled mean, sd² the weighted residual of the weighings, less what the
 * steps of the scale add (step² / 12), and at least what they leave unknown of the unit. Throws RangeError for fewer than two weighings, or pieces that weigh nothing.
 */
export function learnUnit(
  weighings: readonly { pieces: number; readingG: number }[],
  { tareG, resolutionG }: Pick<Weighed, 'tareG' | 'resolutionG'>,
): LearnedUnit {
  if (weighings.length < 2) throw new RangeError('weighings: weigh them at least twice, with other pieces');
  const sample = weighings.reduce((sum, { pieces }) => sum + pieces, 0);
  const unitG = weighings.reduce((sum, { readingG }) => sum + readingG - tareG, 0) / sample;
  if (!(unitG > 0)) throw new RangeError('weighings: these pieces weigh nothing on this scale');
  const spread =
    weighings.reduce(
      (sum, { pieces, readingG }) => sum + (readingG - tareG - pieces * unitG) ** 2 / pieces,
      0,
    ) /
    (weighings.length - 1);
  const ofScale =
    weighings.reduce((sum, { pieces }) => sum + resolutionG ** 2 / 12 / pieces, 0) / weighings.length;
  // Readings that agree say no more than the scale can show: the unit is never surer than its steps.
  const least = (weighings.length * resolutionG ** 2) / 12 / sample;
  return { unitG, unitSdG: Math.sqrt(Math.max(least, spread - ofScale)), sample };
}
