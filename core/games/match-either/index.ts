/** Match Either: play a card of the same colour or the same number; hands face up on the table for the youngest. */
import { OneOf, Span, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { faults } from './rules';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  colours: Whole(2, 6, { title: 'Colours', default: 4 }),
  numbers: Span(0, 20, { title: 'Numbers', default: { from: 0, to: 9 } }),
  copies: Whole(1, 2, { title: 'Of each card', default: 1 }),
  hand: Whole(3, 9, { title: 'Hand', default: 5 }),
  players: Whole(1, 5, { title: 'Players', default: 2 }),
  hands: OneOf(
    { open: 'face up on the table', closed: 'in the hand' },
    { title: 'Hands lie', default: 'open' },
  ),
};
export type MatchParams = ParamsOf<typeof knobs>;

export const matchEither = game({
  words,
  family: 'compare',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true, noReading: true },
  knobs,
  presets: [
    {
      id: 'to-five',
      name: 'three colors, 0 to 5',
      tradition: 'cards lie open',
      ageBand: 'preK',
      params: { colours: 3, numbers: { from: 0, to: 5 }, copies: 2 },
    },
    { id: 'to-nine', name: 'four colors, 0 to 9', tradition: 'cards lie open', ageBand: 'K' },
    {
      id: 'to-nine-closed',
      name: 'four colors, 0 to 9',
      tradition: 'cards are hidden in the hand',
      ageBand: 'g1',
      params: { hand: 7, hands: 'closed' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ numbers }) => ({ from: numbers.from, to: numbers.to }),
  subject: ({ colours, numbers }) => `${colours} colors, ${numbers.from} to ${numbers.to}`,
  sheets,
});
