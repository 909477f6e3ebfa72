import {
  area,
  bench,
  die,
  dot,
  sign,
  stroke,
  TONE,
  written,
  type Lines,
  type Pictures,
} from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { StoneParams } from '.';
import type { words } from './words';

export function steps(params: StoneParams): Lines<typeof words.en> {
  const { length, dice, finish, back, place, stones, meet, players, begins } = params;
  const blank = stones !== 'numbers';
  const [before, rolled] = [3, 4];
  return [
    place === 'felt'
      ? [blank ? 'setUp.feltBlank' : 'setUp.felt', { length }]
      : place === 'chalk'
        ? [blank ? 'setUp.chalkBlank' : 'setUp.chalk', { length }]
        : ['setUp.table', { length }],
    stones === 'childNumbers' && [place === 'felt' ? 'setUp.laysNumbers' : 'setUp.writesNumbers'],
    stones === 'childDots' && [place === 'felt' ? 'setUp.laysDots' : 'setUp.writesDots', { length }],
    ['setUp.start'],
    begins === 'highest' && players > 1 && ['setUp.highest'],
    ['turn.roll', { dice }, 'pieces'],
    [place === 'table' ? 'turn.move' : 'turn.hop', {}, 'pieces'],
    ['turn.say', { before, rolled, stone: before + rolled }],
    back === 'subtract' && ['turn.back', { stone: before + rolled, rolled, before }],
    back === 'difference' && ['turn.difference', { a: 5, b: 2, rolled: 3 }, 'symbols'],
    players > 1 && [meet === 'further' ? 'turn.further' : 'turn.together'],
    ['turn.write', { before, rolled, stone: before + rolled }, 'symbols'],
    finish === 'exact' ? ['end.exact', { length }] : ['end.reach', { length }],
    back !== 'none' && ['end.back'],
    ['easier.five', { number: 5 }],
    ['harder.before'],
    ['sideBySide.together'],
    ['younger.rolls', { years: 3 }],
    ['atHome.dice'],
    ['atHome.paperStones'],
    ['say.number'],
    ['say.check'],
    place === 'table'
      ? ['caution.small', { years: 3 }]
      : place === 'felt'
        ? ['caution.floor']
        : ['caution.outside'],
  ];
}

/** Stones from a number on, with the hops over them. */
const path = (from: number, hops: number) => [
  ...Array.from({ length: 5 }, (_, i) => [
    dot(12 + i * 19, 44, 8, TONE.wood),
    sign(12 + i * 19, 47, String(from + i), 7),
  ]).flat(),
  ...Array.from({ length: hops }, (_, i) =>
    stroke(`M${14 + i * 19} 34 C${16 + i * 19} 20 ${27 + i * 19} 20 ${29 + i * 19} 34`, TONE.clay, 1.4),
  ),
];

export const pictures: Pictures<StoneParams, typeof words.en> = {
  'turn.roll': (_, { dice }) => [
    ...die(dice === 2 ? 22 : 37, 18, 24, 4),
    ...(dice === 2 ? die(54, 18, 24, 3, TONE.straw) : []),
  ],
  'turn.hop': () => path(1, 4),
  'turn.move': () => path(1, 4),
  'turn.say': ({ before, rolled }) => path(before!, Math.min(4, rolled!)),
  'turn.write': ({ before, rolled, stone }) => written(`${before} + ${rolled} = ${stone}`),
};

const stone = (x: number, y: number, text: string, fill: string): Shape[] => [
  area(
    `M${x} ${y} C${x} ${y - 7} ${x + 16} ${y - 8} ${x + 17} ${y} C${x + 18} ${y + 7} ${x} ${y + 8} ${x} ${y} Z`,
    fill,
  ),
  sign(x + 8.5, y + 3.5, text, 9),
];

/** Stones in a curve with their numbers, a hop between two of them, and a die. */
export const drawing: readonly Shape[] = [
  ...stone(4, 44, '1', TONE.leaf),
  ...stone(24, 34, '2', TONE.leaf),
  ...stone(46, 40, '3', TONE.leaf),
  ...stone(70, 32, '4', TONE.straw),
  stroke('M32 26 C44 6 66 6 78 22', TONE.clay, 1.4),
  ...die(8, 6, 14, 2),
  bench,
];
