import { bench, box, sign, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { PegParams } from '.';
import { pairs } from './reckon';
import type { words } from './words';

export function steps(params: PegParams): Lines<typeof words.en> {
  const [whole] = params.whole;
  const ways = params.whole.flatMap((one) => pairs(one, params.order)).length;
  const a = Math.floor(whole! / 2);
  const b = whole! - a;
  return [
    ['setUp.card', { whole: whole!, cards: params.whole.length }, 'pieces'],
    ['setUp.count', { whole: whole! }, 'pieces'],
    ['turn.slide', {}, 'pieces'],
    ['turn.say', { a, b, whole: whole! }, 'pieces'],
    ['turn.write', { a, b, whole: whole! }, 'symbols'],
    [params.order === 'ordered' ? 'turn.ordered' : 'turn.unordered', { a: 1, b: whole! - 1 }],
    ['end.all', { ways }],
    ['easier.dots', {}, 'drawing'],
    ['harder.cover', {}, 'pieces'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.clips'],
    ['say.pattern'],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

/** Pegs on the edge of a card: so many on the left, so many on the right. */
const pegged = (left: number, right: number) => [
  box(6, 26, 88, 26, TONE.card),
  ...Array.from({ length: left }, (_, i) => box(9 + i * 7, 14, 5.4, 20, TONE.straw)),
  ...Array.from({ length: right }, (_, i) => box(86 - i * 7, 14, 5.4, 20, TONE.leaf)),
];

export const pictures: Pictures<PegParams, typeof words.en> = {
  'setUp.card': ({ whole }) => pegged(0, whole!),
  'turn.slide': (_, { whole }) => pegged(1, whole[0]! - 1),
  'turn.say': ({ a, b }) => pegged(a!, b!),
  'turn.write': ({ a, b, whole }) => written(`${a} + ${b} = ${whole}`),
};

const peg = (x: number, fill: string): Shape => box(x, 8, 5, 24, fill, 1);

/** Pegs on the edge of a card, some of them slid away. */
export const drawing: readonly Shape[] = [
  box(10, 20, 80, 30, TONE.wood),
  ...[16, 23].map((x) => peg(x, TONE.straw)),
  ...[62, 69, 76].map((x) => peg(x, TONE.fern)),
  sign(50, 44, '5', 16),
  bench,
];
