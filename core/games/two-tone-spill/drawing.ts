import type { Shape } from '~/core/paper/sheet';

const dark = '#2F6B4A';
const light = '#E3B64B';
const counter = (x: number, y: number, fill: string): Shape => ({
  kind: 'circle',
  x,
  y,
  radius: 4.6,
  fill,
  stroke: '#22312A',
  strokeMm: 0.7,
});

/** A tipped cup and what fell out of it, in a box of 100 by 60. */
export const drawing: readonly Shape[] = [
  { kind: 'path', d: 'M8 14 L36 6 L44 36 L10 42 Z', fill: '#F1E4C4', stroke: '#22312A', strokeMm: 1.1 },
  { kind: 'path', d: 'M36 6 C43 12 48 28 44 36', stroke: '#22312A', strokeMm: 1.1 },
  counter(52, 30, dark),
  counter(58, 44, light),
  counter(67, 33, light),
  counter(72, 48, dark),
  counter(82, 38, light),
  counter(91, 50, light),
  { kind: 'line', x1: 4, y1: 55, x2: 96, y2: 55, stroke: '#22312A', strokeMm: 0.8 },
];
