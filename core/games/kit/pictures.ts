/** What the small pictures of the games are made of: each lies in a box of 100 by 60. */
import { frame } from '~/core/paper/cards';
import { fitNumeral, numeral } from '~/core/paper/numerals';
import type { Shape } from '~/core/paper/sheet';
import { pips } from '~/core/paper/stand-ins';
import type { Messages } from '~/core/words/message';
import type { StepId } from './steps';

export const TONE = {
  ink: '#22312A',
  fern: '#2F6B4A',
  leaf: '#9CBF8B',
  straw: '#E3B64B',
  clay: '#B4532F',
  shore: '#3C6E8F',
  card: '#FFFDF6',
  wood: '#F1E4C4',
} as const;

export const dot = (x: number, y: number, radius = 4.6, fill: string = TONE.fern): Shape => ({
  kind: 'circle',
  x,
  y,
  radius,
  fill,
  stroke: TONE.ink,
  strokeMm: 0.7,
});

export const box = (
  x: number,
  y: number,
  width: number,
  height: number,
  fill: string = TONE.card,
  radius = 1.5,
): Shape => ({ kind: 'rect', x, y, width, height, radius, fill, stroke: TONE.ink, strokeMm: 0.8 });

export const stroke = (d: string, colour: string = TONE.ink, strokeMm = 1): Shape => ({
  kind: 'path',
  d,
  stroke: colour,
  strokeMm,
});

export const area = (d: string, fill: string): Shape => ({
  kind: 'path',
  d,
  fill,
  stroke: TONE.ink,
  strokeMm: 0.9,
});

/** Text centred on x, standing on y; `size` is its height in the box. */
export const sign = (x: number, y: number, text: string, size = 10, fill: string = TONE.ink): Shape => ({
  kind: 'text',
  x,
  y,
  text,
  sizePt: size * 2.83,
  font: 'bold',
  anchor: 'middle',
  fill,
});

/** A card with a number on it. */
export const card = (
  x: number,
  y: number,
  text = '',
  fill: string = TONE.card,
  width = 16,
  height = 22,
): Shape[] => [
  box(x, y, width, height, fill),
  ...(text ? [sign(x + width / 2, y + height / 2 + 4, text, 11)] : []),
];

/** A die, seen from above. */
export const die = (x: number, y: number, size: number, n: number, fill: string = TONE.card): Shape[] => [
  box(x, y, size, size, fill, size * 0.18),
  ...pips(n, x, y, size),
];

/** The edge of the bench, under what lies on it. */
export const bench: Shape = { kind: 'line', x1: 4, y1: 55, x2: 96, y2: 55, stroke: TONE.ink, strokeMm: 0.8 };

/** The numbers that a step says, by their names. */
export type Said = Readonly<Record<string, number>>;
/** Small drawings of steps, in the box of 100 by 60, by the id of the step. They show the numbers the step says. */
export type Pictures<P, M extends Messages> = {
  readonly [K in StepId<M>]?: (said: Said, params: P) => readonly Shape[];
};

/** A number or a sentence across the middle. */
export const written = (text: string, y = 30, most = 20): Shape[] =>
  numeral(text, 50, y, fitNumeral(text, 84, most), TONE.ink);

/** Dots in rows of five that fill a part of the box; the last `second` of them are of the other colour. */
export function heap(n: number, second = 0, x = 8, y = 8, width = 84, height = 44): Shape[] {
  const rows = Math.max(1, Math.ceil(n / 5));
  const across = Math.min(5, Math.max(1, n));
  const step = Math.min(width / across, height / rows, 14);
  const [left, top] = [x + (width - step * across) / 2, y + (height - step * rows) / 2];
  return Array.from({ length: n }, (_, i) =>
    dot(
      left + ((i % 5) + 0.5) * step,
      top + (Math.floor(i / 5) + 0.5) * step,
      step * 0.36,
      i < n - second ? TONE.fern : TONE.straw,
    ),
  );
}
/** Two groups, each in rows of five, clearly apart. */
export const groupsApart = (a: number, b: number): Shape[] => [
  ...heap(a, 0, 4, 8, 40, 44),
  ...heap(b, b, 56, 8, 40, 44),
];
/** A ten-frame or five-frame with so many dots, the last ones of the other colour. */
export const framed = (n: number, of: 5 | 10, second = 0): Shape[] =>
  frame(n, of, { x: 8, y: 8, w: 84, h: 44 }, second);

/** A tower of blocks that stands on the bench. */
export function tower(x: number, n: number, width = 14): Shape[] {
  const high = Math.min(9, 46 / Math.max(1, n));
  return Array.from({ length: n }, (_, i) =>
    box(x, 55 - (i + 1) * high, width, high, i % 2 ? TONE.straw : TONE.leaf, 0.8),
  );
}
/** A cup from the side, with dots in it. */
export function cupOf(x: number, y: number, width: number, n = 0): Shape[] {
  const high = width * 1.15;
  return [
    area(
      `M${x} ${y} L${x + width * 0.14} ${y + high} L${x + width * 0.86} ${y + high} L${x + width} ${y} Z`,
      TONE.wood,
    ),
    ...Array.from({ length: n }, (_, i) =>
      dot(
        x + width * (0.3 + 0.2 * (i % 3)),
        y + high * 0.84 - Math.floor(i / 3) * width * 0.22,
        width * 0.085,
      ),
    ),
  ];
}
/** A grid of cells, some of them marked. */
export function cells(rows: number, columns: number, marked: readonly number[] = []): Shape[] {
  const side = Math.min(46 / rows, 84 / columns);
  const [left, top] = [50 - (side * columns) / 2, 30 - (side * rows) / 2];
  return Array.from({ length: rows * columns }, (_, i): Shape[] => {
    const [x, y] = [left + (i % columns) * side, top + Math.floor(i / columns) * side];
    return [
      box(x, y, side, side, TONE.card, 0.5),
      ...(marked.includes(i) ? [dot(x + side / 2, y + side / 2, side * 0.3, TONE.clay)] : []),
    ];
  }).flat();
}
/** Cards side by side, face up, or face down where the text is empty. */
export function cardRow(texts: readonly string[], y = 16): Shape[] {
  const step = Math.min(22, 92 / texts.length);
  const left = 50 - (step * texts.length) / 2;
  return texts.flatMap((text, i) =>
    card(left + i * step + step * 0.09, y, text, text ? TONE.card : TONE.leaf, step * 0.82, step * 1.2),
  );
}
/** An arrow to the right. */
export const arrow = (x: number, y: number, length = 16): Shape =>
  stroke(
    `M${x} ${y} L${x + length} ${y} M${x + length - 4} ${y - 3} L${x + length} ${y} L${x + length - 4} ${y + 3}`,
    TONE.clay,
    1.2,
  );
