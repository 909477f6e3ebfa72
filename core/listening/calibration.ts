/** How far forecasts of "just right" can be believed: by tenths, how many of them came true. */
import { forLooks, wilson } from '~/core/chance/intervals';
import { posterior, chanceOf, type LevelAsked, type Said } from './level';

/** A forecast, and whether it was so. */
export interface Forecast {
  chance: number;
  right: boolean;
}
export interface Tenth {
  /** The forecasts from here … */
  from: number;
  to: number;
  answers: number;
  /** Their mean. */
  said: number;
  /** The share that came true, with its 95 % interval (Wilson). */
  share: number;
  low: number;
  high: number;
}

/** The tenths that have forecasts, the lowest first. */
export function byTenths(forecasts: readonly Forecast[]): Tenth[] {
  return Array.from({ length: 10 }, (_, i) => {
    const here = forecasts.filter(({ chance }) => Math.min(9, Math.floor(chance * 10 + 1e-9)) === i);
    const right = here.filter((one) => one.right).length;
    return {
      from: i / 10,
      to: (i + 1) / 10,
      answers: here.length,
      said: here.reduce((sum, { chance }) => sum + chance, 0) / Math.max(1, here.length),
      ...(here.length ? wilson(right, here.length) : { share: 0, low: 0, high: 1 }),
    };
  }).filter(({ answers }) => answers > 0);
}

/**
 * A tenth whose interval leaves out what was forecast: there it was wrong by more than chance. `looks`: how many tenths
 * are looked at together; fewer than five answers say nothing.
 */
export function isOff({ said, share, answers }: Tenth, looks: number): boolean {
  if (answers < FEWEST) return false;
  const { low, high } = wilson(Math.round(share * answers), answers, forLooks(looks));
  return said < low || said > high;
}
const FEWEST = 5;

/**
 * What would have been forecast of each answer from the answers before it, and what was said. `answers` in the order
 * in which they came, each with the week it was given in.
 */
export function forecasts(
  band: LevelAsked['band'],
  answers: readonly { demand: number; said: Said; week: number }[],
): Forecast[] {
  return answers.map(({ demand, said, week }, i) => {
    const before = answers
      .slice(0, i)
      .map((one) => ({ demand: one.demand, said: one.said, weeksAgo: Math.max(0, week - one.week) }));
    const chance = posterior({ band, answers: before }, 0.1).reduce(
      (sum, one) => sum + one.weight * chanceOf('justRight', one.level, demand),
      0,
    );
    return { chance: Math.min(1, chance), right: said === 'justRight' };
  });
}
