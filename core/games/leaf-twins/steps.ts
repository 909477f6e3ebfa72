import { area, bench, dot, sign, stroke, TONE, type Lines, type Pictures } from '~/core/games/kit';
import { dotsIn } from '~/core/paper/cards';
import { fitNumeral, numeral } from '~/core/paper/numerals';
import { heartOf, picture } from '~/core/paper/pictures';
import type { Shape } from '~/core/paper/sheet';
import type { TwinParams } from '.';
import { hasTriangle } from './reckon';
import { mostOf, twinsOf } from './rules';
import type { words } from './words';

export function steps(params: TwinParams): Lines<typeof words.en> {
  const { twins, which } = params;
  const count = twinsOf(params).length;
  const whole = Math.min(mostOf(params), 7);
  const letters = twins === 'letters';
  return [
    [letters ? 'setUp.boardLetters' : twins === 'numerals' ? 'setUp.boardNumbers' : 'setUp.board', { count }],
    [letters ? 'setUp.letters' : 'setUp.spread', { count }],
    [letters ? 'turn.takeLetter' : 'turn.take', {}, 'symbols'],
    twins === 'dots' ? ['turn.count', {}, 'drawing'] : [letters ? 'turn.small' : 'turn.same', {}, 'symbols'],
    ['turn.lay', {}, 'pieces'],
    [letters ? 'end.letters' : 'end.all', { count }],
    which === 'run' && !letters
      ? ['easier.five', { number: 5 }]
      : ['easier.few', { number: Math.max(1, Math.min(4, count - 1)) }],
    hasTriangle(params) ? ['harder.back', { whole, a: 2, b: whole - 2 }, 'symbols'] : ['harder.faceDown'],
    ['sideBySide.calm'],
    ['younger.match', { years: 3 }],
    ['atHome.paper'],
    [twins === 'dots' ? 'say.touch' : letters ? 'say.letter' : 'say.look'],
    ['say.how'],
    ['caution.rest'],
  ];
}

const SHOWN = 4;

const twin = (x: number, params: TwinParams, board: boolean) => {
  const { shape } = params;
  const place = { x, y: 12, w: 36, h: 36 };
  const heart = heartOf(shape, place);
  const one = twinsOf(params).find(({ value }) => value >= SHOWN) ?? twinsOf(params).at(-1)!;
  const text = board ? one.outline : one.shape;
  return [
    picture(shape, place, { stroke: TONE.ink, strokeMm: 0.8, ...(board ? {} : { fill: TONE.leaf }) }),
    ...(text === undefined
      ? dotsIn(one.value, heart)
      : numeral(
          text,
          heart.x + heart.w / 2,
          heart.y + heart.h / 2,
          fitNumeral(text, heart.w, heart.h * 0.8),
        )),
  ];
};

export const pictures: Pictures<TwinParams, typeof words.en> = {
  'turn.take': (_, params) => twin(32, params, false),
  'turn.takeLetter': (_, params) => twin(32, params, false),
  'turn.count': (_, params) => twin(32, params, true),
  'turn.same': (_, params) => twin(32, params, true),
  'turn.small': (_, params) => twin(32, params, true),
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
