import { seeded } from '~/core/chance/random';
import { area, bench, box, dot, TONE, written, type Lines, type Pictures, type Said } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { PeekParams } from '.';
import { draw } from './arrange';
import { cardsOf } from './reckon';
import type { words } from './words';

export function steps(params: PeekParams): Lines<typeof words.en> {
  const { groups, seconds, max } = params;
  const a = Math.max(1, Math.min(3, max - 1));
  const b = Math.max(1, Math.min(2, max - a));
  return [
    ['setUp.cards', { cards: cardsOf(params).length }],
    params.cover === 'shield' ? ['setUp.shield'] : ['setUp.cover'],
    ['turn.show', { seconds }, 'drawing'],
    ['turn.cover'],
    groups === 1 ? ['turn.say', { number: a }] : ['turn.sayTwo', { a, b, answer: a + b }],
    params.again && ['turn.again'],
    ['turn.look', {}, 'drawing'],
    params.written &&
      (groups === 1 ? ['turn.write', {}, 'symbols'] : ['turn.writeTwo', { a, b, answer: a + b }, 'symbols']),
    ['end.pile'],
    ['easier.longer'],
    ['harder.draw', {}, 'drawing'],
    ['sideBySide.calm'],
    ['younger.fingers', { years: 3 }],
    ['atHome.beans'],
    groups === 1 ? ['say.fingers', { number: a }] : ['say.saw', { a }],
    ['say.how'],
    ['caution.rest'],
  ];
}

/** A card with the number that is said, in the first arrangement that shows it. */
const shown = (groups: number[], params: PeekParams) => {
  const all = cardsOf(params);
  const found = all.find((one) => one.groups.join() === groups.join()) ?? all.at(-1)!;
  return draw(found, seeded(1));
};

const two = ({ a, b }: Said): number[] => [Math.max(a!, b!), Math.min(a!, b!)];

export const pictures: Pictures<PeekParams, typeof words.en> = {
  'turn.show': (_, params) => shown(params.groups === 1 ? [3] : [3, 2], params),
  'turn.cover': () => [
    box(1, 1, 98, 58, TONE.card, 3),
    area('M8 14 C30 6 70 8 92 14 C96 32 94 46 90 54 C64 50 36 50 12 54 C6 44 6 28 8 14 Z', TONE.leaf),
  ],
  'turn.say': ({ number }) => written(String(number), 30, 34),
  'turn.sayTwo': (said) => written(`${two(said)[0]} + ${two(said)[1]} = ${said.answer}`),
};

/** A card with a few dots, half under a cloth. */
export const drawing: readonly Shape[] = [
  box(22, 10, 56, 40, TONE.card),
  dot(34, 22, 4),
  dot(46, 22, 4),
  dot(34, 36, 4),
  dot(46, 36, 4),
  dot(40, 29, 4),
  area('M56 4 C66 8 76 2 90 6 L94 54 C84 50 72 56 58 52 Z', TONE.straw),
  bench,
];
