/**
 * Probability mass functions over whole numbers: `p[i]` is the chance of the value `from + i`.
 * Values are never negative and sum to 1 within rounding.
 */
export interface Pmf {
  readonly from: number;
  readonly p: readonly number[];
}

/** The value is always `value`. */
export const point = (value: number): Pmf => ({ from: value, p: [1] });

/** A pmf from value-chance pairs; equal values are added. Throws RangeError when there are none. */
export function fromEntries(entries: Iterable<readonly [value: number, chance: number]>): Pmf {
  const all = [...entries];
  if (all.length === 0) throw new RangeError('entries: at least one value is needed');
  const from = Math.min(...all.map(([value]) => value));
  const to = Math.max(...all.map(([value]) => value));
  const p = new Array<number>(to - from + 1).fill(0);
  for (const [value, chance] of all) p[value - from]! += chance;
  return { from, p };
}

/** Value-chance pairs with a chance above zero, in ascending order of value. */
export function entries(pmf: Pmf): [value: number, chance: number][] {
  return pmf.p
    .map((chance, i): [number, number] => [pmf.from + i, chance])
    .filter(([, chance]) => chance > 0);
}

/** The sum of two independent values (convolution). */
export function sum(a: Pmf, b: Pmf): Pmf {
  const p = new Array<number>(a.p.length + b.p.length - 1).fill(0);
  a.p.forEach((x, i) => b.p.forEach((y, j) => (p[i + j]! += x * y)));
  return { from: a.from + b.from, p };
}

/** The sum of `n` independent values of one pmf, by repeated doubling. */
export function nFold(pmf: Pmf, n: number): Pmf {
  if (!Number.isInteger(n) || n < 0) throw new RangeError(`n: ${n} is not a whole number of at least 0`);
  let result = point(0);
  let power = pmf;
  for (let left = n; left > 0; left = Math.floor(left / 2)) {
    if (left % 2 === 1) result = sum(result, power);
    if (left > 1) power = sum(power, power);
  }
  return result;
}

/** The pmf of `f(value)`. */
export const map = (pmf: Pmf, f: (value: number) => number): Pmf =>
  fromEntries(entries(pmf).map(([value, chance]) => [f(value), chance]));

/** The product of two independent values. */
export const product = (a: Pmf, b: Pmf): Pmf =>
  fromEntries(entries(a).flatMap(([x, p]) => entries(b).map(([y, q]) => [x * y, p * q] as const)));

/** The smallest of `n` independent values: the first of n players to be done. */
export const first = (pmf: Pmf, n: number): Pmf => fromTails(pmf, (tail) => tail ** n);

/** The largest of `n` independent values: the last of n players to be done. */
export const last = (pmf: Pmf, n: number): Pmf => fromTails(pmf, (tail) => 1 - (1 - tail) ** n);

/** The pmf whose chance of being above each value is `f` of the chance that `pmf` is. */
function fromTails(pmf: Pmf, f: (tail: number) => number): Pmf {
  let tail = 1;
  return {
    from: pmf.from,
    p: pmf.p.map((chance, i) => {
      const before = tail;
      tail = i === pmf.p.length - 1 ? 0 : Math.max(0, tail - chance);
      return f(before) - f(tail);
    }),
  };
}

/** The pmf with these chances of being at most 0, 1, 2 …; what is missing to 1 is put on the last value. */
export const fromCdf = (cdf: readonly number[]): Pmf => ({
  from: 0,
  p: cdf.map((c, i) => Math.max(0, (i === cdf.length - 1 ? 1 : c) - (i === 0 ? 0 : cdf[i - 1]!))),
});

/** Each of the values is equally likely; a value named twice is twice as likely. */
export const evenly = (values: readonly number[]): Pmf =>
  fromEntries(values.map((value) => [value, 1 / values.length] as const));

/** One fair die. */
export const DIE: Pmf = evenly([1, 2, 3, 4, 5, 6]);

/** The expected value. */
export const mean = (pmf: Pmf): number =>
  pmf.p.reduce((total, chance, i) => total + chance * (pmf.from + i), 0);

/** Chance that the value is at most `value`. */
export const atMost = (pmf: Pmf, value: number): number =>
  pmf.p.slice(0, Math.max(0, value - pmf.from + 1)).reduce((a, b) => a + b, 0);

/**
 * The smallest value that is reached or undercut with chance `q` (0 < q ≤ 1). A rounding allowance of
 * 1e-12 keeps exact steps, such as 0.95 made of twenty 0.0475s, on the expected side.
 */
export function quantile(pmf: Pmf, q: number): number {
  let total = 0;
  for (const [value, chance] of entries(pmf)) {
    total += chance;
    if (total >= q - 1e-12) return value;
  }
  return pmf.from + pmf.p.length - 1;
}

/** The largest value with a chance above zero. */
export const largest = (pmf: Pmf): number => entries(pmf).at(-1)![0];
