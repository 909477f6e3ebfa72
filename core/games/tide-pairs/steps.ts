import { deckWithout, rankOf, valueOf, type Card } from '~/core/cards/deck';
import { ranges } from '~/core/words/numbers';
import { arrow, bench, card, cardRow, sign, stroke, TONE, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { TideParams } from '.';
import { keptCards, pairing, partner, targetOf, worth } from './rules';
import type { words } from './words';

const isNumber = (value: number): boolean => value <= 10;

/** Which picture cards are among these: all, or the two or one that are. */
const facesIn = (cards: readonly Card[]): string =>
  (['J', 'Q', 'K'] as const).filter((rank) => cards.some((card) => rankOf(card) === rank)).join('') || 'none';

export function steps(params: TideParams): Lines<typeof words.en> {
  const target = targetOf(params);
  const cards = deckWithout(params.missing);
  const kept = keptCards(params, cards);
  const { hand } = params;
  const leftover = pairing(
    kept.map((card) => worth(card, params)!),
    target,
    params.setSize,
  ).leftover.length;
  const out = cards.filter((card) => !kept.includes(card));
  const values = kept.map((card) => worth(card, params)!);
  // An example that this deck has: a smaller number and a larger one where there are such.
  const askable = values.filter((value) => values.includes(partner(value, target)));
  const own =
    target === undefined
      ? askable.includes(7)
        ? 7
        : askable[0]!
      : (askable.filter((value) => value > 0 && value < target / 2).sort((a, b) => b - a)[0] ?? askable[0]!);
  const wanted = partner(own, target);
  return [
    out.length
      ? [
          'setUp.take',
          {
            kept: kept.length,
            numbers: ranges(out.map(valueOf).filter(isNumber)) || 'none',
            faces: facesIn(out),
          },
        ]
      : ['setUp.all', { kept: kept.length }],
    target !== undefined && kept.some((card) => rankOf(card) === 'A') && ['setUp.ace', { one: 1 }],
    params.zeroCard !== 'none' && target !== undefined && ['setUp.zero', { card: params.zeroCard, zero: 0 }],
    leftover > 0 && ['setUp.leftover', { leftover }],
    params.ownDecks ? ['setUp.video', { hand }] : ['setUp.deal', { hand }],
    target === undefined ? ['turn.laySame'] : ['turn.lay', { target, a: own, b: wanted }, 'symbols'],
    params.setSize === 'twoOrThree' && target !== undefined && ['turn.threes', { target }],
    [params.ask === 'one' ? 'turn.askOne' : 'turn.ask', { own, wanted }],
    params.ownDecks ? ['turn.video', { wanted }] : ['turn.give'],
    params.drawnPair === 'now' ? ['turn.drawNow'] : ['turn.drawLater'],
    params.refill === 0 ? ['turn.out'] : ['turn.refill', { refill: params.refill }],
    ['end.all'],
    ['easier.open'],
    ['harder.picture'],
    ['sideBySide.team'],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    target === undefined ? ['say.same', { own }] : ['say.hands', { own, target }],
    ['say.how'],
    ['caution.rest'],
  ];
}

export const pictures: Pictures<TideParams, typeof words.en> = {
  'setUp.deal': ({ hand }) => cardRow(Array.from({ length: Math.min(7, hand!) }, () => '')),
  'turn.ask': ({ own, wanted }) => [
    ...card(10, 18, String(own)),
    sign(50, 40, '?', 22, TONE.clay),
    ...card(74, 18, String(wanted)),
  ],
  'turn.askOne': ({ own, wanted }) => [
    ...card(10, 18, String(own)),
    sign(50, 40, '?', 22, TONE.clay),
    ...card(74, 18, String(wanted)),
  ],
  'turn.laySame': () => cardRow(['7', '7']),
  'turn.lay': ({ a, b }) => cardRow([String(a), String(b)]),
  'turn.drawNow': () => [...card(14, 18, '', TONE.leaf), arrow(38, 30, 22), ...card(68, 18, '?')],
  'turn.drawLater': () => [...card(14, 18, '', TONE.leaf), arrow(38, 30, 22), ...card(68, 18, '?')],
};

/** Two cards that belong together, carried in by a wave. */
export const drawing: readonly Shape[] = [
  ...card(26, 12, '7'),
  ...card(58, 12, '3', TONE.straw),
  stroke(
    'M8 44 C16 36 24 52 32 44 C40 36 48 52 56 44 C64 36 72 52 80 44 C86 38 90 42 93 44',
    TONE.shore,
    1.6,
  ),
  bench,
];
