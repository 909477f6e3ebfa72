/** What it costs to reckon a game of building blocks, known before it is reckoned: nobody may wait for it. */
import type { FieldErrors } from '~/core/check/check';
import { mostDrawsToFill } from '~/core/chance/coverage';
import type { OwnGame } from './definition';
import { expected, needed, results, type Setting } from './reckon';

/** Elementary steps that a reckoning may take: some hundredths of a second. */
export const MOST_STEPS = 3_000_000;
/** A share of a draw takes longer than other steps. */
const STEPS_OF_A_DRAW = 5;
/** A play of more turns than this is played by nobody. */
export const MOST_TURNS = 2000;

/**
 * What is too much in a setting: one sentence by path, or none. The definition's own rules must hold already.
 * Takes less than a hundredth of a second for every setting.
 */
export function tooMuch(own: OwnGame, { players, count, number, cells }: Setting): FieldErrors {
  const list = results(own, count);
  if (own.end.when === 'covered') {
    const chances = needed(list, cells).filter((one) => one.chance > 0);
    const rarest = Math.min(...chances.map((one) => one.chance));
    const turns = Math.round(1 / rarest);
    // The rarest cell alone tells of the worst; the exact number is asked for only when it can be reckoned fast.
    const most = turns > MOST_TURNS ? Infinity : mostDrawsToFill(chances);
    if (STEPS_OF_A_DRAW * chances.length * most ** 1.5 > MOST_STEPS) {
      const [cell] = [...list].find(([, chance]) => chance === rarest) ?? [cells[0]!];
      return {
        cells: `A turn gives ${cell} about once in ${turns} turns: nobody would play that long. Leave out what is so rare, or name fewer cells.`,
      };
    }
    return {};
  }
  const mean = expected(own, count);
  if (own.end.when === 'reached') {
    const turns = number / mean;
    // Each turn moves every number reached so far on by every result; the tail is some times the mean.
    return mean > 0 && turns <= MOST_TURNS && turns * 4 * number * list.size <= MOST_STEPS
      ? {}
      : {
          'end.number': `It takes about ${Number.isFinite(turns) ? Math.round(turns) : 'endlessly many'} turns to reach ${number}: make the number smaller, or the results larger.`,
        };
  }
  const range = Math.max(...list.keys()) - Math.min(...list.keys());
  return own.make === 'collect' && (range * number * players) ** 2 / 2 > MOST_STEPS
    ? {
        'end.number': `${number} turns each for ${players} players ask for more pieces than can be reckoned. Make it fewer turns.`,
      }
    : {};
}
