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

/** Every turn there can be: dice, spins and shown cards are independent; cards of one turn are not put back. */
export function outcomes({ turn }: Pick<OwnGame, 'turn'>, count: number): Outcome[] {
  if (turn.kind === 'toss')
    return binomial(count, 0.5).p.map((chance, heads) => ({ values: [heads, count - heads], chance }));
  const numbers = Array.from({ length: turn.to - turn.from + 1 }, (_, i) => turn.from + i);
  let list: Outcome[] = [{ values: [], chance: 1 }];
  for (let i = 0; i < count; i++)
    list = list.flatMap(({ values, chance }) =>
      numbers.flatMap((number) => {
        const gone = turn.kind === 'draw' ? values.filter((one) => one === number).length : 0;
        const left = turn.kind === 'draw' ? turn.copies - gone : 1;
        const all = turn.kind === 'draw' ? numbers.length * turn.copies - i : numbers.length;
        return left > 0 ? [{ values: [...values, number], chance: (chance * left) / all }] : [];
      }),
    );
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

export const expected = (list: readonly Outcome[], make: Make): number =>
  list.reduce((total, { values, chance }) => total + chance * resultOf(values, make), 0);

/** The results of a turn with their chances. */
export function results(own: Pick<OwnGame, 'turn' | 'make'>, count: number): Map<number, number> {
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

/** The facts of one turn. */
export function factsOf(
  own: Pick<OwnGame, 'turn' | 'make'>,
  count: number,
): { fact: Fact; chance: number }[] {
  return outcomes(own, count).flatMap(({ values, chance }) => {
    const [a, ...rest] = values;
    if (own.turn.kind === 'toss' && own.make !== 'difference' && own.make !== 'compare')
      return [{ fact: fact('split', values[0]!, values[1]!), chance }];
    if (own.make === 'difference')
      return [{ fact: fact('subtract', Math.max(...values), Math.min(...values)), chance }];
    if (own.make === 'compare') return [{ fact: fact('compare', values[0]!, values[1]!), chance }];
    if (rest.length === 0)
      return own.make === 'collect' || own.make === 'path'
        ? [{ fact: fact('count', a!), chance }]
        : [{ fact: fact('quantity', a!), chance }];
    const list: { fact: Fact; chance: number }[] = [];
    let sofar = a!;
    for (const next of rest) {
      const one = fact(own.make === 'product' ? 'multiply' : 'add', sofar, next);
      list.push({ fact: one, chance });
      sofar = one.answer;
    }
    return list;
  });
}
