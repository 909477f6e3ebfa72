/**
 * Losses that come in clumps: a bag that loses one counter often loses several. The losses of a loan are negative
 * binomial with a mean and a spread, of which neither is known: both are weighed over a grid by what the loans lost.
 */
import jstat from 'jstat';

export interface ClumpsAsked {
  /** Pieces lost by each loan that lost some. */
  each: readonly number[];
  loans: number;
  /** The mean lies about here, before anything is known: a gamma distribution of this shape and rate. */
  prior: { lost: number; loans: number };
  /** No loan loses more. */
  inBag?: number | undefined;
  /** Loans to come. */
  next: number;
  assurance: number;
}
export interface Clumps {
  /** Pieces lost in a loan, and the central 90 % interval of it. */
  perLoan: number;
  low: number;
  high: number;
  spares: number;
}

const TAIL = 0.05;
/** Means are looked at in steps of so much of themselves, from a share of what one loss in all loans would be. */
const LOWEST = 1e-4;
const STEP = 1.12;
/** From losses that mostly come together to losses that know nothing of each other. */
const SPREADS = [0.01, 0.02, 0.04, 0.07, 0.12, 0.2, 0.35, 0.6, 1, 1.8, 3.5, 8, 30];
/** What weighs less than this of the heaviest point is left out. */
const LIGHT = 1e-4;

const { gammaln, ibeta } = jstat.jStat;

/** So many groups of points are enough for a tail of one in a hundred. */
const GROUPS = 60;

interface Point {
  weight: number;
  /** Losses of one loan: mean and variance, of which none is more than lies in a bag. */
  mean: number;
  variance: number;
}

/** The chance that a negative binomial variable of this mean and spread is at most `n`. */
const atMost = (n: number, mean: number, spread: number): number =>
  n < 0 ? 0 : mean === 0 ? 1 : ibeta(spread / (spread + mean), spread, Math.floor(n) + 1);

/** How often each number of pieces was lost. */
function timesOf(each: readonly number[]): Map<number, number> {
  const times = new Map<number, number>();
  for (const lost of each) times.set(lost, (times.get(lost) ?? 0) + 1);
  return times;
}

/** Mean and variance of the losses of one loan, which loses at most its bag. */
function oneLoan(
  mean: number,
  spread: number,
  inBag: number | undefined,
): { mean: number; variance: number } {
  const variance = mean + mean ** 2 / spread;
  // A bag is hardly ever lost as a whole: as if it had no end.
  if (inBag === undefined || mean + 12 * Math.sqrt(variance) < inBag) return { mean, variance };
  const share = mean / (mean + spread);
  let chance = (1 - share) ** spread;
  let [first, second, sum] = [0, 0, chance];
  for (let n = 1; n < inBag; n++) {
    chance *= (share * (n - 1 + spread)) / n;
    sum += chance;
    first += n * chance;
    second += n * n * chance;
  }
  const rest = Math.max(0, 1 - sum);
  const capped = first + inBag * rest;
  return { mean: capped, variance: second + inBag ** 2 * rest - capped ** 2 };
}

/** What may be, and how likely it is after these loans. */
function points({ each, loans, prior, inBag }: ClumpsAsked): Point[] {
  const times = [...timesOf(each)];
  const lost = each.reduce((sum, one) => sum + one, 0);
  const highest = (10 * (prior.lost + lost + 5)) / (prior.loans + loans);
  const found: { log: number; mean: number; spread: number }[] = [];
  for (const spread of SPREADS) {
    // What does not depend on the mean; a bag that was lost as a whole might have lost more.
    const fixed = times.reduce(
      (sum, [n, count]) =>
        sum + (n === inBag ? 0 : count * (gammaln(n + spread) - gammaln(spread) - gammaln(n + 1))),
      0,
    );
    for (let mean = LOWEST / (prior.loans + loans); mean < highest; mean *= STEP) {
      const [none, more] = [Math.log(spread / (spread + mean)), Math.log(mean / (spread + mean))];
      let log =
        fixed + prior.lost * Math.log(mean) - prior.loans * mean + (loans - each.length) * spread * none;
      for (const [n, count] of times)
        log +=
          count *
          (n === inBag
            ? Math.log(Math.max(1e-300, 1 - atMost(n - 1, mean, spread)))
            : spread * none + n * more);
      found.push({ log, mean, spread });
    }
  }
  const best = found.reduce((most, { log }) => Math.max(most, log), -Infinity);
  const heavy = found
    .map(({ log, ...one }) => ({ ...one, weight: Math.exp(log - best) }))
    .filter(({ weight }) => weight > LIGHT);
  const all = heavy.reduce((sum, { weight }) => sum + weight, 0);
  return heavy.map(({ weight, mean, spread }) => ({
    weight: weight / all,
    ...oneLoan(mean, spread, inBag),
  }));
}

/** How fast a part goes when its losses may come in clumps. */
export function clumped(asked: ClumpsAsked): Clumps {
  const { inBag, next, assurance } = asked;
  const likely = points(asked);
  const sorted = [...likely].sort((a, b) => a.mean - b.mean);
  const quantile = (p: number): number => {
    let sum = 0;
    const at = sorted.findIndex(({ weight }) => (sum += weight) >= p);
    const { mean, weight } = sorted[Math.max(0, at)]!;
    const before = sorted[at - 1]?.mean ?? mean;
    // Between two points of the grid, by how much of the second is needed.
    return before + (mean - before) * (1 - (sum - p) / weight);
  };
  return {
    perLoan: likely.reduce((sum, { weight, mean }) => sum + weight * mean, 0),
    low: quantile(TAIL),
    high: quantile(1 - TAIL),
    spares: sparesFor(
      together(sorted),
      next,
      assurance,
      inBag === undefined ? Infinity : Math.ceil(next * inBag),
    ),
  };
}

/** Neighbours put together, so that a few points stand for all: the mixture of their losses has the same mean and nearly the same tail. */
function together(sorted: readonly Point[]): Point[] {
  const groups: Point[] = [];
  let open: Point = { weight: 0, mean: 0, variance: 0 };
  for (const { weight, mean, variance } of sorted) {
    const sum = open.weight + weight;
    open = {
      weight: sum,
      mean: (open.mean * open.weight + mean * weight) / sum,
      variance: (open.variance * open.weight + variance * weight) / sum,
    };
    if (sum < 1 / GROUPS) continue;
    groups.push(open);
    open = { weight: 0, mean: 0, variance: 0 };
  }
  return open.weight > 0 ? [...groups, open] : groups;
}

/** The smallest number that the losses of the loans to come do not exceed with this assurance. */
function sparesFor(likely: readonly Point[], next: number, assurance: number, most: number): number {
  if (next === 0) return 0;
  const sums = likely.map(({ weight, mean, variance }) => {
    // Clumps of single loans add up to smaller ones; losses that are more even than chance count as chance.
    const spread = variance > mean ? (next * mean ** 2) / (variance - mean) : 1e9;
    return { weight, mean: next * mean, spread: Math.min(1e9, spread) };
  });
  const covers = (n: number): boolean =>
    n >= most ||
    sums.reduce((sum, one) => sum + one.weight * atMost(n, one.mean, one.spread), 0) >= assurance;
  let high = 1;
  while (!covers(high)) high *= 2;
  let low = high === 1 ? -1 : high / 2;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (covers(middle)) high = middle;
    else low = middle;
  }
  return covers(0) ? 0 : Math.min(high, most);
}
