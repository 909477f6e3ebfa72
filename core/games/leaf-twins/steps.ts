import { area, bench, dot, sign, stroke, TONE, type Lines, type Pictures } from '~/core/games/kit';
import { dotsIn } from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { heartOf, picture } from '~/core/paper/pictures';
import type { Shape } from '~/core/paper/sheet';
import type { TwinParams } from '.';
import type { words } from './words';

export function steps({ count }: TwinParams): Lines<typeof words.en> {
  const whole = Math.min(count, 7);
  return [
    ['setUp.board', { count }],
    ['setUp.spread', { count }],
    ['turn.take', {}, 'symbols'],
    ['turn.count', {}, 'drawing'],
    ['turn.lay', {}, 'pieces'],
    ['end.all', { count }],
    ['easier.five', { number: 5 }],
    ['harder.back', { whole, a: 2, b: whole - 2 }, 'symbols'],
    ['sideBySide.calm'],
    ['younger.match', { years: 3 }],
    ['atHome.paper'],
    ['say.touch'],
    ['say.how'],
    ['caution.rest'],
  ];
}

const SHOWN = 4;

const twin = (x: number, { shape }: TwinParams, dots: boolean) => {
  const place = { x, y: 12, w: 36, h: 36 };
  const heart = heartOf(shape, place);
  return [
    picture(shape, place, { stroke: TONE.ink, strokeMm: 0.8, ...(dots ? {} : { fill: TONE.leaf }) }),
    ...(dots
      ? dotsIn(SHOWN, heart)
      : numeral(String(SHOWN), heart.x + heart.w / 2, heart.y + heart.h / 2, heart.h * 0.8)),
  ];
};

export const pictures: Pictures<TwinParams, typeof words.en> = {
  'turn.take': (_, params) => twin(32, params, false),
  'turn.count': (_, params) => twin(32, params, true),
  'turn.lay': (_, params) => [...twin(8, params, false), ...twin(56, params, true)],
};

const LEAF = (x: number): string =>
  `M${x} 30 C${x + 6} 8 ${x + 26} 8 ${x + 32} 30 C${x + 26} 50 ${x + 6} 50 ${x} 30 Z`;

/** An outline with dots, and the leaf with the numeral that belongs on it. */
export const drawing: readonly Shape[] = [
  stroke(LEAF(10), TONE.fern, 1.2),
  dot(20, 26, 2.6, TONE.ink),
  dot(29, 26, 2.6, TONE.ink),
  dot(24.5, 34, 2.6, TONE.ink),
  area(LEAF(56), TONE.leaf),
  sign(72, 36, '3', 16),
  bench,
];
