/**
 * The exact chance over all deals. A deal is a multiset of laid values and a target value; its weight is the number
 * of card sets that show it. What a smaller multiset reaches is computed once and shared by all that contain it.
 */
import { countValues } from '~/core/cards/deck';
import { arithmetic, type Arithmetic } from '~/core/cards/exact';
import type { Sign } from '~/core/cards/facts';
import { choose } from '~/core/chance/binomial';

export interface Odds {
  /** Chance that the target can be reached. */
  solvable: number;
  /** fewest[k]: share of all deals whose shortest solution takes k cards. */
  fewest: Record<number, number>;
  /** For each target value, the chance that it can be reached. */
  byTarget: Map<number, number>;
  /** How many multisets of laid cards there are. */
  layouts: number;
}

/**
 * Exact, with fractions too. Calls `progress` with the share done.
 * Source of the weights: multivariate hypergeometric, Π C(have_v, laid_v) · (have_t − laid_t).
 */
export function oddsOf(
  deck: readonly number[],
  laid: number,
  ops: readonly Sign[],
  whole: boolean,
  progress?: (share: number) => void,
): Odds {
  const have = countValues(deck);
  const kinds = [...have.keys()];
  const counts = kinds.map((value) => have.get(value)!);
  // With a sixth card, a set of five matters only up to the largest target times the largest card.
  const sets = new Sets(kinds, ops, whole, Math.max(...kinds) ** 2);

  const fewest: Record<number, number> = {};
  for (let k = 2; k <= laid; k++) fewest[k] = 0;
  const byTarget = new Map<number, { all: number; good: number }>(
    kinds.map((value) => [value, { all: 0, good: 0 }]),
  );
  let all = 0;
  let done = 0;
  const layouts = multisets(kinds.length, counts, laid);
  for (const set of layouts) {
    const ways = weight(set, counts);
    const masks = sets.shortest(set);
    for (let t = 0; t < kinds.length; t++) {
      const left = counts[t]! - set.filter((kind) => kind === t).length;
      if (left === 0) continue;
      const deals = ways * left;
      all += deals;
      const target = byTarget.get(kinds[t]!)!;
      target.all += deals;
      for (let k = 2; k <= laid; k++) {
        if (!(masks[k]! & (1 << t))) continue;
        fewest[k]! += deals;
        target.good += deals;
        break;
      }
    }
    if (++done % 64 === 0) progress?.(done / layouts.length);
  }
  for (const k of Object.keys(fewest)) fewest[Number(k)]! /= all;
  return {
    solvable: Object.values(fewest).reduce((a, b) => a + b, 0),
    fewest,
    byTarget: new Map(
      [...byTarget].filter(([, { all }]) => all > 0).map(([v, { all, good }]) => [v, good / all]),
    ),
    layouts: layouts.length,
  };
}

/** All multisets of `size` kinds, ascending, none taken more often than there are cards of it. */
function multisets(kinds: number, counts: readonly number[], size: number): number[][] {
  const found: number[][] = [];
  const grow = (from: number, set: number[]): void => {
    if (set.length === size) {
      found.push(set);
      return;
    }
    for (let kind = from; kind < kinds; kind++)
      if (set.filter((one) => one === kind).length < counts[kind]!) grow(kind, [...set, kind]);
  };
  grow(0, []);
  return found;
}

/** Number of card sets that show this multiset. */
function weight(set: readonly number[], counts: readonly number[]): number {
  let ways = 1;
  for (let i = 0; i < set.length;) {
    let run = i;
    while (run < set.length && set[run] === set[i]) run++;
    ways *= choose(counts[set[i]!]!, run - i);
    i = run;
  }
  return ways;
}

/** What multisets of kinds reach, shared among all that contain them. */
class Sets {
  private readonly values = new Map<number, Set<number>>();
  private readonly lists = new Map<number, Float64Array>();
  private readonly targets = new Map<number, number>();
  private readonly numbers: Arithmetic;
  private readonly none: number;
  /** The kinds as numbers of the arithmetic. */
  private readonly wanted: readonly number[];

  constructor(
    private readonly kinds: readonly number[],
    private readonly ops: readonly Sign[],
    whole: boolean,
    /** The largest multiset's parts need to be known only up to here. */
    private readonly limit: number,
  ) {
    this.numbers = arithmetic(whole);
    this.none = this.numbers.from(0);
    this.wanted = kinds.map(this.numbers.from);
  }

  /** A multiset as one number, in base 16. */
  private key(set: readonly number[]): number {
    let key = 0;
    for (const kind of set) key = key * 16 + kind + 1;
    return key;
  }

  /** For each number of cards, the targets (bits) that some sub-multiset of that size reaches. */
  shortest(set: readonly number[]): number[] {
    const masks = new Array<number>(set.length + 1).fill(0);
    const seen = new Set<number>();
    for (let pick = 1; pick < 2 ** set.length; pick++) {
      const part = set.filter((_, i) => pick & (1 << i));
      if (part.length < 2) continue;
      const key = this.key(part);
      if (seen.has(key)) continue;
      seen.add(key);
      masks[part.length]! |= this.hits(part, key);
    }
    return masks;
  }

  /** The targets (bits) that use every card of the multiset. */
  private hits(set: readonly number[], key: number): number {
    const known = this.targets.get(key);
    if (known !== undefined) return known;
    let mask = 0;
    if (set.length <= 4) {
      const values = this.valuesOf(set);
      this.wanted.forEach((value, t) => {
        if (values.has(value)) mask |= 1 << t;
      });
    } else {
      const full = 2 ** this.kinds.length - 1;
      for (const [small, large] of splits(set)) {
        mask |= this.meets(small, large, full & ~mask);
        if (mask === full) break;
      }
    }
    this.targets.set(key, mask);
    return mask;
  }

  /** The wanted targets that some value of one side and some value of the other make in one step. */
  private meets(small: readonly number[], large: readonly number[], wanted: number): number {
    const values = this.valuesOf(large);
    let mask = 0;
    for (const a of this.listOf(small))
      for (let t = 0; t < this.kinds.length; t++) {
        if (!(wanted & (1 << t)) || mask & (1 << t)) continue;
        if (this.canMeet(a, this.wanted[t]!, values)) mask |= 1 << t;
      }
    return mask;
  }

  private canMeet(a: number, target: number, values: ReadonlySet<number>): boolean {
    const { none, numbers } = this;
    const step = numbers.step;
    for (const sign of this.ops) {
      if (sign === '+') {
        if (values.has(step['−'](target, a))) return true;
      } else if (sign === '−') {
        if (values.has(step['−'](a, target)) || values.has(step['+'](target, a))) return true;
      } else if (sign === '×') {
        if (a === none ? target === none : values.has(step['÷'](target, a))) return true;
      } else {
        if (a !== none && values.has(step['×'](target, a))) return true;
        if (target !== none && a !== none && values.has(step['÷'](a, target))) return true;
        if (target === none && a === none) for (const b of values) if (b !== none) return true;
      }
    }
    return false;
  }

  private listOf(set: readonly number[]): Float64Array {
    const key = this.key(set);
    const known = this.lists.get(key);
    if (known) return known;
    const list = Float64Array.from(this.valuesOf(set));
    this.lists.set(key, list);
    return list;
  }

  /** All values that use every card of the multiset; of five cards, only those small enough to matter. */
  private valuesOf(set: readonly number[]): Set<number> {
    const key = this.key(set);
    const known = this.values.get(key);
    if (known) return known;
    const made = new Set<number>();
    if (set.length === 1) made.add(this.wanted[set[0]!]!);
    else {
      const limit = set.length >= 5 ? this.limit : Infinity;
      const { step, size } = this.numbers;
      const add = (value: number): void => {
        if (limit === Infinity || Math.abs(size(value)) <= limit) made.add(value);
      };
      for (const [small, large] of splits(set))
        for (const a of this.listOf(small))
          for (const b of this.listOf(large))
            for (const sign of this.ops) {
              add(step[sign](a, b));
              if (sign === '−' || sign === '÷') add(step[sign](b, a));
            }
      made.delete(NaN);
    }
    this.values.set(key, made);
    return made;
  }
}

/** The ways to part a multiset in two, the smaller side first, each once. */
function splits(set: readonly number[]): [small: number[], large: number[]][] {
  const seen = new Set<string>();
  const found: [number[], number[]][] = [];
  for (let pick = 1; pick < 2 ** set.length - 1; pick++) {
    const small = set.filter((_, i) => pick & (1 << i));
    const large = set.filter((_, i) => !(pick & (1 << i)));
    if (small.length > large.length) continue;
    const key = `${small.join()}|${large.join()}`;
    const turned = `${large.join()}|${small.join()}`;
    if (seen.has(key) || seen.has(turned)) continue;
    seen.add(key);
    found.push([small, large]);
  }
  return found;
}
