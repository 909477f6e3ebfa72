import type { FieldErrors } from '~/core/check/check';
import { levels, remembered, type Ladder } from '~/core/games/kit';
import type { MatchParams } from '.';

export const faults = (params: MatchParams): FieldErrors => {
  const { numbers, hand, players } = params;
  if (numbers.from > numbers.to) return { numbers: `The largest number must be at least ${numbers.from}.` };
  const cards = cardCount(params);
  return cards <= hand * players
    ? {
        hand: `${players} hands of ${hand} take ${hand * players} cards and one to begin with; there are ${cards}.`,
      }
    : {};
};

export interface ColourCard {
  colour: number;
  number: number;
}

export const cardCount = ({ colours, numbers, copies }: MatchParams): number =>
  colours * (numbers.to - numbers.from + 1) * copies;

/** Every card of the deck. */
export const deck = remembered(({ colours, numbers, copies }: MatchParams): ColourCard[] => {
  const cards: ColourCard[] = [];
  for (let copy = 0; copy < copies; copy++)
    for (let colour = 0; colour < colours; colour++)
      for (let number = numbers.from; number <= numbers.to; number++) cards.push({ colour, number });
  return cards;
});

/** How many of the other cards can follow a card: by symmetry the same for each. */
export const followers = ({ colours, numbers, copies }: MatchParams): number =>
  (numbers.to - numbers.from + 1) * copies - 1 + (colours - 1) * copies;

export const ladder = (params: MatchParams): Ladder =>
  levels(params, 'colours', [2, 3, 4, 5, 6], (colours) => `Use ${colours} colors`);
