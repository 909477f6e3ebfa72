import { matSheet, partCards, partSheet } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { inside, type Card } from '~/core/paper/cards';
import { fitNumeral, numeral } from '~/core/paper/numerals';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { RowsParams } from '.';
import { rowsOf, type Row } from './rules';
import { words } from './words';

/** A card for every row, and the mat with both numbers of each, or with its answer. */
export function sheets(params: RowsParams, context: SheetContext): Sheet<MaterialId>[] {
  const rows = rowsOf(params);
  const columns = rows.length <= 6 ? 2 : rows.length <= 12 ? 3 : 4;
  return [
    ...(params.way === 'count'
      ? partSheet(words, 'mat', 'mat', (place) => pairGrid(rows, columns, place), context)
      : matSheet(
          words,
          rows.map(({ a, b }) => a + b),
          columns,
          context,
        )),
    ...partCards(
      words,
      'picture-card',
      { w: 92, h: 36 },
      rows.map(({ a, b }): Card => ({
        name: `${a} and ${b}`,
        draw: (cell) => rowFace(a, b, params.max, cell),
      })),
      context,
    ),
  ];
}

/** Dark squares for the first color, light ones with a ring for the second: told apart without color, too. */
function cube(x: number, y: number, side: number, second: boolean): Shape[] {
  return [
    {
      kind: 'rect',
      x: x + side * 0.04,
      y: y + side * 0.04,
      width: side * 0.92,
      height: side * 0.92,
      radius: side * 0.12,
      fill: second ? '#F6E7B8' : '#2F6B4A',
      stroke: INK,
      strokeMm: 0.4,
    },
    ...(second
      ? [
          {
            kind: 'circle',
            x: x + side / 2,
            y: y + side / 2,
            radius: side * 0.2,
            stroke: INK,
            strokeMm: 0.4,
          } satisfies Shape,
        ]
      : []),
  ];
}

/** The row, every card with squares of the same size, so that longer rows are longer. */
function rowFace(a: number, b: number, most: number, cell: Cell): Shape[] {
  const { x, y, w, h } = inside(cell, 4);
  const side = Math.min(w / most, h);
  const left = x + (w - side * (a + b)) / 2;
  return Array.from({ length: a + b }, (_, i) =>
    cube(left + i * side, y + (h - side) / 2, side, i >= a),
  ).flat();
}

/** Cells with two numbers, each in a square of its color. */
function pairGrid(rows: readonly Row[], columns: number, place: Cell): Shape[] {
  const down = Math.ceil(rows.length / columns);
  const [w, h] = [place.w / columns, place.h / down];
  const side = Math.min(w * 0.4, h * 0.6);
  return rows.flatMap(({ a, b }, i): Shape[] => {
    const [x, y] = [place.x + (i % columns) * w, place.y + Math.floor(i / columns) * h];
    const top = y + (h - side) / 2;
    return [
      { kind: 'rect', x, y, width: w, height: h, stroke: INK, strokeMm: 0.5 },
      ...[a, b].flatMap((n, k): Shape[] => {
        const left = x + w / 2 + (k - 1) * side + (k ? 1 : -1);
        return [
          {
            kind: 'rect',
            x: left,
            y: top,
            width: side,
            height: side,
            radius: side * 0.1,
            fill: k ? '#F6E7B8' : '#2F6B4A',
            stroke: INK,
            strokeMm: 0.5,
          },
          ...numeral(
            String(n),
            left + side / 2,
            top + side / 2,
            fitNumeral(String(n), side * 0.6, side * 0.6),
            k ? INK : '#FFFFFF',
          ),
        ];
      }),
    ];
  });
}
