import {
  area,
  bench,
  box,
  dot,
  sign,
  stroke,
  TONE,
  type Lines,
  type Pictures,
  type Said,
} from '~/core/games/kit';
import { flock } from '~/core/paper/pictures';
import type { Shape } from '~/core/paper/sheet';
import type { PuzzleParams } from '.';
import type { words } from './words';

export function steps({ count, max }: PuzzleParams): Lines<typeof words.en> {
  const a = Math.max(1, Math.min(3, max - 1));
  const b = Math.max(1, Math.min(2, max - a));
  return [
    ['setUp.sort', { puzzles: count }],
    ['setUp.spread'],
    ['turn.take', {}, 'drawing'],
    ['turn.count', { a, b }, 'drawing'],
    ['turn.answer', { a, b, answer: a + b }, 'symbols'],
    ['turn.check', {}, 'pieces'],
    ['end.all', { puzzles: count }],
    ['easier.few', { puzzles: 3 }],
    ['harder.cover'],
    ['sideBySide.calm'],
    ['younger.picture', { years: 3 }],
    ['atHome.card'],
    ['say.cut'],
    ['say.part'],
    ['caution.rest'],
  ];
}

const wave = (x: number) =>
  stroke(
    `M${x} 12 C${x} 18 ${x + 5} 18 ${x + 5} 24 C${x + 5} 30 ${x - 5} 32 ${x - 5} 38 C${x - 5} 44 ${x} 44 ${x} 48`,
    TONE.ink,
    1,
  );

const picture = ({ a, b }: Said) => [
  box(2, 12, 96, 36, TONE.card),
  ...flock('apple', a!, { x: 4, y: 16, w: 30, h: 28 }),
  ...flock('leaf', b!, { x: 68, y: 16, w: 28, h: 28 }),
  wave(38),
  wave(62),
];

export const pictures: Pictures<PuzzleParams, typeof words.en> = {
  'turn.count': (said) => picture(said),
  'turn.answer': (said) => [...picture(said), sign(50, 35, String(said.answer), 14)],
};

/** Two picture parts with wavy cuts, and the answer between them. */
export const drawing: readonly Shape[] = [
  area('M6 14 L34 14 C40 22 28 30 34 38 L34 46 L6 46 Z', TONE.leaf),
  area('M40 14 L62 14 C56 22 68 30 62 38 L62 46 L40 46 L40 38 C34 30 46 22 40 14 Z', TONE.card),
  area('M68 14 L94 14 L94 46 L68 46 L68 38 C74 30 62 22 68 14 Z', TONE.straw),
  dot(14, 24, 3.4),
  dot(24, 24, 3.4),
  dot(19, 35, 3.4),
  sign(51, 35, '5', 15),
  dot(82, 24, 3.4, TONE.clay),
  dot(82, 36, 3.4, TONE.clay),
  bench,
];
