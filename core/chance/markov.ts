/** Chains of turns that end: paths on the floor, rolling up to a total. */
import { fromEntries, type Pmf } from './pmf';

/** Chances of the next state from a state; they add up to 1. */
export type StepFrom<S> = (state: S) => readonly (readonly [next: S, chance: number])[];

/** What is left out of a distribution that has no last value: one play in a thousand million. */
const TAIL = 1e-9;
const MOST_TURNS = 20_000;

/**
 * Number of turns until the chain reaches a state that is an end; exact up to a tail of 1e-9, which is put on the
 * last value. States are told apart by `===`. Throws RangeError when the end is not reached in 20 000 turns.
 */
export function turnsToEnd<S>(start: S, step: StepFrom<S>, ended: (state: S) => boolean): Pmf {
  return endings(start, step, ended).turns;
}

/**
 * The turns until the end, and the state in which the chain ends. `each` is told before every turn where the chain is
 * by then, with the chances, and the chance that it ends with that turn.
 */
export function endings<S>(
  start: S,
  step: StepFrom<S>,
  ended: (state: S) => boolean,
  each: (now: ReadonlyMap<S, number>, closed: number) => void = () => undefined,
): { turns: Pmf; ends: Map<S, number> } {
  const ends = new Map<S, number>();
  if (ended(start)) return { turns: { from: 0, p: [1] }, ends: new Map([[start, 1]]) };
  const memo = new Map<S, ReturnType<StepFrom<S>>>();
  const from = (state: S) => memo.get(state) ?? memo.set(state, step(state)).get(state)!;
  let now = new Map<S, number>([[start, 1]]);
  const p = [0];
  let open = 1;
  while (open > TAIL) {
    if (p.length > MOST_TURNS) throw new RangeError('turnsToEnd: the end is not reached');
    const next = new Map<S, number>();
    let closed = 0;
    for (const [state, chance] of now)
      for (const [to, q] of from(state)) {
        if (ended(to)) {
          closed += chance * q;
          add(ends, to, chance * q);
        } else add(next, to, chance * q);
      }
    each(now, closed);
    p.push(closed);
    open -= closed;
    now = next;
  }
  p[p.length - 1]! += open;
  return { turns: { from: 0, p }, ends };
}

const add = <S>(to: Map<S, number>, state: S, chance: number): void =>
  void to.set(state, (to.get(state) ?? 0) + chance);

/**
 * How often a turn begins in each state, all players together, when they take turns on chains of their own and the first
 * who is done ends the game. They add up to the mean of `turnsUntilFirst`.
 */
export function visitsUntilFirst<S>(
  start: S,
  step: StepFrom<S>,
  ended: (state: S) => boolean,
  players: number,
): Map<S, number> {
  const visits = new Map<S, number>();
  let before = 1;
  endings(start, step, ended, (now, closed) => {
    const after = Math.max(0, before - closed);
    // Those before a player in the round are not done with this turn, those behind not with the last.
    let others = 0;
    for (let player = 0; player < players; player++)
      others += after ** player * before ** (players - 1 - player);
    for (const [state, chance] of now) add(visits, state, chance * others);
    before = after;
  });
  return visits;
}

/** One fair roll: each number of steps with its chance. */
export type Roll = readonly (readonly [steps: number, chance: number])[];

/**
 * One path of `length` cells walked with a number of cells a turn, which may be rolled in another way on the way home. Start off the path, at 0. `reach`: a roll that
 * would pass the end stops there; `exact`: it stays put. With `back`, the same way home again after the end; what
 * is left of a roll at the end is dropped. Who stands where no roll fits stays there for ever: the walk ends then
 * too, and `arrives` is the chance that it ends at home.
 */
export function pathTurns(
  rollAt: (at: number) => Roll,
  length: number,
  finish: 'reach' | 'exact',
  back: boolean,
): { turns: Pmf; arrives: number } {
  const total = back ? 2 * length : length;
  const { turns, ends } = endings(
    0,
    (at) => rollAt(at).map(([steps, chance]) => [walk(at, steps, length, finish), chance] as const),
    (at) => at === total || stuck(rollAt(at), at, length, finish),
  );
  return { turns, arrives: ends.get(total) ?? 0 };
}

/** Whether no roll moves a walker on. */
export const stuck = (roll: Roll, at: number, length: number, finish: 'reach' | 'exact'): boolean =>
  roll.every(([steps]) => walk(at, steps, length, finish) === at);

/** Where a walker stands after a roll: 0 … length on the way there, length … 2 × length on the way home. */
export function walk(at: number, steps: number, length: number, finish: 'reach' | 'exact'): number {
  const end = at < length ? length : 2 * length;
  if (at + steps <= end) return at + steps;
  return finish === 'exact' ? at : end;
}

/**
 * The turn at which the game ends when players take turns and the first who is done ends it; each needs
 * independent `rounds` of turns of their own. Counted in turns of all players.
 */
export function turnsUntilFirst(rounds: Pmf, players: number): Pmf {
  const list: [number, number][] = [];
  let after = 1;
  rounds.p.forEach((chance, i) => {
    const round = rounds.from + i;
    const before = after;
    after = Math.max(0, before - chance);
    if (round === 0 || chance === 0) return;
    for (let player = 1; player <= players; player++)
      list.push([
        (round - 1) * players + player,
        chance * after ** (player - 1) * before ** (players - player),
      ]);
  });
  return fromEntries(list);
}
