import { area, bench, dot, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import { flock } from '~/core/paper/pictures';
import type { Shape } from '~/core/paper/sheet';
import type { PondParams } from '.';
import { cardsOf } from './reckon';
import type { words } from './words';

export function steps(params: PondParams): Lines<typeof words.en> {
  const [a, b] = [3, 2];
  return [
    ['setUp.pond'],
    ['setUp.cards', { cards: cardsOf(params).length }],
    ['turn.card', { a, b }],
    ['turn.lay', { a, b }, 'pieces'],
    ['turn.tell'],
    ['turn.all', { a, b, answer: a + b }],
    params.answer === 'tile'
      ? ['turn.tile', { answer: a + b }, 'symbols']
      : ['turn.write', { answer: a + b }, 'symbols'],
    ['end.stories', { stories: params.stories * params.players }],
    ['easier.one'],
    ['harder.leave'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.blue'],
    ['say.kinds', { a }],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

const fish = (n: number, y: number) =>
  flock('fish', n, { x: 8, y, w: 84, h: 22 }, { ink: { fill: TONE.straw, stroke: TONE.ink, strokeMm: 0.6 } });

const ducks = (n: number, y: number) =>
  flock('duck', n, { x: 8, y, w: 84, h: 22 }, { ink: { fill: TONE.card, stroke: TONE.ink, strokeMm: 0.6 } });

const water = area('M4 8 C30 2 70 2 96 8 C100 30 98 48 94 55 C62 59 34 59 6 55 C0 44 0 22 4 8 Z', '#EAF2F6');

export const pictures: Pictures<PondParams, typeof words.en> = {
  'turn.card': ({ a, b }) => [...fish(a!, 6), ...ducks(b!, 32)],
  'turn.lay': ({ a, b }) => [water, ...fish(a!, 8), ...ducks(b!, 31)],
  'turn.all': ({ a, b, answer }) => written(`${a} + ${b} = ${answer}`),
};

const duck = (x: number, y: number): Shape[] => [
  area(`M${x} ${y} C${x + 2} ${y + 8} ${x + 14} ${y + 8} ${x + 16} ${y - 2} L${x + 10} ${y} Z`, TONE.straw),
  dot(x + 2, y - 4, 3.6, TONE.straw),
];

const frog = (x: number, y: number): Shape[] => [
  area(`M${x} ${y + 6} C${x} ${y - 4} ${x + 14} ${y - 4} ${x + 14} ${y + 6} Z`, TONE.fern),
  dot(x + 4, y - 3, 1.8, TONE.card),
  dot(x + 10, y - 3, 1.8, TONE.card),
];

/** A pond with two ducks and three frogs. */
export const drawing: readonly Shape[] = [
  area('M6 38 C4 10 40 4 58 10 C90 6 98 26 94 40 C92 56 10 58 6 38 Z', '#BFD6E0'),
  ...duck(18, 22),
  ...duck(64, 20),
  ...frog(16, 40),
  ...frog(42, 38),
  ...frog(68, 40),
  bench,
];
