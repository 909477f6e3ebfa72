import type { Pmf } from './pmf';

/** Binomial coefficient C(n, k); exact while it is below 2^53. */
export function choose(n: number, k: number): number {
  if (k < 0 || k > n) return 0;
  let result = 1;
  for (let i = 1; i <= Math.min(k, n - k); i++)
    result = Math.round((result * (n - Math.min(k, n - k) + i)) / i);
  return result;
}

/** How many of `n` independent tries succeed, each with chance `p`. */
export const binomial = (n: number, p: number): Pmf => ({
  from: 0,
  p: Array.from({ length: n + 1 }, (_, k) => choose(n, k) * p ** k * (1 - p) ** (n - k)),
});
