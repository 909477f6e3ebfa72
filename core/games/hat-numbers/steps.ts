import { area, bench, card, dot, sign, stroke, TONE, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { HatParams } from '.';
import { call } from './reckon';
import type { words } from './words';

export function steps(params: HatParams): Lines<typeof words.en> {
  const { op, signed, faces } = params;
  const [a, b] = op === 'add' ? [7, signed ? -3 : 5] : [6, 4];
  const said = call(op, a, b);
  return [
    faces === 'remove'
      ? ['setUp.remove']
      : faces === 'zero'
        ? ['setUp.zero', { zero: 0 }]
        : ['setUp.faces', { jack: 11, queen: 12, king: 13 }],
    signed && ['setUp.signed'],
    ['setUp.roles'],
    ['turn.hats'],
    [op === 'add' ? 'turn.sum' : 'turn.product', { said }, 'symbols'],
    [op === 'add' ? 'turn.partSum' : 'turn.partProduct', { said, a, b }, 'symbols'],
    params.ending === 'winner' ? ['turn.winner'] : ['turn.together'],
    ['end.rotate'],
    ['easier.ten', {}, 'pieces'],
    ['harder.explain'],
    ['sideBySide.calm'],
    ['younger.keeps', { years: 3 }],
    ['atHome.deck'],
    ['say.part'],
    ['say.from', { said, b }],
    ['caution.rest'],
  ];
}

/** A face with a card at the forehead. */
const face = (x: number, text: string) => [
  dot(x, 40, 13, TONE.wood),
  stroke(`M${x - 5} 46 C${x - 2} 49 ${x + 2} 49 ${x + 5} 46`, TONE.ink, 1),
  ...card(x - 8, 6, text, TONE.card, 16, 22),
];

export const pictures: Pictures<HatParams, typeof words.en> = {
  'turn.hats': () => [...face(26, ''), ...face(74, '')],
  'turn.sum': ({ said }) => [...face(26, '?'), ...face(74, '?'), sign(50, 34, String(said), 14, TONE.clay)],
  'turn.product': ({ said }) => [
    ...face(26, '?'),
    ...face(74, '?'),
    sign(50, 34, String(said), 14, TONE.clay),
  ],
  'turn.partSum': ({ said, a, b }) => [
    ...face(26, String(b)),
    ...face(74, String(a)),
    sign(50, 34, String(said), 14, TONE.clay),
  ],
  'turn.partProduct': ({ said, a, b }) => [
    ...face(26, String(b)),
    ...face(74, String(a)),
    sign(50, 34, String(said), 14, TONE.clay),
  ],
};

const head = (x: number, text: string): Shape[] => [
  dot(x, 40, 9, TONE.wood),
  ...card(x - 8, 12, text, TONE.card, 16, 20),
  stroke(`M${x - 3} 42 C${x - 1} 45 ${x + 1} 45 ${x + 3} 42`),
];

/** Two heads with a card on each forehead, and the call between them. */
export const drawing: readonly Shape[] = [
  ...head(22, '7'),
  ...head(78, '5'),
  area('M40 18 L60 18 L60 32 L52 32 L50 37 L48 32 L40 32 Z', TONE.straw),
  { kind: 'text', x: 50, y: 28.5, text: '12', sizePt: 25, font: 'bold', anchor: 'middle', fill: TONE.ink },
  bench,
];
