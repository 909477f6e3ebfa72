/** What the small pictures of the games are made of: each lies in a box of 100 by 60. */
import type { Shape } from '~/core/print/sheet';

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

const PIPS: Record<number, readonly (readonly [number, number])[]> = {
  1: [[0.5, 0.5]],
  2: [
    [0.25, 0.25],
    [0.75, 0.75],
  ],
  3: [
    [0.25, 0.25],
    [0.5, 0.5],
    [0.75, 0.75],
  ],
  4: [
    [0.25, 0.25],
    [0.75, 0.25],
    [0.25, 0.75],
    [0.75, 0.75],
  ],
  5: [
    [0.25, 0.25],
    [0.75, 0.25],
    [0.5, 0.5],
    [0.25, 0.75],
    [0.75, 0.75],
  ],
  6: [
    [0.25, 0.2],
    [0.75, 0.2],
    [0.25, 0.5],
    [0.75, 0.5],
    [0.25, 0.8],
    [0.75, 0.8],
  ],
};

/** A die, seen from above. */
export const die = (x: number, y: number, size: number, pips: number, fill: string = TONE.card): Shape[] => [
  box(x, y, size, size, fill, size * 0.18),
  ...PIPS[pips]!.map(([px, py]): Shape => ({
    kind: 'circle',
    x: x + px * size,
    y: y + py * size,
    radius: size * 0.08,
    fill: TONE.ink,
  })),
];

/** The edge of the bench, under what lies on it. */
export const bench: Shape = { kind: 'line', x1: 4, y1: 55, x2: 96, y2: 55, stroke: TONE.ink, strokeMm: 0.8 };
