import { countValues, deckWithout, numbersOf, type Card } from '~/core/cards/deck';
import type { FieldErrors } from '~/core/check/check';
import { choices, climb, remembered, type Ladder } from '~/core/games/kit';
import type { PileParams } from '.';

export const faults = (params: PileParams): FieldErrors =>
  numbers(params).length < perRound(params)
    ? { missing: `${numbers(params).length} number cards are left; one round takes ${perRound(params)}.` }
    : {};

/** Cards that one player turns in a round. A single player turns two piles. */
export const cardsEach = ({ op }: Pick<PileParams, 'op'>): number => (op === 'compare' ? 1 : 2);

export const piles = ({ op, players }: Pick<PileParams, 'op' | 'players'>): number =>
  players === 1 && op === 'compare' ? 2 : players;

/** Whether taken cards are played with again until somebody has all of them. One player goes through the deck once. */
export const goesOn = ({ until, players }: Pick<PileParams, 'until' | 'players'>): boolean =>
  until === 'all' && players > 1;

/** The number line, where it is of use: a product is not hopped. */
export const lined = (params: PileParams) => ({
  ...params,
  line: params.op === 'multiply' ? 0 : params.line,
});

export const perRound = (params: PileParams): number => cardsEach(params) * piles(params);

/** The numbers that can be turned. */
export const numbers = remembered((params: PileParams): number[] =>
  numbersFrom(params, deckWithout(params.missing)),
);

export const numbersFrom = ({ faces }: Pick<PileParams, 'faces'>, cards: readonly Card[]): number[] =>
  numbersOf(cards, faces);

export const rounds = (params: PileParams): number => Math.floor(numbers(params).length / perRound(params));

/** The answer to two cards, or to one. */
export function answer(op: PileParams['op'], a: number, b: number): number {
  switch (op) {
    case 'compare':
      return a;
    case 'add':
      return a + b;
    case 'subtract':
      return Math.abs(a - b);
    case 'multiply':
      return a * b;
  }
}

export const values = (params: PileParams): Map<number, number> => countValues(numbers(params));

export const ladder = (params: PileParams): Ladder =>
  climb(
    choices(params, 'op', [
      ['compare', 'Compare single cards'],
      ['add', 'Add two cards'],
      ['subtract', 'Take the smaller from the larger'],
      ['multiply', 'Multiply two cards'],
    ]),
    choices(params, 'faces', [
      ['remove', 'Take picture cards out'],
      ['11-12-13', 'Count picture cards as 11, 12, 13'],
    ]),
  );
