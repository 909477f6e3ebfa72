/** Draws without putting back. */
import { choose } from './binomial';
import type { Pmf } from './pmf';

/** How many of `drawn` cards are among the `marked` ones of `all`; cards are drawn without putting back. */
export function hypergeometric(all: number, marked: number, drawn: number): Pmf {
  if (!(marked >= 0 && marked <= all && drawn >= 0 && drawn <= all))
    throw new RangeError(`hypergeometric: ${marked} marked and ${drawn} drawn must be from 0 to ${all}`);
  const from = Math.max(0, drawn - (all - marked));
  const to = Math.min(marked, drawn);
  // From one value to the next by their ratio: no large coefficient is ever formed.
  const weights = [1];
  for (let k = from; k < to; k++)
    weights.push(
      (weights.at(-1)! * ((marked - k) * (drawn - k))) / ((k + 1) * (all - marked - drawn + k + 1)),
    );
  const total = weights.reduce((a, b) => a + b, 0);
  return { from, p: weights.map((weight) => weight / total) };
}

/** Chance that none of the `marked` cards of `all` is among `drawn`. */
export function noneDrawn(all: number, marked: number, drawn: number): number {
  let chance = 1;
  for (let i = 0; i < drawn; i++) chance *= Math.max(0, all - marked - i) / (all - i);
  return chance;
}

/**
 * Chance, for each number of draws from 0 to all of them, that every kind was drawn at least as often as it is
 * needed: Π_v Σ_{j ≥ needed} C(have_v, j) x^j, coefficient of x^k over C(all, k).
 */
export function enoughDrawn(kinds: readonly { have: number; needed: number }[]): number[] {
  let ways = [1];
  let all = 0;
  for (const { have, needed } of kinds) {
    const next = new Array<number>(all + have + 1).fill(0);
    ways.forEach((count, drawn) => {
      for (let j = needed; j <= have; j++) next[drawn + j]! += count * choose(have, j);
    });
    ways = next;
    all += have;
  }
  return ways.map((count, drawn) => count / choose(all, drawn));
}
