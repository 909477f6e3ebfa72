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

/**
 * How many of `n` independent tries succeed when the chance itself is only known to lie around `mean`, with standard
 * deviation `sd`: beta-binomial, term by term. A spread that no chance can have is taken as the widest there is.
 */
export function betaBinomial(n: number, mean: number, sd: number): Pmf {
  if (sd <= 0 || mean <= 0 || mean >= 1) return binomial(n, Math.min(1, Math.max(0, mean)));
  const most = 0.9 * mean * (1 - mean);
  const weight = (mean * (1 - mean)) / Math.min(sd * sd, most) - 1;
  const [a, b] = [mean * weight, (1 - mean) * weight];
  const p: number[] = [];
  let term = 0;
  for (let i = 0; i < n; i++) term += Math.log((b + i) / (a + b + i));
  for (let k = 0; k <= n; k++) {
    p.push(Math.exp(term));
    term += Math.log(((n - k) * (a + k)) / ((k + 1) * (b + n - k - 1)));
  }
  return { from: 0, p };
}
