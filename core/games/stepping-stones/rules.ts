import { stuck, walk, type Roll } from '~/core/chance/markov';
import { DIE, entries, fromEntries, nFold } from '~/core/chance/pmf';
import type { Random } from '~/core/chance/random';
import type { FieldErrors } from '~/core/check/check';
import { climb, levels, remembered, type Ladder } from '~/core/games/kit';
import type { StoneParams } from '.';

export const faults = ({ back, dice }: StoneParams): FieldErrors =>
  back === 'difference' && dice < 2 ? { dice: 'A difference is between two dice.' } : {};

/** Two dice, the larger first, with the chance of each pair. */
export const PAIRS: readonly { a: number; b: number; chance: number }[] = Array.from({ length: 6 }, (_, i) =>
  Array.from({ length: i + 1 }, (_, k) => ({ a: i + 1, b: k + 1, chance: (i === k ? 1 : 2) / 36 })),
).flat();
const DIFFERENCE = entries(fromEntries(PAIRS.map(({ a, b, chance }) => [a - b, chance] as const)));

/** Whether the roll from here is the difference of two dice. */
export const isApart = ({ back, length }: Pick<StoneParams, 'back' | 'length'>, at: number): boolean =>
  back === 'difference' && at >= length;

/** One roll with its chances, from where a player stands. */
export const rollAt = remembered((params: StoneParams): ((at: number) => Roll) => {
  const roll = entries(nFold(DIE, params.dice));
  return (at) => (isApart(params, at) ? DIFFERENCE : roll);
});

/** All stones that are walked, there and back. */
export const wholeWay = ({ back, length }: Pick<StoneParams, 'back' | 'length'>): number =>
  back === 'none' ? length : 2 * length;

/** The number of the stone at a place of the way. */
export const stoneAt = (at: number, length: number): number => (at <= length ? at : 2 * length - at);

/** Whether players go on from a stone that is taken: then they are not independent. */
export const crowded = ({ meet, players }: Pick<StoneParams, 'meet' | 'players'>): boolean =>
  meet === 'further' && players > 1;

export interface Move {
  player: number;
  from: number;
  to: number;
  dice: readonly number[];
  steps: number;
  /** Somebody stood where the roll led. */
  further: boolean;
}

/** The moves of one play, until the first is home or stands where no roll fits. */
export function* race(params: StoneParams, random: Random): Generator<Move, void> {
  const { length, dice, finish, players } = params;
  const home = wholeWay(params);
  const at = new Array<number>(players).fill(0);
  for (;;)
    for (let player = 0; player < players; player++) {
      const rolled = Array.from({ length: dice }, () => random.whole(1, 6));
      const from = at[player]!;
      const steps = isApart(params, from)
        ? Math.abs(rolled[0]! - rolled[1]!)
        : rolled.reduce((a, b) => a + b, 0);
      let to = walk(from, steps, length, finish);
      const led = to;
      const taken = (): boolean =>
        at.some((other, i) => i !== player && other > 0 && stoneAt(other, length) === stoneAt(to, length));
      if (crowded(params) && to !== from) while (to < home && taken()) to++;
      at[player] = to;
      yield { player, from, to, dice: rolled, steps, further: to !== led };
      if (to === home || stuck(rollAt(params)(to), to, length, finish)) return;
    }
}

export const pathMm = ({ length, stoneMm, gapMm }: StoneParams): number =>
  length * stoneMm + (length - 1) * gapMm;

export const ladder = (params: StoneParams): Ladder =>
  climb(
    levels(params, 'length', [5, 10, 20, 30], (length) => `A path to ${length}`),
    levels(params, 'dice', [1, 2], (dice) => (dice === 1 ? 'Roll one die' : 'Roll two dice')),
  );
