import { bench, box, cells, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { RowsParams } from '.';
import { cubesOf, rounds, rowsOf, type Row } from './rules';
import type { words } from './words';

/** A row of middling length to show. */
const example = (params: RowsParams): Row => {
  const rows = rowsOf(params);
  return rows.find(({ a, b }) => a > 1 && b > 1 && a !== b) ?? rows.at(-1)!;
};

export function steps(params: RowsParams): Lines<typeof words.en> {
  const { cards, way } = params;
  const { a, b } = example(params);
  const two = way === 'two';
  const numbers = { a, b, answer: a + b };
  return [
    ['setUp.mat'],
    ['setUp.cubes', { ...cubesOf(params) }],
    ['setUp.cards', { cards }],
    two ? ['setUp.sides'] : ['setUp.chips', { cells: cards }],
    [two ? 'turn.both' : 'turn.build', {}, 'pieces'],
    way === 'count'
      ? ['turn.numbers', { a, b }, 'pieces']
      : [two ? 'turn.longer' : 'turn.sum', numbers, 'pieces'],
    ['turn.apart'],
    ['turn.draw', {}, 'drawing'],
    way !== 'count' && ['turn.write', numbers, 'symbols'],
    two ? ['end.rounds', { rounds: rounds(params) }] : ['end.all', { cells: cards }],
    ['easier.beside', {}, 'pieces'],
    ['harder.hide'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.paper'],
    ['say.turned'],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

const row = (a: number, b: number, x: number, y: number, side: number): Shape[] =>
  Array.from({ length: a + b }, (_, i) =>
    box(x + i * side, y, side, side, i < a ? TONE.fern : TONE.straw, side * 0.15),
  );
/** A row in the middle of the box. */
const middle = ({ a, b }: Row, y = 24): Shape[] => {
  const side = Math.min(12, 92 / (a + b));
  return row(a, b, 50 - (side * (a + b)) / 2, y, side);
};

export const pictures: Pictures<RowsParams, typeof words.en> = {
  'turn.build': (_, params) => middle(example(params)),
  'turn.both': (_, params) => [...middle(rowsOf(params)[0]!, 12), ...middle(rowsOf(params).at(-1)!, 36)],
  'turn.numbers': ({ a, b }) => [...middle({ a: a!, b: b! }, 10), ...written(`${a}  ${b}`, 44, 14)],
  'turn.sum': ({ a, b, answer }) => [...middle({ a: a!, b: b! }, 10), ...written(String(answer), 44, 16)],
  'turn.write': ({ a, b, answer }) => written(`${a} + ${b} = ${answer}`),
  'end.all': () =>
    cells(
      3,
      4,
      Array.from({ length: 12 }, (_, i) => i),
    ),
};

/** Three rows of two colors, one above the other. */
export const drawing: readonly Shape[] = [
  ...row(2, 3, 14, 12, 12),
  ...row(4, 2, 14, 26, 12),
  ...row(1, 4, 14, 40, 12),
  bench,
];
