/** What a grown-up might hear from a child in a play, and what it shows: it follows from the facts that are met. */
import type { Fact, Operation } from '~/core/cards/facts';
import type { FamilyMessage } from '~/core/words/family';
import type { Args } from '~/core/words/message';
import type { Practised } from './types';

export interface Heard {
  id: FamilyMessage;
  args: Args;
}

/** So many are told on a sheet. */
const MOST = 2;
/** An operation that is met less often than this share is not told of. */
const COMMON = 0.1;

/** How large a fact is: its largest number. */
const size = ({ a, b, answer }: Fact): number => Math.max(Math.abs(a), Math.abs(b), Math.abs(answer));

interface Listened {
  id: FamilyMessage;
  /** Whether the usual slip can be heard with this fact. */
  shows(fact: Fact): boolean;
  args?(fact: Fact): Args;
}

const always = (): boolean => true;
const below = (...numbers: number[]): boolean => numbers.every((n) => n >= 1);

/** The usual slip of each operation. Operations that children learn of later have none. */
const LISTENED: Partial<Record<Operation, Listened>> = {
  count: { id: 'hear.count', shows: always },
  quantity: { id: 'hear.quantity', shows: always },
  glance: { id: 'hear.glance', shows: always },
  listen: { id: 'hear.listen', shows: always },
  letter: { id: 'hear.letter', shows: always },
  compare: { id: 'hear.compare', shows: ({ a, b }) => a !== b },
  split: {
    id: 'hear.split',
    shows: ({ a, b }) => below(a, b),
    args: ({ a }) => ({ a }),
  },
  // Counting all again where one could count on: from the larger number.
  add: {
    id: 'hear.add',
    shows: ({ a, b }) => below(a, b) && a + b >= 4,
    args: ({ a, b }) => ({ a: Math.max(a, b), b: Math.min(a, b) }),
  },
  missing: {
    id: 'hear.missing',
    shows: ({ a, b }) => below(a, b - a),
    args: ({ a, b }) => ({ a, b }),
  },
  // The first piece is counted along, so that the answer is one too large.
  subtract: {
    id: 'hear.subtract',
    shows: ({ a, b, answer }) => below(a, b, answer),
    args: ({ a, b, answer }) => ({ a, b, wrong: answer + 1 }),
  },
  // Both numbers are added.
  multiply: {
    id: 'hear.multiply',
    shows: ({ a, b, answer }) => below(a - 1, b - 1) && a + b !== answer,
    args: ({ a, b }) => ({ a, b, wrong: a + b }),
  },
  groups: {
    id: 'hear.multiply',
    shows: ({ a, b, answer }) => below(a - 1, b - 1) && a + b !== answer,
    args: ({ a, b }) => ({ a, b, wrong: a + b }),
  },
  divide: {
    id: 'hear.divide',
    shows: ({ a, b, answer }) => below(a, b, answer) && b > 1,
    args: ({ a, b }) => ({ a, b }),
  },
  // The places are exchanged.
  tens: {
    id: 'hear.tens',
    shows: ({ a, b }) => below(a, b) && a !== b && a < 10,
    args: ({ a, b }) => ({ a, b, wrong: 10 * b + a }),
  },
};

/** The usual slips at what is met most often, each with a fact of middling size. */
export function hearing(practice: readonly Practised[]): Heard[] {
  const all = practice.reduce((total, { meetings }) => total + meetings, 0);
  const byOperation = new Map<Operation, Practised[]>();
  for (const one of practice) {
    const so = byOperation.get(one.fact.op) ?? [];
    so.push(one);
    byOperation.set(one.fact.op, so);
  }
  const told = [...byOperation]
    .map(([op, met]) => ({ op, met, times: met.reduce((total, { meetings }) => total + meetings, 0) }))
    .filter(({ times }) => times >= COMMON * all)
    .sort((a, b) => b.times - a.times)
    .flatMap(({ op, met }): Heard[] => {
      const listened = LISTENED[op];
      const shows = met.filter(({ fact }) => listened?.shows(fact)).map(({ fact }) => fact);
      if (!listened || shows.length === 0) return [];
      const sizes = met.reduce((total, { fact, meetings }) => total + size(fact) * meetings, 0);
      const middle = sizes / met.reduce((total, { meetings }) => total + meetings, 0);
      const off = (fact: Fact): number => Math.abs(size(fact) - middle) + 0.01 * Math.abs(fact.a - fact.b);
      const fact = shows.reduce((a, b) => (off(b) < off(a) - 1e-9 ? b : a));
      return [{ id: listened.id, args: listened.args?.(fact) ?? {} }];
    });
  return told.filter(({ id }, i) => told.findIndex((one) => one.id === id) === i).slice(0, MOST);
}
