/** Plays of one game, for the tests of its rules. */
import type { Fact, Operation } from '~/core/cards/facts';
import { seeded } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import type { Game } from './game';
import { setting } from './testing';
import { assume, type Params, type Turn } from './types';

export interface Played {
  turns: Turn[];
  outcome: Outcome;
}

/** The first preset with some parameters changed. Throws when the parameters do not work. */
export const paramsOf = (game: Game, change: Params = {}): Params => setting(game, change).params;

/** Whole plays, one after the other from one seed. */
export function plays(game: Game, change: Params = {}, count = 60, seed = 1): Played[] {
  const variant = setting(game, change);
  const random = seeded(seed);
  return Array.from({ length: count }, () => {
    const turns: Turn[] = [];
    const play = variant.play(random);
    for (;;) {
      const next = play.next();
      if (next.done) return { turns, outcome: next.value ?? {} };
      turns.push(next.value);
    }
  });
}

/** Arguments of a turn that are numbers. Throws for any other. */
export const numbersIn = ({ args, id }: Turn, ...names: string[]): number[] =>
  names.map((name) => {
    const value = args[name];
    if (typeof value !== 'number') throw new Error(`${id}: ${name} is ${String(value)}`);
    return value;
  });

/** How often each of a list is there. */
export function tally<T>(list: readonly T[]): Map<T, number> {
  const counted = new Map<T, number>();
  for (const one of list) counted.set(one, (counted.get(one) ?? 0) + 1);
  return counted;
}

/** Whether players 1 to n come one after the other, beginning with the first. */
export const inTurn = (turns: readonly Turn[], players: number): boolean =>
  turns.every(({ player }, i) => player === (i % players) + 1);

const keyOf = ({ op, a, b }: Fact): string => `${op} ${a} ${b}`;

/**
 * Facts of these operations that plays meet more or less often than the reckoning says, by more than five standard
 * errors, and facts that only one of both knows. Empty when all is as reckoned.
 */
export function strangeMeetings(
  game: Game,
  change: Params,
  ops: readonly Operation[],
  met: (turn: Turn) => readonly Fact[],
  count = 600,
): string[] {
  const wanted = new Map<string, number>();
  for (const { fact, meetings } of setting(game, change).reckon(assume('g1')).practice)
    if (ops.includes(fact.op)) wanted.set(keyOf(fact), (wanted.get(keyOf(fact)) ?? 0) + meetings);
  if (wanted.size === 0) return ['nothing is practised'];
  const sums = new Map<string, { sum: number; squares: number }>();
  for (const { turns } of plays(game, change, count, 9))
    for (const [key, times] of tally(turns.flatMap(met).map(keyOf))) {
      const before = sums.get(key) ?? { sum: 0, squares: 0 };
      sums.set(key, { sum: before.sum + times, squares: before.squares + times ** 2 });
    }
  return [...new Set([...wanted.keys(), ...sums.keys()])].flatMap((key) => {
    const { sum, squares } = sums.get(key) ?? { sum: 0, squares: 0 };
    const [mean, meetings] = [sum / count, wanted.get(key)];
    if (meetings === undefined) return [`${key} is met and not reckoned`];
    const error = Math.sqrt(Math.max(squares / count - mean ** 2, 1 / count / 10) / count);
    return Math.abs(mean - meetings) <= 5 * error + 1e-9
      ? []
      : [`${key}: met ${mean.toFixed(3)} times, reckoned ${meetings.toFixed(3)}`];
  });
}
