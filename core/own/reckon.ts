/** What a game of building blocks comes to: the results of a turn, its length, its practice. Exact. */
import { fact, type Fact } from '~/core/cards/facts';
import { binomial } from '~/core/chance/binomial';
import { drawsToFill, type Needed } from '~/core/chance/coverage';
import { turnsToEnd, turnsUntilFirst } from '~/core/chance/markov';
import { fromEntries, nFold, point, type Pmf } from '~/core/chance/pmf';
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

/** Pieces that the results of a play ask for; for games that collect none, those of one turn. */
export function pieces(own: OwnGame, { players, count, number }: Setting): { pmf: Pmf; worst: number } {
  const turn = fromEntries(results(own, count));
  const most = turn.from + turn.p.length - 1;
  if (own.make !== 'collect') return { pmf: turn, worst: most };
  if (own.end.when === 'turns') return { pmf: nFold(turn, number * players), worst: most * number * players };
  // The first player who reaches the number ends it; enough for all to come there is surely enough.
  return { pmf: point(players * (number - 1 + most)), worst: players * (number - 1 + most) };
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
