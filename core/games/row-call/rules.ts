import { deckWithout, numbersOf, type Card } from '~/core/cards/deck';
import type { FieldErrors } from '~/core/check/check';
import { choices, climb, NINE, remembered, type Ladder } from '~/core/games/kit';
import type { RowParams } from '.';

export const GRID = NINE;

/** Ace to ten of the deck. */
export const numbersFrom = (cards: readonly Card[]): number[] => numbersOf(cards, 'remove');

export const numbers = remembered((params: RowParams): number[] => numbersFrom(deckWithout(params.missing)));

export const SECOND_DECK = numbersFrom(deckWithout([]));

/** Cards there are to call, from so many number cards. The second deck is a whole one. */
export const callsAvailable = ({ players, callFrom }: RowParams, cards: number): number =>
  callFrom === 'rest' ? cards - GRID * players : SECOND_DECK.length;

export const faults = (params: RowParams): FieldErrors => {
  const left = callsAvailable(params, numbers(params).length);
  const short = numbers(params).length < GRID * params.players || left < 1;
  return short
    ? {
        missing: `${numbers(params).length} number cards are left; ${params.players} grids take ${GRID * params.players}, and some are needed to call.`,
      }
    : {};
};

export const ladder = (params: RowParams): Ladder =>
  climb(
    choices(params, 'win', [
      ['line', 'Finish with a line'],
      ['full', 'Finish with all nine'],
    ]),
    choices(params, 'turn', [
      ['all', 'Turn all that match'],
      ['one', 'Turn one that matches'],
    ]),
  );
