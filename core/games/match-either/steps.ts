import { bench, box, card, sign, stroke, TONE, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import { suitShape } from '~/core/paper/stand-ins';
import type { MatchParams } from '.';
import { cardCount } from './rules';
import type { words } from './words';

export function steps(params: MatchParams): Lines<typeof words.en> {
  const number = params.numbers.to;
  return [
    ['setUp.deal', { cards: cardCount(params), hand: params.hand }],
    params.hands === 'open' ? ['setUp.open'] : ['setUp.closed'],
    ['setUp.first'],
    ['turn.lay', {}, 'pieces'],
    ['turn.say', { number }],
    ['turn.draw'],
    ['end.empty'],
    ['easier.colour'],
    ['harder.next', {}, 'symbols'],
    ['sideBySide.team'],
    ['younger.same', { years: 3 }],
    ['atHome.paper'],
    ['say.why'],
    ['caution.rest'],
  ];
}

const colourCard = (x: number, suit: number, n: number) => [
  box(x, 14, 24, 34, TONE.card),
  suitShape(suit, x + 6, 21, 0.5),
  sign(x + 13, 41, String(n), 14),
];

export const pictures: Pictures<MatchParams, typeof words.en> = {
  'setUp.deal': ({ hand }) =>
    Array.from({ length: Math.min(7, hand!) }, (_, i) => box(12 + i * 10, 14, 22, 34, TONE.leaf)),
  'turn.lay': () => [...colourCard(8, 0, 3), ...colourCard(38, 0, 5), ...colourCard(68, 1, 5)],
  'turn.say': ({ number }) => [...colourCard(22, 0, number!), ...colourCard(54, 1, number!)],
};

/** A card in the middle; one follows by number, another by colour. */
export const drawing: readonly Shape[] = [
  ...card(42, 18, '4', TONE.straw, 18, 24),
  ...card(10, 18, '4', TONE.leaf, 18, 24),
  ...card(74, 18, '7', TONE.straw, 18, 24),
  stroke('M29 30 L40 30 M62 30 L73 30', TONE.ink, 1.4),
  bench,
];
