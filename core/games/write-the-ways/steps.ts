import {
  area,
  bench,
  box,
  groupsApart,
  sign,
  stroke,
  TONE,
  written,
  type Lines,
  type Pictures,
} from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { WaysParams } from '.';
import { sentences } from './reckon';
import type { words } from './words';

export function steps(params: WaysParams): Lines<typeof words.en> {
  const { target, order } = params;
  const all = sentences(params);
  const { a, b, sign } = all[Math.floor(all.length / 3)]!;
  return [
    ['setUp.target', { target }],
    ['setUp.signs', { signs: params.ops.join(' ') }],
    ['turn.lay', { target }, 'pieces'],
    ['turn.say', { a, b, sign, target }],
    ['turn.write', {}, 'symbols'],
    order === 'ordered' ? ['turn.ordered'] : ['turn.unordered'],
    ['end.compare', { ways: all.length }],
    ['easier.dots', {}, 'drawing'],
    ['harder.order', {}, 'symbols'],
    ['sideBySide.team'],
    ['younger.counts', { years: 3 }],
    ['atHome.sheet'],
    ['say.pattern'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

export const pictures: Pictures<WaysParams, typeof words.en> = {
  'setUp.target': ({ target }) => written(String(target), 30, 34),
  'turn.say': ({ a, b }) => groupsApart(a!, b!),
  'turn.write': (_, { target, ops }) =>
    ops.includes('+')
      ? [
          ...written(`${Math.floor(target / 2)} + ${Math.ceil(target / 2)} = ${target}`, 18, 14),
          ...written(`1 + ${target - 1} = ${target}`, 42, 14),
        ]
      : written(`${target + 1} − 1 = ${target}`),
};

/** A sheet with rows, some of them ticked, and a pencil. */
export const drawing: readonly Shape[] = [
  box(22, 4, 46, 50, TONE.card),
  sign(42, 18, '4+6', 10),
  sign(42, 32, '3+7', 10),
  stroke('M28 44 L58 44', '#B9B39C', 1),
  stroke('M58 14 L61 17 L66 10 M58 28 L61 31 L66 24', TONE.fern, 1.6),
  area('M70 46 L90 14 L95 17 L75 49 L69 52 Z', TONE.straw),
  bench,
];
