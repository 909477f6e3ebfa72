import type { Shape } from '~/core/paper/sheet';
import { area, bench, card, sign, stroke, TONE } from '~/core/games/kit/draw';

const nest = (x: number, label: string): Shape[] => [
  area(`M${x} 40 C${x + 2} 58 ${x + 24} 58 ${x + 26} 40 Z`, TONE.wood),
  stroke(`M${x + 3} 44 L${x + 22} 52 M${x + 23} 44 L${x + 4} 52`, '#A58B4F', 0.6),
  sign(x + 13, 51, label, 10),
];

/** Two nests with a number each, and a sum card on its way. */
export const drawing: readonly Shape[] = [
  bench,
  ...nest(10, '5'),
  ...nest(62, '6'),
  ...card(36, 6, '2+3', TONE.card, 28, 18),
  stroke('M44 26 C40 32 34 34 28 36', TONE.clay, 1.2),
];
