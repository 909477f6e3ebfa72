import {
  arrow,
  bench,
  box,
  dot,
  heap,
  sign,
  stroke,
  TONE,
  type Lines,
  type Pictures,
} from '~/core/games/kit';
import { slipFace } from '~/core/paper/cards';
import type { Shape } from '~/core/paper/sheet';
import type { FetchParams } from '.';
import { numbersOf } from './reckon';
import type { words } from './words';

export function steps(params: FetchParams): Lines<typeof words.en> {
  const number = Math.min(params.to, 7);
  return [
    ['setUp.slips', { slips: numbersOf(params).length }],
    params.things === 'onePile' ? ['setUp.pile', { to: params.to }, 'pieces'] : ['setUp.around'],
    ['turn.peek', {}, 'symbols'],
    ['turn.fetch', {}, 'pieces'],
    ['turn.lay', { five: 5 }, 'pieces'],
    ['turn.check', { number }, 'drawing'],
    params.from === 0 && ['turn.zero'],
    ['end.slips'],
    ['easier.keep'],
    ['harder.two', { slips: 2 }],
    ['sideBySide.calm'],
    ['younger.dots', { years: 3 }],
    ['atHome.things'],
    ['say.remember'],
    ['say.check'],
    params.things === 'onePile' ? ['caution.small', { years: 3 }] : ['caution.fetch'],
  ];
}

const slip = (n: number) => [box(4, 4, 38, 52, TONE.card), ...slipFace(n, { x: 4, y: 4, w: 38, h: 52 })];

export const pictures: Pictures<FetchParams, typeof words.en> = {
  'turn.peek': (_, { to }) => slip(to),
  'turn.fetch': (_, { to }) => [arrow(8, 30, 24), ...heap(to, 0, 40, 8, 54, 44)],
  'turn.lay': (_, { to }) => heap(to),
  'turn.check': ({ number }) => [...slip(number!), ...heap(number!, 0, 46, 8, 50, 44)],
};

/** A folded slip, a walk, and things laid in fives. */
export const drawing: readonly Shape[] = [
  box(6, 8, 22, 18, TONE.straw),
  sign(17, 22, '7', 13),
  stroke('M30 18 C46 6 56 8 62 22', TONE.clay, 1.4),
  ...[0, 1, 2, 3, 4].map((i) => dot(44 + i * 11, 34, 4)),
  ...[0, 1].map((i) => dot(44 + i * 11, 47, 4)),
  bench,
];
