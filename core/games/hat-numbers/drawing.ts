import type { Shape } from '~/core/paper/sheet';
import { area, bench, card, dot, stroke, TONE } from '~/core/games/kit/draw';

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
