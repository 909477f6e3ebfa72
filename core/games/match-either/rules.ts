/** Match Either: play a card of the same colour or the same number; hands face up on the table for the youngest. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Span, Whole } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { levels, remembered } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    colours: Whole(2, 6, { title: 'Colours', default: 4 }),
    numbers: Span(0, 20, { title: 'Numbers', default: { from: 0, to: 9 } }),
    copies: Whole(1, 2, { title: 'Of each card', default: 1 }),
    hand: Whole(3, 9, { title: 'Hand', default: 5 }),
    players: Whole(1, 5, { title: 'Players', default: 2 }),
    hands: OneOf(
      { open: 'face up on the table', closed: 'in the hand' },
      { title: 'Hands lie', default: 'open' },
    ),
  },
  { additionalProperties: false },
);
export type MatchParams = Static<typeof schema>;

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

const base: MatchParams = {
  colours: 4,
  numbers: { from: 0, to: 9 },
  copies: 1,
  hand: 5,
  players: 2,
  hands: 'open',
};
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<MatchParams>,
): Preset<MatchParams> => ({
  id,
  name,
  school: change.hands === 'closed' ? 'cards are hidden in the hand' : 'cards lie open',
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<MatchParams>[] = [
  preset('to-five', 'three colours, 0 to 5', 'preK', { colours: 3, numbers: { from: 0, to: 5 }, copies: 2 }),
  preset('to-nine', 'four colours, 0 to 9', 'K', {}),
  preset('to-nine-closed', 'four colours, 0 to 9', 'g1', { hands: 'closed', hand: 7 }),
];

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

export const about = ({ numbers }: MatchParams) => ({ from: numbers.from, to: numbers.to });
export const subject = ({ colours, numbers }: MatchParams): string =>
  `${colours} colours, ${numbers.from} to ${numbers.to}`;
export const ladder = (params: MatchParams): Ladder =>
  levels(params, 'colours', [2, 3, 4, 5, 6], (colours) => `Use ${colours} colours`);
