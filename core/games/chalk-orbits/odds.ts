/** Scores of a team; exact. */
import { entries, fromEntries, point, product, sum, type Pmf } from '~/core/chance/pmf';
import type { OrbitParams } from '.';

/** What the numbers of each field are changed by, the field of the setting first. */
const FIELDS: Record<OrbitParams['plans'], readonly ((n: number) => number)[]> = {
  one: [(n) => n],
  easier: [(n) => n, half],
  both: [(n) => n, half, (n) => 2 * n],
};
/** Half of a number, away from zero where it is odd. */
function half(n: number): number {
  return Math.sign(n) * Math.ceil(Math.abs(n) / 2);
}

/** Fields that are chalked. */
export const fieldsOf = ({ plans }: Pick<OrbitParams, 'plans'>): number => FIELDS[plans].length;

/** The number in each circle of a field. */
export function circleNumbers({ circles, numbers, plans }: OrbitParams, of = 0): number[] {
  const change = FIELDS[plans][of]!;
  return Array.from({ length: circles }, (_, i) => change(numbers[i % numbers.length]!));
}

/** Which circles are the smaller ones: the half with the larger numbers, by their place in the field. */
export function smallCircles(params: OrbitParams): ReadonlySet<number> {
  if (params.sizes === 'same') return new Set();
  const numbers = circleNumbers(params);
  const order = numbers
    .map((_, i) => i)
    .sort((i, k) => Math.abs(numbers[k]!) - Math.abs(numbers[i]!) || k - i);
  return new Set(order.slice(0, Math.floor(numbers.length / 2)));
}

/** Circles of a field with the chance that a bag which hits lies in them: in proportion to their areas. */
export function circleChances(params: OrbitParams, of = 0): { number: number; chance: number }[] {
  const small = smallCircles(params);
  const share = (params.smallMm / params.diameterMm) ** 2;
  const whole = params.circles - small.size * (1 - share);
  return circleNumbers(params, of).map((number, i) => ({
    number,
    chance: (small.has(i) ? share : 1) / whole,
  }));
}

/** What one bag counts, thrown at a field. A bag that is thrown again until it hits always counts a circle. */
export function bagScore(params: OrbitParams, of = 0): Pmf {
  const circle = fromEntries(
    circleChances(params, of).map(({ number, chance }) => [number, chance] as const),
  );
  if (params.miss === 'again') return circle;
  return fromEntries([
    [0, 1 - params.hit],
    ...entries(circle).map(([value, chance]) => [value, chance * params.hit] as const),
  ]);
}

/** The score of a team with all its bags. */
export function teamScore(params: OrbitParams): Pmf {
  let score = params.op === 'add' ? point(0) : point(1);
  for (let i = 0; i < params.bags; i++) {
    const bag = bagScore(params, i % fieldsOf(params));
    score = params.op === 'add' ? sum(score, bag) : product(score, bag);
  }
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
