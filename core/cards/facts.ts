/**
 * A piece of arithmetic a child meets: 7 + 3 = 10, or the split of 6 into 2 and 4. Some have one number only
 * (`b` is 0 then): counting 7, building 7 from its numeral, seeing 4 without counting.
 */
export interface Fact {
  op: Operation;
  a: number;
  b: number;
  answer: number;
}

export type Operation =
  | 'split'
  | 'add'
  | 'subtract'
  | 'multiply'
  | 'divide'
  /** a and what are b? */
  | 'missing'
  /** Which is more, a or b? */
  | 'compare'
  /** a groups of b. */
  | 'groups'
  /** a tens and b ones. */
  | 'tens'
  /** One number only. */
  | 'count'
  | 'quantity'
  | 'glance'
  /** A capital letter and its small one, by its place in the alphabet. */
  | 'letter'
  /** Waiting, listening, acting on a word. */
  | 'listen';

/** The letters that a twin can have. */
export const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'] as const;

/** Operations with one number only. */
export const UNARY: ReadonlySet<Operation> = new Set(['count', 'quantity', 'glance', 'letter', 'listen']);

const ANSWER: Record<Operation, (a: number, b: number) => number> = {
  split: (a, b) => a + b,
  add: (a, b) => a + b,
  subtract: (a, b) => a - b,
  multiply: (a, b) => a * b,
  divide: (a, b) => a / b,
  missing: (a, b) => b - a,
  compare: (a, b) => Math.max(a, b),
  groups: (a, b) => a * b,
  tens: (a, b) => 10 * a + b,
  count: (a) => a,
  quantity: (a) => a,
  glance: (a) => a,
  letter: (a) => a,
  listen: (a) => a,
};

/** The fact with these numbers; its answer follows. */
export const fact = (op: Operation, a: number, b = 0): Fact => ({ op, a, b, answer: ANSWER[op](a, b) });

/** The split of a whole into two parts. */
export const split = (a: number, b: number): Fact => fact('split', a, b);

/** A number in a sentence: below zero it stands in brackets, with a minus sign. */
export const signed = (n: number): string => (n < 0 ? `(−${-n})` : `${n}`);

/** How a fact is written: "2 + 4 = 6". */
export function written({ op, a, b, answer }: Fact): string {
  const [x, y, z] = [a, b, answer].map(signed);
  switch (op) {
    case 'split':
    case 'add':
      return `${x} + ${y} = ${z}`;
    case 'subtract':
      return `${x} − ${y} = ${z}`;
    case 'multiply':
      return `${x} × ${y} = ${z}`;
    case 'divide':
      return `${x} ÷ ${y} = ${z}`;
    case 'missing':
      return `${x} + ? = ${y}`;
    case 'compare':
      return `${x} ${a < b ? '<' : a > b ? '>' : '='} ${y}`;
    case 'groups':
      return a === 1 ? `1 group of ${y} is ${z}` : `${x} groups of ${y} are ${z}`;
    case 'tens':
      return `${x} tens and ${y} ones are ${z}`;
    case 'count':
      return `count ${x}`;
    case 'quantity':
      return `show ${x}`;
    case 'glance':
      return `see ${x}`;
    case 'letter':
      return `${LETTERS[a - 1]} and ${LETTERS[a - 1]!.toLowerCase()}`;
    case 'listen':
      return `listen for ${x}`;
  }
}

/** Operation signs that a game may allow, as they are written. */
export const SIGNS = { '+': 'add', '−': 'subtract', '×': 'multiply', '÷': 'divide' } as const;
export type Sign = keyof typeof SIGNS;

/**
 * The result of a sentence, or undefined where there is none: whole and not below zero when `whole`, and nothing
 * is divided by zero.
 */
export function apply(sign: Sign, a: number, b: number, whole = true): number | undefined {
  const result = sign === '+' ? a + b : sign === '−' ? a - b : sign === '×' ? a * b : b === 0 ? NaN : a / b;
  if (!Number.isFinite(result)) return undefined;
  return whole && (result < 0 || !Number.isInteger(result)) ? undefined : result;
}
