import { area, bench, box, dot, sign, stroke, TONE, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { CourtParams } from '.';
import { FIRST, grid, places } from './rules';
import type { words } from './words';

const GROWS = {
  chalk: 'setUp.growChalk',
  tape: 'setUp.growTape',
  paper: 'setUp.growPaper',
} as const;

export function steps({ cells, layout, place, feet, lines, rest }: CourtParams): Lines<typeof words.en> {
  return [
    layout === 'growing'
      ? [GROWS[place], { first: FIRST }]
      : place === 'chalk'
        ? ['setUp.chalk', { cells }]
        : place === 'tape'
          ? ['setUp.tape', { cells }]
          : ['setUp.paper', { cells }],
    ['setUp.stones'],
    [place === 'paper' ? 'turn.flick' : 'turn.throw'],
    feet === 'two' ? ['turn.hopBoth'] : layout === 'branching' ? ['turn.branching'] : ['turn.hop'],
    rest > 0 && ['turn.rest', { rest }],
    lines && ['turn.line'],
    layout === 'growing' && [place === 'paper' ? 'turn.write' : 'turn.grow', { cells }],
    ['turn.say'],
    ['turn.back'],
    ['end.last', { cells }],
    feet === 'two' ? ['easier.lay'] : ['easier.feet'],
    ['harder.twos', { step: 2 }],
    ['sideBySide.relay'],
    ['younger.walks', { years: 3 }],
    ['atHome.tape'],
    ['say.where'],
    ['say.before'],
    place === 'chalk' ? ['caution.outside'] : place === 'tape' ? ['caution.floor'] : ['caution.rest'],
  ];
}

/** The court on its side, so that it fills the box: the first cell is on the left. */
const court = (params: CourtParams) => {
  const { across, down } = grid(params);
  const side = Math.min(94 / down, 52 / across);
  const [left, top] = [50 - (side * down) / 2, 30 - (side * across) / 2];
  return places(params).flatMap(({ cell, column, row }) => {
    const [x, y] = [left + (down - 1 - row) * side, top + column * side];
    return [
      box(x, y, side, side, TONE.card, 0.5),
      sign(x + side / 2, y + side * 0.68, String(cell), side * 0.5),
    ];
  });
};

export const pictures: Pictures<CourtParams, typeof words.en> = {
  'setUp.chalk': (_, params) => court(params),
  'setUp.tape': (_, params) => court(params),
  'setUp.paper': (_, params) => court(params),
  'setUp.growChalk': (_, params) => court(params),
  'setUp.growTape': (_, params) => court(params),
  'setUp.growPaper': (_, params) => court(params),
  'turn.throw': () => [
    area('M14 44 C16 38 26 38 28 44 C28 50 14 50 14 44 Z', TONE.wood),
    stroke('M28 34 C40 14 58 14 68 30', TONE.clay, 1.4),
    box(62, 32, 24, 24, TONE.card, 0.5),
    sign(74, 49, '1', 13),
  ],
};

const cell = (x: number, y: number, text: string): Shape[] => [
  box(x, y, 13, 13, '#DCE8EE', 0),
  sign(x + 6.5, y + 9.8, text, 8, TONE.shore),
];

/** A branching court with a stone on it. */
export const drawing: readonly Shape[] = [
  ...cell(8, 22, '1'),
  ...cell(21, 15.5, '2'),
  ...cell(21, 28.5, '3'),
  ...cell(34, 22, '4'),
  ...cell(47, 15.5, '5'),
  ...cell(47, 28.5, '6'),
  ...cell(60, 22, '7'),
  ...cell(73, 22, '8'),
  dot(83, 31, 3.4, TONE.clay),
  bench,
];
