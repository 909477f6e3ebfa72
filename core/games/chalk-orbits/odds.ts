/** Scores of a team; exact. */
import { entries, evenly, fromEntries, point, product, sum, type Pmf } from '~/core/chance/pmf';
import type { OrbitParams } from '.';

/** The number in each circle. */
export const circleNumbers = ({ circles, numbers }: OrbitParams): number[] =>
  Array.from({ length: circles }, (_, i) => numbers[i % numbers.length]!);

/** What one bag counts. A bag that is thrown again until it hits always counts a circle. */
export function bagScore(params: OrbitParams): Pmf {
  const circle = evenly(circleNumbers(params));
  if (params.miss === 'again') return circle;
  return fromEntries([
    [0, 1 - params.hit],
    ...entries(circle).map(([value, chance]) => [value, chance * params.hit] as const),
  ]);
}

/** The score of a team with all its bags. */
export function teamScore(params: OrbitParams): Pmf {
  const bag = bagScore(params);
  let score = params.op === 'add' ? point(0) : point(1);
  for (let i = 0; i < params.bags; i++) score = params.op === 'add' ? sum(score, bag) : product(score, bag);
  return score;
}

/** Chance that both teams have the same score. */
export const drawChance = (score: Pmf): number => score.p.reduce((total, p) => total + p * p, 0);

/** Rounds that a team has to win: the greater half. */
export const winsOf = (bestOf: number): number => Math.floor(bestOf / 2) + 1;

/**
 * Rounds until one team has won the greater half of `bestOf`, or both have won half of an even number; a draw is no win
 * for anybody and costs a round.
 * Exact up to a tail of 1e-9, which is put on the last value.
 */
export function roundsOf(bestOf: number, draw: number): Pmf {
  const wins = winsOf(bestOf);
  const over = (a: number, b: number): boolean => a === wins || b === wins || a + b === bestOf;
  const each = (1 - draw) / 2;
  let open = new Map<string, [a: number, b: number, p: number]>([['0 0', [0, 0, 1]]]);
  const list: [number, number][] = [];
  let left = 1;
  for (let round = 1; left > 1e-9 && round < 500; round++) {
    const next = new Map<string, [number, number, number]>();
    const add = (a: number, b: number, p: number): void => {
      const key = `${a} ${b}`;
      next.set(key, [a, b, (next.get(key)?.[2] ?? 0) + p]);
    };
    let closed = 0;
    for (const [a, b, p] of open.values()) {
      add(a, b, p * draw);
      if (over(a + 1, b)) closed += p * each;
      else add(a + 1, b, p * each);
      if (over(a, b + 1)) closed += p * each;
      else add(a, b + 1, p * each);
    }
    list.push([round, closed]);
    left -= closed;
    open = next;
  }
  list[list.length - 1]![1] += Math.max(0, left);
  return fromEntries(list);
}
