import type { Shape } from '~/core/paper/sheet';
import { area, bench, dot, TONE } from '~/core/games/kit/draw';

/** Balls of dough in a row, some of them squashed flat. */
export const drawing: readonly Shape[] = [
  ...[14, 30, 46].map((x) => dot(x, 47, 7, TONE.straw)),
  ...[66, 84].map((x) => area(`M${x - 9} 54 C${x - 10} 48 ${x + 10} 48 ${x + 9} 54 Z`, TONE.clay)),
  { kind: 'path', d: 'M66 10 L66 34 M61 28 L66 35 L71 28', stroke: TONE.ink, strokeMm: 1.4 },
  { kind: 'path', d: 'M84 10 L84 34 M79 28 L84 35 L89 28', stroke: TONE.ink, strokeMm: 1.4 },
  bench,
];
