/**
 * Coupon coverage with unequal odds: draws are independent, draw after draw shows outcome i with chance
 * `odds[i]`; what is left to 1 shows nothing new. How many draws until every outcome was seen?
 * Source: P. Flajolet, D. Gardy, L. Thimonier, "Birthday paradox, coupon collectors, caching algorithms and
 * self-organizing search", Discrete Applied Mathematics 39 (1992).
 */
import type { Pmf } from './pmf';
import { choose } from './binomial';

function checkOdds(odds: readonly number[]): void {
  if (odds.length === 0) throw new RangeError('odds: at least one outcome is needed');
  if (odds.some((p) => !(p > 0))) throw new RangeError('odds: every chance must be above 0');
  if (odds.reduce((a, b) => a + b, 0) > 1 + 1e-9)
    throw new RangeError('odds: the chances add up to more than 1');
}

/**
 * Expected number of draws until all outcomes were seen. Draws are set on a Poisson clock of rate 1, which
 * leaves the mean unchanged and makes the outcomes independent:
 * E = ∫ 1 − Π(1 − e^(−p·t)) dt. Nothing alternates in sign, so twenty counters lose no precision.
 */
export function meanDrawsToSeeAll(odds: readonly number[]): number {
  checkOdds(odds);
  const missing = (t: number): number => {
    let logAllSeen = 0;
    for (const p of odds) logAllSeen += Math.log(-Math.expm1(-p * t));
    return -Math.expm1(logAllSeen);
  };
  // Trapezoid rule in u = ln t: both ends decay, so it converges geometrically with the step.
  const step = 1 / 32;
  const last = Math.log((50 + Math.log(odds.length)) / Math.min(...odds));
  let total = 0;
  for (let u = -45; u <= last; u += step) total += Math.exp(u) * missing(Math.exp(u));
  return total * step;
}

/**
 * Chance that all outcomes were seen within `draws` draws: inclusion and exclusion over the sets left out,
 * Σ (−1)^|S| (1 − p(S))^draws, equal odds taken together and terms below 1e-18 cut off.
 */
export function chanceAllSeenWithin(odds: readonly number[], draws: number): number {
  checkOdds(odds);
  if (draws < odds.length) return 0;
  const groups = grouped(odds);
  const visit = (index: number, left: number, weight: number): number => {
    const term = left > 0 ? Math.exp(draws * Math.log1p(left - 1)) : 0;
    if (Math.abs(weight) * term < 1e-18) return 0;
    const group = groups[index];
    if (!group) return weight * term;
    let total = 0;
    for (let taken = 0; taken <= group.times; taken++) {
      total += visit(
        index + 1,
        left - taken * group.p,
        weight * choose(group.times, taken) * (taken % 2 ? -1 : 1),
      );
    }
    return total;
  };
  return Math.min(1, Math.max(0, visit(0, 1, 1)));
}

/** Smallest number of draws within which all outcomes are seen with chance `q` (0 < q < 1). */
export function drawsToSeeAllQuantile(odds: readonly number[], q: number): number {
  checkOdds(odds);
  if (!(q > 0 && q < 1)) throw new RangeError(`q: ${q} is not between 0 and 1`);
  if (odds.length === 1 && odds[0] === 1) return 1;
  // Not sooner than the rarest outcome by itself; by the union bound not later than all were as rare.
  const logUnseen = Math.log1p(-Math.min(...odds));
  let low = Math.max(odds.length - 1, Math.floor(Math.log1p(-q) / logUnseen) - 1);
  let high = Math.max(low + 1, Math.ceil(Math.log((1 - q) / odds.length) / logUnseen));
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (chanceAllSeenWithin(odds, middle) >= q) high = middle;
    else low = middle;
  }
  return high;
}

/** Expected number of different outcomes seen in `draws` draws. */
export const meanDistinctSeen = (odds: readonly number[], draws: number): number =>
  draws === 0 ? 0 : odds.reduce((total, p) => total - Math.expm1(draws * Math.log1p(-p)), 0);

/**
 * How many different outcomes are seen in `draws` draws, exactly:
 * draws! · [x^draws y^d] e^(rest·x) Π (1 + y(e^(p·x) − 1)). All terms are positive.
 * Takes time in outcomes² · draws²: for tens of each.
 */
export function distinctSeen(odds: readonly number[], draws: number): Pmf {
  checkOdds(odds);
  // ways[d][m]: m of the draws are accounted for and showed d different outcomes, with its chance up to m!.
  const rest = Math.max(0, 1 - odds.reduce((a, b) => a + b, 0));
  const exponential = (p: number): number[] => {
    const terms = [1];
    for (let m = 1; m <= draws; m++) terms.push((terms[m - 1]! * p) / m);
    return terms;
  };
  let ways: number[][] = [exponential(rest < 1e-12 ? 0 : rest)];
  for (const p of odds) {
    const terms = exponential(p);
    const next = Array.from({ length: ways.length + 1 }, () => new Array<number>(draws + 1).fill(0));
    ways.forEach((row, d) =>
      row.forEach((have, m) => {
        if (have === 0) return;
        next[d]![m]! += have;
        for (let shown = 1; m + shown <= draws; shown++) next[d + 1]![m + shown]! += have * terms[shown]!;
      }),
    );
    ways = next;
  }
  let factorial = 1;
  for (let m = 2; m <= draws; m++) factorial *= m;
  return { from: 0, p: ways.map((row) => row[draws]! * factorial) };
}

/** One outcome that must be seen `times` times. */
export interface Needed {
  chance: number;
  times: number;
}

/**
 * Expected number of draws until every outcome was seen as often as it is needed, by the same Poisson clock:
 * E = ∫ 1 − Π P(Poisson(p·t) ≥ times) dt.
 */
export function meanDrawsToFill(needed: readonly Needed[]): number {
  const wanted = needed.filter((one) => one.times > 0);
  if (wanted.length === 0) return 0;
  checkOdds(wanted.map((one) => one.chance));
  const short = (rate: number, times: number): number => {
    let term = Math.exp(-rate);
    let total = term;
    for (let k = 1; k < times; k++) total += term *= rate / k;
    return total;
  };
  const missing = (t: number): number => {
    let logFilled = 0;
    for (const { chance, times } of wanted) logFilled += Math.log1p(-Math.min(1, short(chance * t, times)));
    return -Math.expm1(logFilled);
  };
  const step = 1 / 32;
  const rarest = Math.min(...wanted.map((one) => one.chance));
  const most = Math.max(...wanted.map((one) => one.times));
  const last = Math.log((60 + 4 * most + Math.log(wanted.length)) / rarest);
  let total = 0;
  for (let u = -45; u <= last; u += step) total += Math.exp(u) * missing(Math.exp(u));
  return total * step;
}

/** So many draws leave at most one play in a million unfilled: where `drawsToFill` ends. */
export function mostDrawsToFill(needed: readonly Needed[]): number {
  const wanted = needed.filter((one) => one.times > 0);
  const unfilled = (draws: number): number =>
    wanted.reduce((total, { chance, times }) => total + binomialBelow(draws, chance, times), 0);
  let most = wanted.reduce((all, one) => all + one.times, 0);
  while (unfilled(most) > 1e-6) most = Math.ceil(most * 1.15) + 1;
  return most;
}

/** Terms of a binomial further from its mean than so many standard deviations are below 1e-18. */
const REACH_SD = 9;

/**
 * Number of draws until every outcome was seen as often as it is needed. Exact up to a tail of 1e-6, which is put
 * on the last value: outcomes are taken one after the other, each a binomial share of the draws left. Takes time in
 * outcomes · draws^1.5.
 */
export function drawsToFill(needed: readonly Needed[]): Pmf {
  const wanted = needed.filter((one) => one.times > 0);
  if (wanted.length === 0) return { from: 0, p: [1] };
  checkOdds(wanted.map((one) => one.chance));
  const most = mostDrawsToFill(wanted);
  // filled[n]: chance that the outcomes taken so far are filled when n draws are left for them.
  const rest = 1 - wanted.reduce((total, one) => total + one.chance, 0);
  let mass = Math.max(0, rest);
  let filled = new Array<number>(most + 1).fill(1);
  if (mass < 1e-12) {
    mass = 0;
    filled = filled.map((_, n) => (n === 0 ? 1 : 0));
  }
  for (const { chance, times } of wanted) {
    mass += chance;
    const share = Math.min(1, chance / mass);
    const before = filled;
    filled = before.map((_, n) => {
      if (share === 1) return n >= times ? before[0]! : 0;
      const reach = REACH_SD * Math.sqrt(n * share * (1 - share)) + REACH_SD;
      const last = Math.min(n, Math.ceil(n * share + reach));
      let j = Math.max(0, Math.floor(n * share - reach));
      let term = binomialAt(n, j, share);
      let total = 0;
      for (; j <= last; j++) {
        if (j >= times) total += term * before[n - j]!;
        term *= ((n - j) / (j + 1)) * (share / (1 - share));
      }
      return total;
    });
  }
  return {
    from: 0,
    p: filled.map((f, n) => Math.max(0, (n === most ? 1 : f) - (n === 0 ? 0 : filled[n - 1]!))),
  };
}

/** ln n!, each computed once. */
const logFactorials = [0];
function logFactorial(n: number): number {
  for (let k = logFactorials.length; k <= n; k++) logFactorials.push(logFactorials[k - 1]! + Math.log(k));
  return logFactorials[n]!;
}

/** Chance that `k` of `n` draws show an outcome of chance `p`, 0 < p < 1; through logarithms, so that it never vanishes too early. */
const binomialAt = (n: number, k: number, p: number): number =>
  Math.exp(
    logFactorial(n) - logFactorial(k) - logFactorial(n - k) + k * Math.log(p) + (n - k) * Math.log1p(-p),
  );

/** Chance that fewer than `times` of `draws` draws show an outcome of this chance. */
function binomialBelow(draws: number, chance: number, times: number): number {
  if (draws < times) return 1;
  if (chance >= 1) return 0;
  // From the likeliest count that is asked for, downwards and upwards.
  const start = Math.min(times - 1, Math.floor((draws + 1) * chance));
  const odds = chance / (1 - chance);
  let total = 0;
  let term = binomialAt(draws, start, chance);
  for (let k = start; k >= 0 && term > 0; k--) {
    total += term;
    term *= k / ((draws - k + 1) * odds);
  }
  term = binomialAt(draws, start, chance);
  for (let k = start; k < times - 1 && term > 0; k++) {
    term *= ((draws - k) / (k + 1)) * odds;
    total += term;
  }
  return Math.min(1, total);
}

function grouped(odds: readonly number[]): { p: number; times: number }[] {
  const groups: { p: number; times: number }[] = [];
  for (const p of [...odds].sort((a, b) => b - a)) {
    const last = groups.at(-1);
    if (last && Math.abs(last.p - p) < 1e-15) last.times++;
    else groups.push({ p, times: 1 });
  }
  return groups;
}
