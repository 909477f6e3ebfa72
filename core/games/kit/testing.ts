/** What the tests of the games share. */
import { FULL, type Effort, type Estimate } from '~/core/chance/simulate';
import { gameOf } from '~/core/games/shelf';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { contextOf } from '~/core/paper/testing';
import { check } from './check';
import { startOf, type Game, type Variant } from './game';
import { assume, type Params, type Reckoning } from './types';

/** A game or its id. */
type Named = Game | string;
const gameNamed = (named: Named): Game => (typeof named === 'string' ? gameOf(named) : named);

/** The first preset of a game with some parameters changed. Throws when the parameters do not work. */
export function setting(named: Named, change: Params = {}): Variant {
  const game = gameNamed(named);
  const checked = check(game, { ...startOf(game), ...change });
  if (!checked.ok) throw new Error(JSON.stringify(checked.errors));
  return checked.value;
}
/** Its reckoning. */
export const reckoningOf = (
  named: Named,
  change: Params = {},
  effort: Effort = { ...FULL, deep: false },
): Reckoning => setting(named, change).reckon(assume('g1'), effort);
/** Its plain figures by name. */
export const figuresOf = (named: Named, change: Params = {}, effort?: Effort): Record<string, number> =>
  reckoningOf(named, change, effort).figures as Record<string, number>;
/** The codes of its notices. */
export const noticesOf = (named: Named, change: Params = {}): string[] =>
  reckoningOf(named, change).notices.map((notice) => notice.code);
/** Its sheets. */
export const printed = (named: Named, change: Params = {}, context: Partial<SheetContext> = {}): Sheet[] =>
  setting(named, change).sheets(contextOf(context));

/** The sentences with which parameters are refused. */
export function refusals(named: Named, change: Params): Record<string, string> {
  const game = gameNamed(named);
  const checked = check(game, { ...startOf(game), ...change });
  return checked.ok ? {} : checked.errors;
}

/** Mean and standard error of what a function gives. */
export function sample(plays: number, play: () => number): Estimate {
  let sum = 0;
  let squares = 0;
  for (let i = 0; i < plays; i++) {
    const value = play();
    sum += value;
    squares += value * value;
  }
  const mean = sum / plays;
  return { mean, error: Math.sqrt(Math.max(0, squares / plays - mean * mean) / plays), plays };
}
/** How many standard errors apart a number and an estimate are; the number may have an error of its own. */
export const apart = (value: number, estimate: Estimate, error = 0): number =>
  Math.abs(value - estimate.mean) / Math.max(1e-9, Math.hypot(estimate.error, error));
