/**
 * The solver: every different way to reach a target with two or more of the laid cards. Two ways are the same when
 * they differ only in the order or bracketing of sums or of products.
 */
import { arithmetic, type Arithmetic } from '~/core/cards/exact';
import type { Sign } from '~/core/cards/facts';
import { shuffled, type Random } from '~/core/chance/random';
import type { Layout as Deal } from '~/core/games/kit';
import type { MarkParams } from '.';
import { deckNumbers } from './reckon';

/** A sum with what is added and what is taken away, a product with what multiplies and divides, or one card. */
interface Found {
  kind: 'card' | 'sum' | 'product';
  /** About how large it is. */
  size: number;
  plus: readonly Found[];
  minus: readonly Found[];
  /** As it is written. */
  text: string;
  /** The same for ways that differ in nothing but order and bracketing. */
  key: string;
}

export interface Way {
  /** As it is written: "(5 + 3) × 2". */
  text: string;
  /** The cards it uses, largest first. */
  cards: number[];
}

export interface Rules {
  ops: readonly Sign[];
  /** No step below zero, no remainder. */
  whole: boolean;
}

/** A subset of the laid cards is a bit mask. */
export interface Layout {
  cards: readonly number[];
  numbers: Arithmetic;
  /** Numbers of that arithmetic. */
  values: (mask: number) => Set<number>;
}

/** All values that use every card of a subset, computed once for each subset. */
export function layout(cards: readonly number[], { ops, whole }: Rules): Layout {
  const known = new Map<number, Set<number>>();
  const numbers = arithmetic(whole);
  const steps = ops.map((sign) => numbers.step[sign]);
  const values = (mask: number): Set<number> => {
    const found = known.get(mask);
    if (found) return found;
    const made = new Set<number>();
    known.set(mask, made);
    if ((mask & (mask - 1)) === 0) return made.add(numbers.from(cards[31 - Math.clz32(mask)]!));
    for (let part = (mask - 1) & mask; part > 0; part = (part - 1) & mask) {
      const rest = mask ^ part;
      if (part < rest) continue;
      const others = values(rest);
      for (const a of values(part))
        for (const b of others) {
          for (const step of steps) {
            made.add(step(a, b));
            made.add(step(b, a));
          }
        }
    }
    made.delete(NaN);
    return made;
  };
  return { cards, numbers, values };
}

/**
 * Every different way to the target, those with the fewest cards first; at most `most` of them (`more` tells that
 * there are others).
 */
export function solve(
  cards: readonly number[],
  target: number,
  rules: Rules,
  most = 400,
): { ways: Way[]; more: boolean } {
  const laid = layout(cards, rules);
  const masks = Array.from({ length: 2 ** cards.length - 1 }, (_, i) => i + 1)
    .filter((mask) => bits(mask) >= 2)
    .sort((a, b) => bits(a) - bits(b));
  const found = new Map<string, Way>();
  const seen = new Set<string>();
  // What smaller subsets make is asked again and again by the larger ones.
  const known = new Map<string, Found[]>();
  for (const mask of masks) {
    const used = cardsOf(cards, mask);
    // Equal cards make equal subsets: one of them is enough.
    if (seen.has(used.join())) continue;
    seen.add(used.join());
    for (const { key, text } of reach(laid, mask, laid.numbers.from(target), rules, known)) {
      if (!found.has(key)) found.set(key, { text, cards: used });
      if (found.size > most) return { ways: [...found.values()].slice(0, most), more: true };
    }
  }
  return { ways: [...found.values()], more: false };
}

const bits = (mask: number): number => {
  let count = 0;
  for (let left = mask; left > 0; left &= left - 1) count++;
  return count;
};

const cardsOf = (cards: readonly number[], mask: number): number[] =>
  cards.filter((_, i) => mask & (1 << i)).sort((a, b) => b - a);

/** To list all values of so many cards takes longer than to ask for one. */
const LISTED = 4;

/** Whether the cards of a subset may make a value: certain for few cards, left open for more. */
const mayBe = (laid: Layout, mask: number, value: number): boolean =>
  bits(mask) > LISTED || laid.values(mask).has(value);

/** Every way in which all cards of a subset make a value, by asking which last step could give it. */
function* reach(
  laid: Layout,
  mask: number,
  target: number,
  rules: Rules,
  known: Map<string, Found[]>,
): Generator<Found> {
  const key = `${mask} ${target}`;
  const before = known.get(key);
  if (before) {
    yield* before;
    return;
  }
  const made = new Map<string, Found>();
  const add = (node: Found): void => {
    if (!made.has(node.key)) made.set(node.key, node);
  };
  if ((mask & (mask - 1)) === 0) {
    const size = laid.cards[31 - Math.clz32(mask)]!;
    const text = String(size);
    if (laid.numbers.from(size) === target) add({ kind: 'card', size, plus: [], minus: [], text, key: text });
  } else if (mayBe(laid, mask, target))
    for (let part = (mask - 1) & mask; part > 0; part = (part - 1) & mask) {
      const rest = mask ^ part;
      // The side with fewer cards is tried value by value; what the other side must be follows.
      if (bits(part) > bits(rest) || (bits(part) === bits(rest) && part > rest)) continue;
      for (const a of laid.values(part))
        for (const sign of rules.ops)
          for (const { left, b } of partners(laid.numbers, sign, a, target, () => laid.values(rest))) {
            if (Number.isNaN(b) || !mayBe(laid, rest, b)) continue;
            const step = laid.numbers.step[sign];
            if ((left ? step(a, b) : step(b, a)) !== target) continue;
            const size = laid.numbers.size(target);
            const xs = reach(laid, part, a, rules, known);
            for (const x of xs)
              for (const y of reach(laid, rest, b, rules, known)) {
                const node = left ? join(sign, x, y, size, rules.ops) : join(sign, y, x, size, rules.ops);
                if (node) add(node);
              }
          }
    }
  known.set(key, [...made.values()]);
  yield* made.values();
}

const bothSides = (b: number): { left: boolean; b: number }[] => [
  { left: true, b },
  { left: false, b },
];

/** What the other side must be so that the step gives the target; `left`: `a` stands on the left. */
function partners(
  { from, step }: Arithmetic,
  sign: Sign,
  a: number,
  target: number,
  any: () => Iterable<number>,
): { left: boolean; b: number }[] {
  const none = from(0);
  switch (sign) {
    case '+':
      return bothSides(step['−'](target, a));
    case '−':
      return [
        { left: true, b: step['−'](a, target) },
        { left: false, b: step['+'](target, a) },
      ];
    case '×':
      if (a !== none) return bothSides(step['÷'](target, a));
      // Nothing times anything is nothing.
      return target === none ? [...any()].flatMap(bothSides) : [];
    case '÷':
      return [
        ...(target !== none ? [{ left: true, b: step['÷'](a, target) }] : []),
        ...(target === none && a === none ? [...any()].map((b) => ({ left: true, b })) : []),
        ...(a !== none ? [{ left: false, b: step['×'](target, a) }] : []),
      ];
  }
}

/** What is larger stands first; of what is equal, by how it is written. */
const byOrder = (p: Found, q: Found): number =>
  q.size - p.size || (p.text < q.text ? -1 : p.text > q.text ? 1 : 0);

/**
 * The step as a node. Sums within sums and products within products are one, and each has many last steps: it is made by
 * the one that takes its last part, in the order in which it is written. For another step: undefined. Where a sign may
 * be used without its opposite, what is taken away from what is taken away stays in brackets: 5 − (3 − 2).
 */
function join(sign: Sign, x: Found, y: Found, size: number, ops: readonly Sign[]): Found | undefined {
  const kind = sign === '+' || sign === '−' ? 'sum' : 'product';
  const turned = sign === '−' || sign === '÷';
  const alone = turned && !ops.includes(sign === '−' ? '+' : '×');
  const { plus, minus } = x.kind === kind ? x : { plus: [x], minus: [] };
  if (alone) {
    const other = y.kind === kind ? y : { plus: [y], minus: [] };
    const [more, less] = [[...plus, ...other.minus].sort(byOrder), [...minus, ...other.plus].sort(byOrder)];
    const left = x.kind === kind ? x.text : inner(kind, x);
    const right = y.kind === kind ? `(${y.text})` : inner(kind, y);
    return {
      kind,
      size,
      plus: more,
      minus: less,
      text: `${left} ${sign} ${right}`,
      key: write(kind, more, less),
    };
  }
  if (y.kind === kind) return undefined;
  const before = (turned ? minus : plus).at(-1);
  if ((!turned && minus.length) || (before && byOrder(before, y) > 0)) return undefined;
  const [more, less] = turned ? [plus, [...minus, y]] : [[...plus, y], minus];
  const text = write(kind, more, less);
  return { kind, size, plus: more, minus: less, text, key: text };
}

const inner = (kind: 'sum' | 'product', one: Found): string =>
  one.kind === 'card' || (kind === 'sum' && one.kind === 'product') ? one.text : `(${one.text})`;

function write(kind: 'sum' | 'product', plus: readonly Found[], minus: readonly Found[]): string {
  const [first, second] = kind === 'sum' ? ['+', '−'] : ['×', '÷'];
  return [
    plus.map((one) => inner(kind, one)).join(` ${first} `),
    ...minus.map((one) => `${second} ${inner(kind, one)}`),
  ].join(' ');
}

/** Deals a layout: the laid numbers and the target. */
export function deal(params: MarkParams, random: Random): Deal {
  const cards = shuffled(deckNumbers(params), random);
  return { laid: cards.slice(0, params.laid), target: cards[params.laid]! };
}
