/** Simulation, where nothing exact is at hand: always with its seed, its number of plays and its error. */
import { fromEntries, type Pmf } from './pmf';
import { seeded, type Random } from './random';

/** How hard to try. `deep` allows what takes longer than a frame. */
export interface Effort {
  plays: number;
  seed: number;
  deep: boolean;
  /** Called now and then with the share that is done, 0 to 1. */
  progress?: ((share: number) => void) | undefined;
}
/** What a knob can wait for. */
export const QUICK: Effort = { plays: 60, seed: 1, deep: false };
/** What a worker, the command line or a test waits for. */
export const FULL: Effort = { plays: 10_000, seed: 1, deep: true };

/** Numbers measured in one play; a number that a play does not have is left out. */
export type Outcome = Readonly<Record<string, number>>;

export interface Estimate {
  mean: number;
  /** Standard error of the mean. */
  error: number;
  /** Plays in which it was measured. */
  plays: number;
}

/**
 * Repeats a play and averages each number it gives. Stops after `most` plays, or, after at least `least`, as soon
 * as the standard error of every number is at most `error`.
 */
export function estimate(
  play: () => Outcome,
  stop: { most: number; least?: number; error?: number; progress?: ((share: number) => void) | undefined },
): { plays: number; of: Record<string, Estimate> } {
  const sums = new Map<string, { n: number; sum: number; squares: number }>();
  const read = (): Record<string, Estimate> =>
    Object.fromEntries(
      [...sums].map(([name, { n, sum, squares }]) => {
        const mean = sum / n;
        const variance = Math.max(0, squares / n - mean * mean) * (n / Math.max(1, n - 1));
        return [name, { mean, error: Math.sqrt(variance / n), plays: n }];
      }),
    );
  let plays = 0;
  while (plays < stop.most) {
    const outcome = play();
    for (const name in outcome) {
      const value = outcome[name]!;
      const so = sums.get(name) ?? { n: 0, sum: 0, squares: 0 };
      sums.set(name, so);
      so.n++;
      so.sum += value;
      so.squares += value * value;
    }
    plays++;
    if (plays % 250 !== 0) continue;
    stop.progress?.(plays / stop.most);
    if (stop.error !== undefined && plays >= (stop.least ?? 0)) {
      const limit = stop.error;
      if (Object.values(read()).every((one) => one.error <= limit)) break;
    }
  }
  return { plays, of: read() };
}

export interface Simulated {
  seed: number;
  plays: number;
  /** Turns of one play. */
  turns: Pmf;
  of: Record<string, Estimate>;
}

/** Simulates whole plays: how many turns they have, and what they come to. */
export function simulatePlays(
  play: (random: Random) => Generator<unknown, Outcome | void>,
  effort: Effort,
): Simulated {
  const random = seeded(effort.seed);
  const lengths = new Map<number, number>();
  const { plays, of } = estimate(
    () => {
      let turns = 0;
      const running = play(random);
      let next = running.next();
      while (!next.done) {
        turns++;
        next = running.next();
      }
      lengths.set(turns, (lengths.get(turns) ?? 0) + 1);
      const outcome: Record<string, number> = next.value ?? {};
      outcome.turns = turns;
      return outcome;
    },
    { most: effort.plays, progress: effort.progress },
  );
  return {
    seed: effort.seed,
    plays,
    of,
    turns: fromEntries([...lengths].map(([turns, times]) => [turns, times / plays] as const)),
  };
}
