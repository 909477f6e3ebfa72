import { quantile } from '~/core/chance/pmf';
import { arrow, bench, box, die, heap, TONE, tower, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { SkylineParams } from '.';
import { totals } from './reckon';
import type { words } from './words';

export function steps(params: SkylineParams): Lines<typeof words.en> {
  const { dice, goal, rolls, reach, players, begins, mat, trade, measure } = params;
  const total = Math.max(12, quantile(totals(params).blocks, 0.5));
  return [
    ['setUp.blocks'],
    trade === 'rods' && ['setUp.rods'],
    mat && ['setUp.mat'],
    ['setUp.dice', { dice }],
    begins === 'highest' && players > 1 && ['setUp.highest'],
    ['turn.roll', { dice }, 'pieces'],
    [trade === 'rods' ? 'turn.buildRods' : 'turn.build', { stack: 10 }, 'pieces'],
    mat && ['turn.mat', {}, 'pieces'],
    ['turn.draw', {}, 'drawing'],
    ['turn.say', { total, tens: Math.floor(total / 10), ones: total % 10 }, 'symbols'],
    players > 1 && ['turn.pass'],
    goal === 'rolls' ? ['end.rolls', { rolls }] : ['end.reach', { reach }],
    measure && ['end.measure'],
    ['end.together'],
    ['easier.count', {}, 'pieces'],
    ['harder.guess'],
    ['sideBySide.city'],
    ['younger.rolls', { years: 3 }],
    ['atHome.dice'],
    [trade === 'rods' ? 'say.trade' : 'say.tens'],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

export const pictures: Pictures<SkylineParams, typeof words.en> = {
  'turn.roll': (_, { dice }) =>
    Array.from({ length: dice }, (_, i) =>
      die(50 - dice * 14 + i * 28 + 3, 18, 22, [5, 3, 6][i]!, i ? TONE.straw : TONE.card),
    ).flat(),
  'turn.build': () => [...tower(30, 10), ...tower(54, 3), bench],
  'turn.buildRods': () => [
    ...heap(10, 0, 4, 14, 36, 32),
    arrow(44, 30, 14),
    box(66, 12, 10, 42, TONE.leaf, 1),
  ],
  'turn.mat': () => [
    box(6, 6, 44, 48, TONE.card, 1),
    box(50, 6, 44, 48, TONE.card, 1),
    box(16, 14, 7, 36, TONE.leaf, 1),
    box(30, 14, 7, 36, TONE.leaf, 1),
    ...heap(3, 0, 56, 12, 34, 36),
  ],
  'turn.say': ({ tens, ones }) => [
    ...Array.from({ length: Math.min(4, tens!) }, (_, i) => tower(10 + i * 17, 10)).flat(),
    ...tower(80, ones!),
    bench,
  ],
};

const house = (x: number, height: number, fill: string): Shape[] =>
  Array.from({ length: height }, (_, i) => box(x, 47.5 - i * 7.5, 12, 7.5, fill));

/** Towers of different heights like a skyline, and a die. */
export const drawing: readonly Shape[] = [
  ...house(34, 3, TONE.clay),
  ...house(48, 6, TONE.fern),
  ...house(62, 4, TONE.straw),
  ...house(76, 5, TONE.leaf),
  ...die(8, 36, 18, 6),
  bench,
];
