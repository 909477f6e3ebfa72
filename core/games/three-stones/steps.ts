import { area, bench, cells, sign, stroke, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { ThreeParams } from '.';
import { EACH, SQUARE, TARGET } from './rules';
import type { words } from './words';

export function steps({ by, sums, place }: ThreeParams): Lines<typeof words.en> {
  const [a, b, c] = SQUARE;
  return [
    place === 'table' ? ['setUp.table'] : ['setUp.floor'],
    ['setUp.stones', { stones: EACH }],
    by === 'placing' ? ['turn.place', {}, 'pieces'] : ['turn.toss', {}, 'pieces'],
    by === 'tossing' && ['turn.taken'],
    sums && ['turn.number'],
    sums ? ['turn.sum', { a, b, c, target: TARGET }, 'symbols'] : ['turn.row', { stones: 3 }],
    sums ? ['end.sum', { target: TARGET }] : ['end.row', { stones: 3 }],
    ['end.full'],
    ['easier.open'],
    ['harder.say'],
    ['sideBySide.pattern'],
    ['younger.stones', { years: 3 }],
    ['atHome.paper'],
    ['say.two'],
    ['say.how'],
    by === 'tossing' ? ['caution.throw'] : ['caution.rest'],
  ];
}

const board = ({ sums }: ThreeParams, taken: number[]) => {
  const side = 46 / 3;
  return [
    ...cells(3, 3, taken),
    ...(sums
      ? SQUARE.map((n, i) =>
          sign(
            50 + ((i % 3) - 1) * side,
            33 + (Math.floor(i / 3) - 1) * side,
            String(n),
            8,
            taken.includes(i) ? TONE.card : TONE.ink,
          ),
        )
      : []),
  ];
};

export const pictures: Pictures<ThreeParams, typeof words.en> = {
  'turn.place': (_, params) => board(params, [4]),
  'turn.toss': (_, params) => board(params, [4, 8]),
  'turn.row': (_, params) => board(params, [0, 4, 8]),
  'turn.sum': ({ a, b, c, target }) => written(`${a} + ${b} + ${c} = ${target}`),
};

const pebble = (x: number, y: number, leaf: boolean): Shape[] => [
  area(
    `M${x - 6} ${y} C${x - 6} ${y - 6} ${x + 6} ${y - 6} ${x + 6} ${y} C${x + 6} ${y + 6} ${x - 6} ${y + 6} ${x - 6} ${y} Z`,
    leaf ? TONE.leaf : TONE.straw,
  ),
  stroke(
    leaf
      ? `M${x} ${y + 3} L${x} ${y - 3} M${x} ${y} L${x + 3} ${y - 2}`
      : `M${x - 3} ${y} C${x - 1} ${y - 3} ${x + 1} ${y + 3} ${x + 3} ${y}`,
  ),
];

/** A board of nine cells with marked stones, three of them in a row. */
export const drawing: readonly Shape[] = [
  stroke('M42 4 L42 53 M59 4 L59 53 M26 20 L75 20 M26 37 L75 37', TONE.ink, 1.4),
  ...pebble(34, 12, true),
  ...pebble(50.5, 28.5, true),
  ...pebble(67, 45, true),
  ...pebble(67, 12, false),
  ...pebble(34, 45, false),
  bench,
];
