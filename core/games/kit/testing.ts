/** What the tests of the games share. */
import { FULL, type Effort, type Estimate } from '~/core/chance/simulate';
import { gameOf } from '~/core/games/shelf';
import { checkParams } from './params';
import { assume, type Params, type Reckoning } from './types';

/** The reckoning of a game's first preset with some parameters changed. Throws when the parameters do not work. */
export function reckoningOf(
  id: string,
  change: Params = {},
  effort: Effort = { ...FULL, deep: false },
): Reckoning {
  const game = gameOf(id);
  const checked = checkParams(game, { ...game.presets[0]!.params, ...change });
  if (!checked.ok) throw new Error(JSON.stringify(checked.errors));
  return game.reckon(checked.value, assume('g1'), effort);
}
/** Its plain figures by name. */
export const figuresOf = (id: string, change: Params = {}, effort?: Effort): Record<string, number> =>
  reckoningOf(id, change, effort).figures as Record<string, number>;
/** The sentences with which parameters are refused. */
export function refusals(id: string, change: Params): Record<string, string> {
  const game = gameOf(id);
  const checked = checkParams(game, { ...game.presets[0]!.params, ...change });
  return checked.ok ? {} : checked.errors;
}
export const noticesOf = (id: string, change: Params = {}): string[] =>
  reckoningOf(id, change).notices.map((notice) => notice.code);

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
