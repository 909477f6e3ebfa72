/**
 * The solver: every different way to reach a target with two or more of the laid cards. Two ways are the same when
 * they differ only in the order or bracketing of sums or of products.
 */
import { apply, type Sign } from '~/core/cards/facts';
import { shuffled, type Random } from '~/core/chance/random';
import type { Layout as Deal } from '~/core/games/kit';
import type { MarkParams } from '.';
import { deckNumbers } from './reckon';

/** A sum with what is added and what is taken away, a product with what multiplies and divides, or one card. */
interface Found {
  kind: 'card' | 'sum' | 'product';
  value: number;
  plus: readonly Found[];
  minus: readonly Found[];
  /** As it is written. */
  text: string;
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

/** Two values are the same number up to what fractions lose. */
const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-9 * Math.max(1, Math.abs(a));

const keyOf = (value: number): number => (Number.isInteger(value) ? value : Math.round(value * 1e8) / 1e8);

/** A subset of the laid cards is a bit mask. */
export interface Layout {
  cards: readonly number[];
  values: (mask: number) => Set<number>;
}

/** All values that use every card of a subset, computed once for each subset. */
export function layout(cards: readonly number[], { ops, whole }: Rules): Layout {
  const known = new Map<number, Set<number>>();
  const [add, take, multiply, divide] = (['+', '−', '×', '÷'] as const).map((sign) => ops.includes(sign));
  const keep = (made: Set<number>, value: number): void => {
    if (Number.isInteger(value) ? !whole || value >= 0 : !whole) made.add(keyOf(value));
  };
  const values = (mask: number): Set<number> => {
    const found = known.get(mask);
    if (found) return found;
    const made = new Set<number>();
    known.set(mask, made);
    if ((mask & (mask - 1)) === 0) return made.add(cards[31 - Math.clz32(mask)]!);
    for (let part = (mask - 1) & mask; part > 0; part = (part - 1) & mask) {
      const rest = mask ^ part;
      if (part < rest) continue;
      const others = values(rest);
      for (const a of values(part))
        for (const b of others) {
          if (add) keep(made, a + b);
          if (multiply) keep(made, a * b);
          if (take) {
            keep(made, a - b);
            keep(made, b - a);
          }
          if (divide) {
            if (b !== 0) keep(made, a / b);
            if (a !== 0) keep(made, b / a);
          }
        }
    }
    return made;
  };
  return { cards, values };
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
    for (const node of reach(laid, mask, target, rules, known)) {
      const { text } = node;
      if (!found.has(text)) found.set(text, { text, cards: used });
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
  bits(mask) > LISTED || laid.values(mask).has(keyOf(value));

/** Every way in which all cards of a subset make a value, by asking which last step could give it. */
function* reach(
  laid: Layout,
  mask: number,
  target: number,
  rules: Rules,
  known: Map<string, Found[]>,
): Generator<Found> {
  const key = `${mask} ${keyOf(target)}`;
  const before = known.get(key);
  if (before) {
    yield* before;
    return;
  }
  const made = new Map<string, Found>();
  const add = (node: Found): void => void made.set(node.text, node);
  if ((mask & (mask - 1)) === 0) {
    const value = laid.cards[31 - Math.clz32(mask)]!;
    if (near(value, target)) add({ kind: 'card', value, plus: [], minus: [], text: String(value) });
  } else if (mayBe(laid, mask, target))
    for (let part = (mask - 1) & mask; part > 0; part = (part - 1) & mask) {
      const rest = mask ^ part;
      // The side with fewer cards is tried value by value; what the other side must be follows.
      if (bits(part) > bits(rest) || (bits(part) === bits(rest) && part > rest)) continue;
      for (const a of laid.values(part))
        for (const sign of rules.ops)
          for (const { left, b } of partners(sign, a, target, () => laid.values(rest))) {
            if (!mayBe(laid, rest, b)) continue;
            const result = left ? apply(sign, a, b, rules.whole) : apply(sign, b, a, rules.whole);
            if (result === undefined || !near(result, target)) continue;
            const xs = reach(laid, part, a, rules, known);
            for (const x of xs)
              for (const y of reach(laid, rest, b, rules, known)) {
                const node = left ? join(sign, x, y) : join(sign, y, x);
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
  sign: Sign,
  a: number,
  target: number,
  any: () => Iterable<number>,
): { left: boolean; b: number }[] {
  switch (sign) {
    case '+':
      return bothSides(target - a);
    case '−':
      return [
        { left: true, b: a - target },
        { left: false, b: target + a },
      ];
    case '×':
      if (a !== 0) return bothSides(target / a);
      // Nothing times anything is nothing.
      return target === 0 ? [...any()].flatMap(bothSides) : [];
    case '÷':
      return [
        ...(target !== 0 ? [{ left: true, b: a / target }] : []),
        ...(target === 0 && a === 0 ? [...any()].map((b) => ({ left: true, b })) : []),
        ...(a !== 0 ? [{ left: false, b: target * a }] : []),
      ];
  }
}

/** What is larger stands first; of what is equal, by how it is written. */
const inOrder = (p: Found, q: Found): boolean =>
  p.value > q.value || (p.value === q.value && p.text <= q.text);

/**
 * The step as a node. Sums within sums and products within products are one, and each has many last steps: it is made by
 * the one that takes its last part, in the order in which it is written. For another step: undefined.
 */
function join(sign: Sign, x: Found, y: Found): Found | undefined {
  const kind = sign === '+' || sign === '−' ? 'sum' : 'product';
  if (y.kind === kind) return undefined;
  const { plus, minus } = x.kind === kind ? x : { plus: [x], minus: [] };
  const turned = sign === '−' || sign === '÷';
  const before = (turned ? minus : plus).at(-1);
  if ((!turned && minus.length) || (before && !inOrder(before, y))) return undefined;
  const value = apply(sign, x.value, y.value, false) ?? NaN;
  const [more, less] = turned ? [plus, [...minus, y]] : [[...plus, y], minus];
  return { kind, value, plus: more, minus: less, text: write(kind, more, less) };
}

function write(kind: 'sum' | 'product', plus: readonly Found[], minus: readonly Found[]): string {
  const [first, second] = kind === 'sum' ? ['+', '−'] : ['×', '÷'];
  const inner = (one: Found): string =>
    one.kind === 'card' || (kind === 'sum' && one.kind === 'product') ? one.text : `(${one.text})`;
  return [plus.map(inner).join(` ${first} `), ...minus.map((one) => `${second} ${inner(one)}`)].join(' ');
}

/** Deals a layout: the laid numbers and the target. */
export function deal(params: MarkParams, random: Random): Deal {
  const cards = shuffled(deckNumbers(params), random);
  return { laid: cards.slice(0, params.laid), target: cards[params.laid]! };
}
