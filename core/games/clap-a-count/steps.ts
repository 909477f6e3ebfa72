import { area, bench, dot, sign, stroke, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { ClapParams } from '.';
import type { words } from './words';

export function steps({ unit, groups, patterns }: ClapParams): Lines<typeof words.en> {
  return [
    ['setUp.sit'],
    ['turn.beat', { unit, pats: unit - 1 }],
    ['turn.say', { a: unit, b: 2 * unit, c: 3 * unit }],
    ['turn.on', { end: unit * groups, groups, unit }],
    ['turn.swap'],
    ['end.patterns', { patterns }],
    ['easier.slow'],
    ['harder.back', { end: unit * groups }],
    ['sideBySide.circle'],
    ['younger.clap', { years: 2 }],
    ['atHome.anywhere'],
    ['say.many', { groups, unit }],
    ['caution.rest'],
  ];
}

/** Beats in a row: small ones, and the clap at the end large. */
export const pictures: Pictures<ClapParams, typeof words.en> = {
  'turn.beat': ({ unit }) => {
    const step = 88 / Math.max(2, unit!);
    return Array.from({ length: unit! }, (_, i) => {
      const last = i + 1 === unit;
      return dot(6 + (i + 0.5) * step, 32, Math.min(step * 0.42, last ? 9 : 4), last ? TONE.clay : TONE.leaf);
    });
  },
  'turn.say': ({ a, b, c }) => written(`${a} ${b} ${c}`),
};

/** Two hands that meet, and beats in groups below. */
export const drawing: readonly Shape[] = [
  area('M28 34 C22 20 28 8 36 8 L44 12 L46 32 C42 38 34 40 28 34 Z', TONE.straw),
  area('M72 34 C78 20 72 8 64 8 L56 12 L54 32 C58 38 66 40 72 34 Z', TONE.wood),
  stroke('M50 2 L50 8 M44 4 L46 9 M56 4 L54 9', TONE.clay, 1.4),
  ...[16, 24, 40, 48, 64, 72].map((x) => dot(x, 47, 3)),
  sign(88, 51, '6', 10),
  bench,
];
