import {
  bench,
  box,
  card,
  cells,
  die,
  dot,
  sign,
  TONE,
  written,
  type Lines,
  type Pictures,
} from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { MatParams } from '.';
import { drawsOnMat, sumCards } from './rules';
import type { words } from './words';

export function steps(params: MatParams): Lines<typeof words.en> {
  const { source, claim, cells } = params;
  const [a, b] = source === 'cards' ? Object.values(sumCards(params).at(-1)!) : [4, 3];
  return [
    ['setUp.mat', { cells: cells.length }],
    claim
      ? ['setUp.claim']
      : drawsOnMat(params)
        ? ['setUp.pencils']
        : ['setUp.chips', { cells: cells.length }],
    source === 'one-die'
      ? ['turn.one', {}, 'pieces']
      : source === 'two-dice'
        ? ['turn.two', { a: a!, b: b!, answer: a! + b! }, 'pieces']
        : ['turn.card', { a: a!, b: b!, answer: a! + b! }, 'symbols'],
    drawsOnMat(params) ? ['turn.circle'] : ['turn.cover'],
    source === 'cards' && params.drawn === 'back' && ['turn.back'],
    ['turn.none'],
    claim ? ['end.claim'] : ['end.all', { cells: cells.length }],
    source === 'cards' ? ['easier.lay', {}, 'pieces'] : ['easier.count', {}, 'pieces'],
    source === 'cards' ? ['harder.wishCard'] : ['harder.wish'],
    ['sideBySide.team'],
    [source === 'cards' ? 'younger.chips' : 'younger.rolls', { years: 3 }],
    source === 'cards' ? ['atHome.paper'] : ['atHome.dice'],
    ['say.how'],
    ['say.part'],
    ['caution.small', { years: 3 }],
  ];
}

const mat = ({ cells: numbers }: MatParams, covered: number[]) => {
  const columns = Math.ceil(Math.sqrt(numbers.length));
  return cells(Math.ceil(numbers.length / columns), columns, covered);
};

export const pictures: Pictures<MatParams, typeof words.en> = {
  'turn.one': () => die(36, 16, 28, 4),
  'turn.two': ({ a, b, answer }) => [
    ...die(24, 4, 22, a!),
    ...die(54, 4, 22, b!, TONE.straw),
    ...written(`${a} + ${b} = ${answer}`, 46, 13),
  ],
  'turn.card': ({ a, b }) => card(28, 16, `${a} + ${b}`, TONE.card, 44, 28),
  'turn.cover': (_, params) => mat(params, [1]),
  'turn.circle': (_, params) => mat(params, [1]),
  'end.all': (_, params) =>
    mat(
      params,
      params.cells.map((_, i) => i),
    ),
};

/** Two dice, and a mat where their sum is being covered. */
export const drawing: readonly Shape[] = [
  box(8, 24, 84, 28, TONE.leaf),
  ...['5', '6', '7', '8', '9'].flatMap((text, i) => [
    box(12 + i * 15.6, 30, 13, 16, TONE.card),
    ...(text === '7'
      ? [dot(12 + i * 15.6 + 6.5, 38, 5, TONE.clay)]
      : [sign(12 + i * 15.6 + 6.5, 42, text, 9)]),
  ]),
  ...die(32, 4, 16, 4),
  ...die(54, 4, 16, 3, TONE.straw),
  bench,
];
