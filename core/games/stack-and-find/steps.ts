import {
  bench,
  box,
  card,
  dot,
  framed,
  sign,
  stroke,
  TONE,
  tower,
  type Lines,
  type Pictures,
} from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { StackParams } from '.';
import { numbersOf } from './reckon';
import type { words } from './words';

export function steps(params: StackParams): Lines<typeof words.en> {
  const { to, source, direction } = params;
  const number = to === 5 ? 4 : 7;
  const frames = direction === 'numeralToFrame' || direction === 'frameToNumeral';
  return [
    ['setUp.blocks', { blocks: direction === 'towers' ? (to * (to + 1)) / 2 : to }, 'pieces'],
    ...(direction === 'frameToNumeral'
      ? ([
          [source === 'cards' ? 'setUp.frameCards' : 'setUp.frameSpinner', { to }],
          ['setUp.numerals', { none: 0, to }],
          [source === 'cards' ? 'turn.frame' : 'turn.spinFrame', {}, 'drawing'],
        ] satisfies Lines<typeof words.en>)
      : ([
          [source === 'cards' ? 'setUp.cards' : 'setUp.spinner', { to }],
          frames && ['setUp.frames', { to }],
          [source === 'cards' ? 'turn.card' : 'turn.spin', { number }, 'symbols'],
        ] satisfies Lines<typeof words.en>)),
    ['turn.build', { number }, 'pieces'],
    direction === 'numeralToFrame' && ['turn.find', {}, 'drawing'],
    direction === 'frameToNumeral' && ['turn.numeral', {}, 'symbols'],
    direction === 'towers' && ['turn.stand'],
    ['end.all', { numbers: numbersOf(params).length }],
    frames ? ['easier.beside'] : ['easier.fingers'],
    ['harder.strip'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.paper'],
    ['say.touch'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

export const pictures: Pictures<StackParams, typeof words.en> = {
  'turn.card': ({ number }) => card(40, 14, String(number), TONE.card, 22, 32),
  'turn.spin': ({ number }) => [
    dot(50, 30, 25, TONE.card),
    stroke(
      'M50 30 L50 5 M50 30 L72 18 M50 30 L72 42 M50 30 L50 55 M50 30 L28 42 M50 30 L28 18',
      TONE.ink,
      0.8,
    ),
    sign(60, 20, String(number), 9),
  ],
  'turn.build': ({ number }, { direction }) =>
    direction === 'towers'
      ? [...tower(28, 3), ...tower(46, 4), ...tower(64, 5), bench]
      : [...tower(43, number!), bench],
  'turn.find': (_, { to }) => framed(4, to),
  'turn.frame': (_, { to }) => framed(4, to),
  'turn.spinFrame': (_, { to }) => framed(4, to),
};

/** A numeral, a tower of as many blocks, and the frame that shows it. */
export const drawing: readonly Shape[] = [
  ...card(6, 20, '3', TONE.card, 18, 26),
  ...[0, 1, 2].map((i) => box(38, 43 - i * 12, 16, 12, [TONE.fern, TONE.straw, TONE.clay][i])),
  ...Array.from({ length: 5 }, (_, i) => box(62 + i * 7, 34, 7, 12, TONE.card, 0)),
  ...[0, 1, 2].map((i) => dot(65.5 + i * 7, 40, 2.4, TONE.ink)),
  bench,
];
