/** A spinner: equal sectors, a paper clip and a pencil. */
import { inEach, spokenIn } from './cards';
import { fitNumeral, numeral } from './numerals';
import { INK, type Cell, type Shape, type SheetContext } from './sheet';
import { lineMm, sideBySide } from './text';

/** Points on a circle; 0 is at the top, clockwise in parts of the whole. */
const on = (x: number, y: number, radius: number, turn: number) => ({
  x: x + radius * Math.sin(2 * Math.PI * turn),
  y: y - radius * Math.cos(2 * Math.PI * turn),
});

/**
 * Equal sectors with a number each, in their order around, and how to spin below; `draw` shows a number as something
 * else than its numeral.
 */
export function spinnerShapes(
  numbers: readonly number[],
  place: Cell,
  context: SheetContext,
  draw?: (number: number, cell: Cell) => Shape[],
): Shape[] {
  const how = sideBySide(
    spokenIn('spinner.how', context).map((reading) => ({
      text: inEach('spinner.how', { readings: [reading] }),
      language: reading.language,
    })),
    place,
    place.y + place.h - 5 * lineMm(12),
    { sizePt: 12 },
    context.measure,
    8,
  );
  const radius = Math.min(place.w, place.h - 36) / 2 - 1;
  const middle = { x: place.x + place.w / 2, y: place.y + radius + 2 };
  const share = 1 / numbers.length;
  const height = Math.min(16, 2 * Math.PI * radius * 0.76 * share * 0.55);
  // A picture lies across its sector, where that is widest.
  const wide = Math.min(radius * 0.4, 2 * Math.PI * radius * 0.5 * share);
  return [
    { kind: 'circle', ...middle, radius, stroke: INK, strokeMm: 0.7 },
    ...numbers.flatMap((number, i): Shape[] => {
      const edge = on(middle.x, middle.y, radius, i * share);
      const at = on(middle.x, middle.y, radius * 0.78, (i + 0.5) * share);
      return [
        { kind: 'line', x1: middle.x, y1: middle.y, x2: edge.x, y2: edge.y, stroke: INK, strokeMm: 0.4 },
        ...(draw
          ? draw(number, { x: at.x - wide / 2, y: at.y - wide / 4, w: wide, h: wide / 2 })
          : numeral(String(number), at.x, at.y, fitNumeral(String(number), height * 1.2, height))),
      ];
    }),
    { kind: 'circle', ...middle, radius: 1.2, fill: INK },
    ...how.shapes,
  ];
}
