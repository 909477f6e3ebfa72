import { area, bench, box, dot, sign, stroke, TONE, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { SpotParams } from '.';
import type { words } from './words';

export function steps({ clues, rounds }: SpotParams): Lines<typeof words.en> {
  return [
    ['setUp.choose'],
    [
      'turn.clue',
      { shape: clues.includes('shape') ? 'yes' : 'no', colour: clues.includes('colour') ? 'yes' : 'no' },
    ],
    clues.includes('number') && ['turn.number', { corners: 4 }],
    ['turn.guess'],
    ['turn.hint'],
    ['end.found', { rounds }],
    ['easier.two'],
    ['harder.not'],
    ['sideBySide.team'],
    ['younger.point', { years: 2 }],
    ['atHome.anywhere'],
    ['say.why'],
    ['caution.rest'],
  ];
}

export const pictures: Pictures<SpotParams, typeof words.en> = {
  'turn.clue': () => [
    dot(22, 30, 14, TONE.clay),
    area('M42 44 L58 16 L74 44 Z', TONE.straw),
    area('M80 18 L96 18 L96 44 L80 44 Z', TONE.leaf),
  ],
  'turn.guess': () => [dot(34, 30, 14, TONE.clay), sign(66, 42, '?', 30)],
};

/** Things of different shapes, and a glass that looks for one of them. */
export const drawing: readonly Shape[] = [
  area('M14 50 L26 26 L38 50 Z', TONE.straw),
  box(46, 30, 20, 20, TONE.leaf, 0),
  dot(82, 40, 10, TONE.clay),
  { kind: 'circle', x: 56, y: 26, radius: 17, stroke: TONE.ink, strokeMm: 2 },
  stroke('M44 14 L30 4', TONE.ink, 2.6),
  bench,
];
