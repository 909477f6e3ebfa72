/** What a game of building blocks comes to: the results of a turn, its length, its practice. Exact. */
import { fact, type Fact } from '~/core/cards/facts';
import { binomial } from '~/core/chance/binomial';
import { drawsToFill, type Needed } from '~/core/chance/coverage';
import { turnsToEnd, turnsUntilFirst } from '~/core/chance/markov';
import { entries, fromEntries, nFold, point, type Pmf } from '~/core/chance/pmf';
import { countValues } from '~/core/cards/deck';
import type { OwnGame } from './definition';

type Make = OwnGame['make'];
/** The numbers of one turn, and how likely they are. */
export interface Outcome {
  values: number[];
  chance: number;
}

const MOST_KNOWN = 32;
/** Remembers what follows from the kind of turn alone: it is asked for many times in one reckoning. */
function remembered<O extends Pick<OwnGame, 'turn'>, A>(
  key: (own: O) => unknown,
  work: (own: O, count: number) => A,
): (own: O, count: number) => A {
  const known = new Map<string, A>();
  return (own, count) => {
    const { kind, from, to, copies } = own.turn;
    const name = JSON.stringify([kind, from, to, copies, count, key(own)]);
    if (!known.has(name)) {
      if (known.size >= MOST_KNOWN) known.clear();
      known.set(name, work(own, count));
    }
    return known.get(name)!;
  };
}

/** Every turn there can be: dice, spins and shown cards are independent; cards of one turn are not put back. */
export const outcomes = remembered<Pick<OwnGame, 'turn'>, readonly Outcome[]>(() => '', everyTurn);
function everyTurn({ turn }: Pick<OwnGame, 'turn'>, count: number): Outcome[] {
  if (turn.kind === 'toss')
    return binomial(count, 0.5).p.map((chance, heads) => ({ values: [heads, count - heads], chance }));
  const kinds = turn.to - turn.from + 1;
  let list: Outcome[] = [{ values: [], chance: 1 }];
  for (let i = 0; i < count; i++) {
    const longer: Outcome[] = [];
    const all = turn.kind === 'draw' ? kinds * turn.copies - i : kinds;
    for (const { values, chance } of list)
      for (let number = turn.from; number <= turn.to; number++) {
        let left = 1;
        if (turn.kind === 'draw') {
          left = turn.copies;
          for (const one of values) if (one === number) left--;
        }
        if (left > 0) longer.push({ values: [...values, number], chance: (chance * left) / all });
      }
    list = longer;
  }
  return list;
}

/** What is made of the numbers of a turn. */
export function resultOf(values: readonly number[], make: Make): number {
  switch (make) {
    case 'difference':
      return Math.max(...values) - Math.min(...values);
    case 'product':
      return values.reduce((a, b) => a * b, 1);
    case 'compare':
      return Math.max(...values);
    default:
      return values.reduce((a, b) => a + b, 0);
  }
}

/** The results of a turn with their chances. */
export const results = remembered<Pick<OwnGame, 'turn' | 'make'>, ReadonlyMap<number, number>>(
  ({ make }) => make,
  resultsOf,
);

/** The expected result of a turn. */
export const expected = (own: Pick<OwnGame, 'turn' | 'make'>, count: number): number =>
  [...results(own, count)].reduce((total, [result, chance]) => total + result * chance, 0);

function resultsOf(own: Pick<OwnGame, 'turn' | 'make'>, count: number): Map<number, number> {
  const found = new Map<number, number>();
  for (const { values, chance } of outcomes(own, count)) {
    const result = resultOf(values, own.make);
    found.set(result, (found.get(result) ?? 0) + chance);
  }
  return found;
}

/** The cells that have to be covered, with the chance of each in one turn. */
export const needed = (results: ReadonlyMap<number, number>, cells: readonly number[]): Needed[] =>
  [...countValues(cells)].map(([cell, times]) => ({ chance: results.get(cell) ?? 0, times }));

export interface Setting {
  players: number;
  count: number;
  number: number;
  cells: readonly number[];
}

/** Turns of a whole play, all players together. */
export function turnsOf(own: OwnGame, { players, count, number, cells }: Setting): Pmf {
  const list = results(own, count);
  if (own.end.when === 'turns') return point(number * players);
  if (own.end.when === 'covered') return drawsToFill(needed(list, cells));
  const steps = [...list];
  const each = turnsToEnd(
    0,
    (at: number) => steps.map(([result, chance]) => [Math.min(number, at + result), chance] as const),
    (at) => at >= number,
  );
  return turnsUntilFirst(each, players);
}

/** A whole play, by how many turns it takes and how many pieces its results ask for. */
export interface WholePlay {
  turns: number;
  pieces: number;
  chance: number;
}

/**
 * Every whole play with its chance; the chances add up to 1. Where pieces are collected, a play asks for those of all
 * players together; else they are laid for one turn and taken up again, and a play asks for those of its largest turn.
 * Without `turns` plays that ask for as many pieces are one.
 */
export function wholePlays(own: OwnGame, set: Setting, turns: boolean): WholePlay[] {
  const list = results(own, set.count);
  const { players, number } = set;
  if (own.make !== 'collect') return largestTurns(list, own, set);
  if (own.end.when !== 'turns') return collectedUntil([...list], players, number, turns);
  const all = number * players;
  return entries(nFold(fromEntries(list), all)).map(([pieces, chance]) => ({ turns: all, pieces, chance }));
}

/** Chances smaller than this are left out. */
const NOTHING = 1e-13;

type Steps = readonly (readonly [result: number, chance: number])[];
/** What one player may have after so many turns of their own without having come to the number, and what those have who come to it. */
function* rounds(
  list: Steps,
  number: number,
): Generator<{ before: Chances; after: Chances; done: Chances }, void> {
  const most = Math.max(...list.map(([result]) => result));
  let before: Chances = Float64Array.of(1);
  for (;;) {
    const after = new Float64Array(number);
    const done = new Float64Array(number + most);
    before.forEach((chance, has) => {
      if (chance < NOTHING) return;
      for (const [result, p] of list) {
        const now = has + result;
        if (now < number) after[now]! += chance * p;
        else done[now]! += chance * p;
      }
    });
    yield { before, after, done };
    before = after;
  }
}
/** Chances of 0, 1, 2 …; they need not add up to 1. */
type Chances = Float64Array;
const total = (chances: Chances): number => chances.reduce((all, chance) => all + chance, 0);
/** Plays that are still on are left out when there are no more of them than this. */
const STILL_ON = 1e-12;

/**
 * P(n turns, none asks for more than x): of plays with turns of up to x alone. What is more at x than at the result
 * below it is at x.
 */
function largestTurns(list: ReadonlyMap<number, number>, own: OwnGame, set: Setting): WholePlay[] {
  const plays: WholePlay[] = [];
  let below: ReadonlyMap<number, number> = new Map();
  let share = 0;
  const least = own.end.when === 'covered' ? Math.max(...set.cells) : 0;
  const sorted = [...list].sort(([a], [b]) => a - b);
  sorted.forEach(([pieces, chance], i) => {
    share = i === sorted.length - 1 ? 1 : share + chance;
    // Without the largest cell, or with nothing but zeros, such a play never ends.
    if (pieces < least || (own.end.when === 'reached' && pieces === 0)) return;
    const now = turnsUpTo(sorted.slice(0, i + 1), share, own, set);
    for (const [turns, all] of now) {
      const more = all - (below.get(turns) ?? 0);
      if (more > NOTHING) plays.push({ turns, pieces, chance: more });
    }
    below = now;
  });
  return plays;
}

/** The chance of a play of so many turns that all have these results, which are `share` of all. */
function turnsUpTo(
  list: Steps,
  share: number,
  own: OwnGame,
  { players, number, cells }: Setting,
): ReadonlyMap<number, number> {
  if (own.end.when === 'turns') return new Map([[number * players, share ** (number * players)]]);
  const found = new Map<number, number>();
  if (own.end.when === 'covered') {
    const alone = new Map(list.map(([result, p]) => [result, p / share] as const));
    for (const [turns, p] of entries(drawsToFill(needed(alone, cells)))) found.set(turns, p * share ** turns);
    return found;
  }
  let round = 0;
  for (const { before, after, done } of rounds(list, number)) {
    const [left, on, ended] = [total(before), total(after), total(done)];
    for (let player = 1; player <= players && ended > NOTHING; player++)
      found.set(round * players + player, ended * on ** (player - 1) * left ** (players - player));
    round++;
    if (on ** players < STILL_ON) return found;
  }
  return found;
}

/**
 * Players collect in turns until the first of them has `number`: in a round, those before that player have had one turn
 * more than those after.
 */
function collectedUntil(list: Steps, players: number, number: number, byTurns: boolean): WholePlay[] {
  const plays: WholePlay[] = [];
  const put = (turns: number, chances: Chances): void =>
    chances.forEach((chance, pieces) => {
      if (chance > NOTHING) plays.push({ turns, pieces, chance });
    });
  let all: Chances = new Float64Array(0);
  let round = 0;
  for (const { before, after, done } of rounds(list, number)) {
    if (total(done) > NOTHING) {
      const had = powers(after, players);
      const have = powers(before, players);
      for (let player = 1; player <= players; player++) {
        const chances = convolved(done, convolved(had[player - 1]!, have[players - player]!));
        if (byTurns) put(round * players + player, chances);
        else all = added(all, chances);
      }
    }
    round++;
    if (total(after) ** players < STILL_ON) break;
  }
  put(0, all);
  return plays;
}
/** What 0, 1 … `most` − 1 players have together. */
function powers(chances: Chances, most: number): Chances[] {
  const list: Chances[] = [Float64Array.of(1)];
  while (list.length < most) list.push(convolved(list.at(-1)!, chances));
  return list;
}
function added(a: Chances, b: Chances): Chances {
  const [longer, shorter] = a.length < b.length ? [b, a] : [a, b];
  const made = longer.slice();
  shorter.forEach((chance, i) => (made[i]! += chance));
  return made;
}
function convolved(a: Chances, b: Chances): Chances {
  const made = new Float64Array(a.length + b.length - 1);
  for (let i = 0; i < a.length; i++) {
    const x = a[i]!;
    if (x > NOTHING) for (let j = 0; j < b.length; j++) made[i + j]! += x * b[j]!;
  }
  return made;
}

/** The most pieces that a play can ask for. */
export function mostPieces(own: OwnGame, { players, count, number }: Setting): number {
  const most = Math.max(...results(own, count).keys());
  if (own.make !== 'collect') return most;
  return own.end.when === 'turns' ? most * number * players : (number - 1) * players + most;
}

/** The facts of one turn, each once, with how often it is met in a turn. */
export function factsOf(
  own: Pick<OwnGame, 'turn' | 'make'>,
  count: number,
): { fact: Fact; chance: number }[] {
  const { turn, make } = own;
  const found = new Map<number, { fact: Fact; chance: number }>();
  const add = (op: Fact['op'], a: number, b: number, chance: number): number => {
    const key = a * 10_000 + b;
    const known = found.get(key);
    if (known) known.chance += chance;
    else found.set(key, { fact: fact(op, a, b), chance });
    return (known ?? found.get(key)!).fact.answer;
  };
  for (const { values, chance } of outcomes(own, count)) {
    const [a, b] = values as [number, number];
    if (make === 'difference') add('subtract', Math.max(...values), Math.min(...values), chance);
    else if (make === 'compare') add('compare', a, b, chance);
    else if (turn.kind === 'toss') add('split', a, b, chance);
    else if (values.length === 1)
      add(make === 'collect' || make === 'path' ? 'count' : 'quantity', a, 0, chance);
    else {
      let sofar = a;
      for (let i = 1; i < values.length; i++)
        sofar = add(make === 'product' ? 'multiply' : 'add', sofar, values[i]!, chance);
    }
  }
  return [...found.values()];
}
