import {
  area,
  bench,
  card,
  groupsApart,
  sign,
  stroke,
  TONE,
  type Lines,
  type Pictures,
} from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { NestParams } from '.';
import { allCards, strays } from './reckon';
import type { words } from './words';

export function steps(params: NestParams): Lines<typeof words.en> {
  const { from, to } = params;
  const b = Math.floor(from / 2);
  const a = from - b;
  return [
    ['setUp.nests', { from, to }],
    ['setUp.cards', { cards: allCards(params).length }],
    ['turn.card'],
    ['turn.lay', { a, b }, 'pieces'],
    ['turn.nest', { a, b, answer: from }, 'symbols'],
    params.mixIn > 0 && ['turn.stray', { strays: strays(params).length }],
    ['end.read', {}, 'symbols'],
    ['easier.two', { from }],
    ['harder.missing', { a, answer: from }, 'symbols'],
    ['sideBySide.team'],
    ['younger.helper', { years: 3 }],
    ['atHome.paper'],
    ['say.how'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

const nest = (x: number, n: number) => [
  stroke(`M${x} 28 C${x + 4} 58 ${x + 22} 58 ${x + 26} 28`, TONE.ink, 1.2),
  sign(x + 13, 48, String(n), 13),
];

export const pictures: Pictures<NestParams, typeof words.en> = {
  'setUp.nests': ({ from, to }) =>
    Array.from({ length: Math.min(3, to! - from! + 1) }, (_, i) => nest(6 + i * 31, from! + i)).flat(),
  'turn.lay': ({ a, b }) => groupsApart(a!, b!),
  'turn.nest': ({ a, b, answer }) => [...card(36, 6, `${a} + ${b}`, TONE.card, 28, 17), ...nest(37, answer!)],
};

const round = (x: number, label: string): Shape[] => [
  area(`M${x} 40 C${x + 2} 58 ${x + 24} 58 ${x + 26} 40 Z`, TONE.wood),
  stroke(`M${x + 3} 44 L${x + 22} 52 M${x + 23} 44 L${x + 4} 52`, '#A58B4F', 0.6),
  sign(x + 13, 51, label, 10),
];

/** Two nests with a number each, and a sum card on its way. */
export const drawing: readonly Shape[] = [
  bench,
  ...round(10, '5'),
  ...round(62, '6'),
  ...card(36, 6, '2+3', TONE.card, 28, 18),
  stroke('M44 26 C40 32 34 34 28 36', TONE.clay, 1.2),
];
