import { bench, die, sign, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import { tileFace } from '~/core/paper/stand-ins';
import type { TileParams } from '.';
import { tilesOf } from './reckon';
import type { words } from './words';

export function steps(params: TileParams): Lines<typeof words.en> {
  const [a, b] = [4, 2];
  return [
    ['setUp.tiles', { tiles: tilesOf(params).length, limit: params.limit }],
    ['turn.draw'],
    ['turn.count', {}, 'pieces'],
    ['turn.say', { a, b, answer: a + b }],
    ['turn.write', { a, b, answer: a + b }, 'symbols'],
    ['end.pile'],
    ['easier.touch'],
    ['harder.turn', { a, b }, 'symbols'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.draw'],
    ['say.start', { a }],
    ['say.how'],
    ['caution.small', { years: 3 }],
  ];
}

export const pictures: Pictures<TileParams, typeof words.en> = {
  'turn.draw': () => tileFace(4, 2, { x: 10, y: 6, w: 80, h: 48 }),
  'turn.say': ({ a, b }) => tileFace(a!, b!, { x: 10, y: 6, w: 80, h: 48 }),
  'turn.write': ({ a, b, answer }) => written(`${a} + ${b} = ${answer}`),
};

/** A tile with two ends, and what is written under it. */
export const drawing: readonly Shape[] = [
  ...die(28, 6, 22, 4, TONE.wood),
  ...die(50, 6, 22, 2, TONE.wood),
  sign(50, 48, '4 + 2 = 6', 12),
  bench,
];
