/** The mistakes that are usual with a piece of arithmetic, and the word that helps each. */
import type { Fact, Operation } from '~/core/cards/facts';
import type { Random } from '~/core/chance/random';
import type { RehearseMessage } from '~/core/words/rehearse';

export interface Mistake {
  /** What the child does. */
  child: RehearseMessage;
  /** What sends it back to what lies there. */
  help: RehearseMessage;
  /** Facts with which this can be seen. */
  shows(fact: Fact): boolean;
  /** The number the child says instead, where it says one. */
  wrong?(fact: Fact, random: Random): number;
}

const parts = ({ a, b }: Fact): boolean => a >= 1 && b >= 1;
const numeric = ({ answer }: Fact): boolean => Number.isInteger(answer) && answer >= 0;

/** Near the answer, and not it; never below nothing. */
function near({ answer }: Fact, random: Random): number {
  const off = random.whole(2, 3);
  return answer >= off && random.chance(0.5) ? answer - off : answer + off;
}

const guess: Mistake = { child: 'child.guess', help: 'say.show', shows: numeric, wrong: near };
const one: Mistake = {
  child: 'child.one',
  help: 'say.other',
  shows: parts,
  wrong: ({ a, b }) => Math.max(a, b),
};
const fromOne: Mistake = {
  child: 'child.fromOne',
  help: 'say.on',
  shows: (fact) => parts(fact) && fact.answer >= 4,
};
const twice: Mistake = {
  child: 'child.twice',
  help: 'say.touch',
  shows: ({ a }) => a >= 2,
  wrong: ({ answer }) => answer + 1,
};
const adds: Mistake = {
  child: 'child.adds',
  help: 'say.lay',
  shows: ({ a, b, answer }) => a >= 2 && b >= 2 && a + b !== answer,
  wrong: ({ a, b }) => a + b,
};
/** A card of one's own is forgotten: only where cards that are alike are looked for. */
export const FORGETS: Mistake = { child: 'child.forgets', help: 'say.look', shows: ({ a, b }) => a === b };

/** The usual mistakes of each operation, the most usual first. */
export const MISTAKES: Readonly<Record<Operation, readonly Mistake[]>> = {
  split: [one, fromOne, guess],
  add: [fromOne, one, guess],
  subtract: [
    {
      child: 'child.back',
      help: 'say.away',
      shows: (fact) => parts(fact) && fact.answer >= 1,
      wrong: ({ answer }) => answer + 1,
    },
    guess,
  ],
  missing: [
    {
      child: 'child.whole',
      help: 'say.more',
      shows: ({ a, b }) => a >= 1 && b > a,
      wrong: ({ b }) => b,
    },
    guess,
  ],
  compare: [
    {
      child: 'child.longer',
      help: 'say.pairs',
      shows: ({ a, b }) => a >= 0 && b >= 0 && a !== b,
      wrong: ({ a, b }) => Math.min(a, b),
    },
    FORGETS,
  ],
  count: [twice, guess],
  quantity: [twice, guess],
  glance: [guess, twice],
  groups: [adds, fromOne, guess],
  multiply: [adds, guess],
  divide: [{ child: 'child.cannot', help: 'say.share', shows: parts }, guess],
  tens: [
    {
      child: 'child.places',
      help: 'say.build',
      shows: ({ a, b }) => a >= 1 && b >= 1 && a !== b && a < 10 && b < 10,
      wrong: ({ a, b }) => 10 * b + a,
    },
    fromOne,
  ],
  letter: [{ child: 'child.mirror', help: 'say.trace', shows: () => true }],
  listen: [{ child: 'child.goesOn', help: 'say.slow', shows: () => true }],
};

/** What is to be done, as it is told before the child acts. */
export const TASKS: Readonly<Record<Operation, RehearseMessage>> = {
  split: 'turn.split',
  add: 'turn.add',
  subtract: 'turn.subtract',
  multiply: 'turn.groups',
  groups: 'turn.groups',
  divide: 'turn.divide',
  missing: 'turn.missing',
  compare: 'turn.compare',
  count: 'turn.count',
  quantity: 'turn.quantity',
  glance: 'turn.glance',
  tens: 'turn.tens',
  letter: 'turn.letter',
  listen: 'turn.listen',
};
/** Acts whose answer is no number. */
export const WORDLESS: ReadonlySet<Operation> = new Set(['letter', 'listen']);
