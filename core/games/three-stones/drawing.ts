import type { Shape } from '~/core/paper/sheet';
import { area, bench, stroke, TONE } from '~/core/games/kit/draw';

const pebble = (x: number, y: number, leaf: boolean): Shape[] => [
  area(
    `M${x - 6} ${y} C${x - 6} ${y - 6} ${x + 6} ${y - 6} ${x + 6} ${y} C${x + 6} ${y + 6} ${x - 6} ${y + 6} ${x - 6} ${y} Z`,
    leaf ? TONE.leaf : TONE.straw,
  ),
  stroke(
    leaf
      ? `M${x} ${y + 3} L${x} ${y - 3} M${x} ${y} L${x + 3} ${y - 2}`
      : `M${x - 3} ${y} C${x - 1} ${y - 3} ${x + 1} ${y + 3} ${x + 3} ${y}`,
  ),
];
/** A board of nine cells with marked stones, three of them in a row. */
export const drawing: readonly Shape[] = [
  stroke('M42 4 L42 53 M59 4 L59 53 M26 20 L75 20 M26 37 L75 37', TONE.ink, 1.4),
  ...pebble(34, 12, true),
  ...pebble(50.5, 28.5, true),
  ...pebble(67, 45, true),
  ...pebble(67, 12, false),
  ...pebble(34, 45, false),
  bench,
];
