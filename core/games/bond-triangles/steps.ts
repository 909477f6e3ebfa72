import {
  area,
  bench,
  dot,
  sign,
  stroke,
  TONE,
  written,
  type Lines,
  type Pictures,
  type Said,
} from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { BondParams } from '.';
import { bonds } from './reckon';
import type { words } from './words';

export function steps(params: BondParams): Lines<typeof words.en> {
  const cards = bonds(params);
  const example = cards.find(({ a, b }) => a > 0 && a !== b) ?? cards[0]!;
  return [
    ['setUp.pile', { cards: cards.length }],
    ['turn.cover'],
    [
      params.cover === 'whole' ? 'turn.whole' : params.cover === 'part' ? 'turn.part' : 'turn.any',
      { ...example },
      'symbols',
    ],
    ['turn.lay', {}, 'pieces'],
    ['turn.sentences', { ...example }, 'symbols'],
    ['end.pile'],
    ['easier.draw', {}, 'drawing'],
    ['harder.write', {}, 'symbols'],
    ['sideBySide.team'],
    ['younger.counts', { years: 3 }],
    ['atHome.paper'],
    ['say.story', { ...example }],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

/** A triangle with a thumb on one corner. */
const triangle = ({ whole, a, b }: Said, covered: 'whole' | 'b') => [
  stroke('M50 4 L82 56 L18 56 Z', TONE.ink, 1.2),
  ...(covered === 'whole' ? [] : [sign(50, 28, String(whole), 12)]),
  sign(33, 52, String(a), 12),
  ...(covered === 'b' ? [] : [sign(67, 52, String(b), 12)]),
  area(
    covered === 'whole'
      ? 'M40 2 L40 14 C42 30 58 30 60 14 L60 2 Z'
      : 'M60 42 C56 54 74 60 78 50 L92 34 L78 24 Z',
    TONE.wood,
  ),
];

export const pictures: Pictures<BondParams, typeof words.en> = {
  'turn.whole': (said) => triangle(said, 'whole'),
  'turn.part': (said) => triangle(said, 'b'),
  'turn.any': (said) => triangle(said, 'b'),
  'turn.lay': (_, { wholes }) =>
    Array.from({ length: Math.min(10, Math.max(...wholes)) }, (_, i) =>
      dot(14 + (i % 5) * 18, 20 + Math.floor(i / 5) * 20, 6, i % 5 < 3 ? TONE.fern : TONE.straw),
    ),
  'turn.sentences': ({ a, b, whole }) => [
    ...written(`${a} + ${b} = ${whole}`, 18, 14),
    ...written(`${whole} − ${a} = ${b}`, 42, 14),
  ],
};

/** A triangle with a whole on top, a part below, and a thumb on the other part. */
export const drawing: readonly Shape[] = [
  area('M50 5 L88 53 L12 53 Z', TONE.card),
  sign(50, 25, '10', 11),
  sign(29, 49, '7', 11),
  dot(71, 45, 6.5, TONE.straw),
  bench,
];
