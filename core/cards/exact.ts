/** Arithmetic in which nothing is rounded. Each number is one JavaScript number, so that many fit into a set. */
import type { Sign } from './facts';

/** NaN is what cannot be made. Numbers of one arithmetic are equal when they are the same fraction. */
export interface Arithmetic {
  /** A whole number. */
  from: (whole: number) => number;
  /** About how large a number is; larger ones are larger. */
  size: (number: number) => number;
  step: Record<Sign, (a: number, b: number) => number>;
}

/** Whole numbers from zero up: no step goes below zero or leaves a remainder. */
export const WHOLE: Arithmetic = {
  from: (whole) => whole,
  size: (number) => number,
  step: {
    '+': (a, b) => a + b,
    '−': (a, b) => (a < b ? NaN : a - b),
    '×': (a, b) => a * b,
    '÷': (a, b) => (b === 0 || a % b !== 0 ? NaN : a / b),
  },
};

/**
 * A fraction p / q in lowest terms, q > 0, is p · 2²⁶ + q. Of five cards up to 15 neither is above 2⁴ · 15⁵ < 2²⁴;
 * what is larger than 2²⁶ cannot be made.
 */
const BASE = 2 ** 26;

const above = (number: number): number => Math.floor(number / BASE);

function fraction(p: number, q: number): number {
  if (q === 0) return NaN;
  let [a, b] = [Math.abs(p), Math.abs(q)];
  while (b > 0) [a, b] = [b, a % b];
  const common = q < 0 ? -a : a;
  const [over, under] = [p / common, q / common];
  return Math.abs(over) < BASE && under < BASE ? over * BASE + under : NaN;
}

/** All fractions, below zero too. */
export const FRACTIONS: Arithmetic = {
  from: (whole) => whole * BASE + 1,
  size: (number) => above(number) / (number - above(number) * BASE),
  step: {
    '+': (a, b) => sum(a, b, 1),
    '−': (a, b) => sum(a, b, -1),
    '×': (a, b) => {
      const [p, r] = [above(a), above(b)];
      return fraction(p * r, (a - p * BASE) * (b - r * BASE));
    },
    '÷': (a, b) => {
      const [p, r] = [above(a), above(b)];
      return fraction(p * (b - r * BASE), (a - p * BASE) * r);
    },
  },
};

function sum(a: number, b: number, sign: 1 | -1): number {
  const [p, r] = [above(a), above(b)];
  const [q, s] = [a - p * BASE, b - r * BASE];
  return fraction(p * s + sign * r * q, q * s);
}

export const arithmetic = (whole: boolean): Arithmetic => (whole ? WHOLE : FRACTIONS);
