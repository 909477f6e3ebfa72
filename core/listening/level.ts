/**
 * Where a child is on the scale of school years, from what families said: a normal prior around the grade, a logistic
 * likelihood of "too easy", "just right" and "too hard", older answers counting less; on a grid, so that nothing is
 * approximated but the grid.
 */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf } from '~/core/check/schema';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { LEVEL_OF } from '~/core/lending/children';
import { LEVELS } from '~/core/pack/questions';

/** What was said of a variant. */
export type Said = keyof typeof LEVELS;

const demand = Type.Number({ minimum: -100, maximum: 100, title: 'Demand of a variant' });

export const levelSchema = Type.Object(
  {
    band: OneOf<AgeBand>(AGE_BANDS, { title: 'Grade' }),
    answers: Type.Array(
      Type.Object(
        {
          demand,
          said: OneOf<Said>(LEVELS, { title: 'What was said' }),
          weeksAgo: Type.Optional(Type.Number({ minimum: 0, maximum: 5000, title: 'Weeks ago' })),
        },
        { additionalProperties: false },
      ),
      { maxItems: 2000, title: 'Answers' },
    ),
    candidates: Type.Optional(
      Type.Array(
        Type.Object(
          { id: Type.String({ minLength: 1, maxLength: 80, title: 'Variant' }), demand },
          { additionalProperties: false },
        ),
        { maxItems: 2000, title: 'Candidates' },
      ),
    ),
  },
  { additionalProperties: false },
);
export type LevelAsked = Static<typeof levelSchema>;

export interface Level {
  /** School years: 0 for pre-K, 1 for kindergarten. */
  mean: number;
  sd: number;
  /** The likeliest to be just right first. */
  candidates: { id: string; justRight: number }[];
}

const FROM = -3;
const TO = 7;
const STEP = 0.02;
const PRIOR_SD = 1;
/** An answer counts half after so many weeks. */
const HALF_LIFE_WEEKS = 26;
/** How sharply an answer changes with the distance between level and demand, and how far from it "just right" ends. */
const SLOPE = 2;
const REACH = 1;

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** The chance of each answer of a child at a level about a variant of a demand; they sum to 1. */
export function chanceOf(said: Said, level: number, demand: number): number {
  const d = level - demand;
  if (said === 'tooEasy') return logistic(SLOPE * (d - REACH));
  if (said === 'tooHard') return logistic(SLOPE * (-d - REACH));
  // What is left, as a product: a difference of two chances near 1 would round to nothing far from the demand.
  return logistic(SLOPE * (REACH - d)) * logistic(SLOPE * (REACH + d)) * -Math.expm1(-2 * SLOPE * REACH);
}

/** The posterior on a grid of levels: weights that sum to 1. */
export function posterior(
  { band, answers }: Pick<LevelAsked, 'band' | 'answers'>,
  step = STEP,
): { level: number; weight: number }[] {
  const middle = LEVEL_OF[band];
  const points = Array.from({ length: Math.round((TO - FROM) / step) + 1 }, (_, i) => FROM + i * step);
  const logs = points.map((level) =>
    answers.reduce(
      (sum, { demand: of, said, weeksAgo = 0 }) =>
        sum + 0.5 ** (weeksAgo / HALF_LIFE_WEEKS) * Math.log(chanceOf(said, level, of)),
      -((level - middle) ** 2) / (2 * PRIOR_SD ** 2),
    ),
  );
  const best = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - best));
  const total = weights.reduce((sum, one) => sum + one, 0);
  return points.map((level, i) => ({ level, weight: weights[i]! / total }));
}

/** Where a child is, how sure that is, and how likely each candidate is just right. */
export function level(asked: LevelAsked): Level {
  const grid = posterior(asked);
  const mean = grid.reduce((sum, one) => sum + one.level * one.weight, 0);
  const variance = grid.reduce((sum, one) => sum + (one.level - mean) ** 2 * one.weight, 0);
  return {
    mean,
    sd: Math.sqrt(variance),
    candidates: (asked.candidates ?? [])
      .map(({ id, demand: of }) => ({
        id,
        justRight: grid.reduce((sum, one) => sum + one.weight * chanceOf('justRight', one.level, of), 0),
      }))
      .sort((a, b) => b.justRight - a.justRight),
  };
}

/** The central range that holds so much of a posterior. */
export function rangeOf(
  grid: readonly { level: number; weight: number }[],
  share: number,
): { from: number; to: number } {
  const tail = (1 - share) / 2;
  const at = (p: number): number => {
    let sum = 0;
    for (const { level: here, weight } of grid) {
      sum += weight;
      if (sum >= p) return here;
    }
    return grid.at(-1)!.level;
  };
  return { from: at(tail), to: at(1 - tail) };
}
