import { area, bench, dot, sign, stroke, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { MoveParams } from '.';
import type { words } from './words';

export function steps({ calls, most, without }: MoveParams): Lines<typeof words.en> {
  const count = Math.min(7, most);
  return [
    ['setUp.words'],
    ['setUp.room'],
    ['turn.call', { count }],
    ['turn.move'],
    without > 0 && ['turn.silent'],
    ['turn.leader'],
    ['end.calls', { calls }],
    ['easier.show'],
    ['harder.more', { more: 1 }],
    ['sideBySide.nobody'],
    ['younger.copy', { years: 2 }],
    ['atHome.anywhere'],
    ['say.slow'],
    ['say.count', { count }],
    ['caution.space'],
  ];
}

export const pictures: Pictures<MoveParams, typeof words.en> = {
  'turn.call': ({ count }) => written(String(count), 30, 34),
  'turn.move': () => [
    ...[0, 1, 2, 3].map((i) =>
      stroke(`M${10 + i * 20} 40 C${14 + i * 20} 18 ${24 + i * 20} 18 ${28 + i * 20} 40`, TONE.clay, 1.4),
    ),
    dot(92, 40, 5, TONE.fern),
  ],
};

const figure = (x: number, up: number): Shape[] => [
  dot(x, 26 - up, 5, TONE.straw),
  stroke(
    `M${x} ${31 - up} L${x} ${43 - up} M${x} ${34 - up} L${x - 7} ${28 - up} M${x} ${34 - up} L${x + 7} ${28 - up} M${x} ${43 - up} L${x - 5} ${53 - up} M${x} ${43 - up} L${x + 5} ${53 - up}`,
    TONE.ink,
    1.4,
  ),
];

/** A call, and children in mid-hop. */
export const drawing: readonly Shape[] = [
  area('M6 8 L36 8 L36 26 L22 26 L16 34 L16 26 L6 26 Z', TONE.leaf),
  sign(21, 22, '7', 13),
  ...figure(54, 4),
  ...figure(80, 8),
  bench,
];
