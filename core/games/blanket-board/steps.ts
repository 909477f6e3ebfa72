import { bench, box, cells, dot, sign, TONE, type Lines, type Pictures } from '~/core/games/kit';
import { slipFace } from '~/core/paper/cards';
import type { Shape } from '~/core/paper/sheet';
import type { BlanketParams } from '.';
import { SHAPES, slips } from './rules';
import type { words } from './words';

export function steps(params: BlanketParams): Lines<typeof words.en> {
  const { cells, boardsPerChild, win } = params;
  const number = Math.min(params.to, Math.max(params.from, 7));
  return [
    params.fill === 'blank'
      ? ['setUp.blank', { boards: boardsPerChild, cells, from: params.from, to: params.to }]
      : ['setUp.boards', { boards: boardsPerChild, cells }],
    ['setUp.slips', { slips: slips(params) }],
    ['turn.draw', { number }, 'symbols'],
    ['turn.cover', { number }, 'pieces'],
    ['turn.view'],
    win === 'full' ? ['end.full', { cells }] : ['end.line'],
    ['end.on'],
    ['easier.beside'],
    ['harder.dots', {}, 'drawing'],
    ['sideBySide.one'],
    ['younger.cover', { years: 3 }],
    ['atHome.paper'],
    ['say.looks'],
    ['say.missing'],
    ['caution.small', { years: 3 }],
  ];
}

const board = (params: BlanketParams, covered: number[]) => {
  const { rows, columns } = SHAPES[params.cells]!;
  return cells(rows, columns, covered);
};

export const pictures: Pictures<BlanketParams, typeof words.en> = {
  'setUp.boards': (_, params) => board(params, []),
  'setUp.blank': (_, params) => board(params, []),
  'turn.draw': ({ number }) => [
    box(30, 2, 40, 56, TONE.card),
    ...slipFace(number!, { x: 30, y: 2, w: 40, h: 56 }),
  ],
  'turn.cover': (_, params) => board(params, [1]),
  'end.full': (_, params) =>
    board(
      params,
      Array.from({ length: params.cells }, (_, i) => i),
    ),
  'end.line': (_, params) =>
    board(
      params,
      Array.from({ length: SHAPES[params.cells]!.columns }, (_, i) => i),
    ),
};

const SHOWN = ['4', '', '9', '', '', '2'];

/** A board with covered cells, and a slip with a number. */
export const drawing: readonly Shape[] = [
  box(8, 8, 56, 42, TONE.wood),
  ...SHOWN.flatMap((text, i) => {
    const [x, y] = [12 + (i % 3) * 17, 12 + Math.floor(i / 3) * 18];
    return [
      box(x, y, 14, 15, TONE.card),
      text ? sign(x + 7, y + 11.5, text, 9) : dot(x + 7, y + 7.5, 5, TONE.clay),
    ];
  }),
  box(72, 20, 20, 14, TONE.straw),
  sign(82, 31, '9', 10),
  bench,
];
