import { bodyOf, partCards, partSheet, partTitle } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { dotsIn, heading, inEach, inside, NUMBER_MM, numberCards, wholeSheet } from '~/core/paper/cards';
import { fitNumeral, numeral } from '~/core/paper/numerals';
import { cm, metres, planShapes } from '~/core/paper/plan';
import {
  CannotPrint,
  INK,
  PAPERS,
  type Cell,
  type Shape,
  type Sheet,
  type SheetContext,
} from '~/core/paper/sheet';
import { line } from '~/core/paper/text';
import type { StoneParams } from '.';
import { pathMm } from './rules';
import { words } from './words';

/** Stones in a row of the chalk plan, and between its rows. */
const IN_ROW = 5;

const ROW_GAP_MM = 400;

/** A plan of the chalk path, the path for the table, or what is laid on felt stones, which are bought. */
export function sheets(params: StoneParams, context: SheetContext): Sheet<MaterialId>[] {
  if (params.place === 'table') return tablePath(params, context);
  if (params.place === 'felt') return laidOn(params, context);
  const { length, stoneMm, gapMm } = params;
  const pitch = stoneMm + gapMm;
  const down = stoneMm + ROW_GAP_MM;
  const rows = Math.ceil(length / IN_ROW);
  const plan = {
    cells: Array.from({ length }, (_, i) => {
      const row = Math.floor(i / IN_ROW);
      const column = row % 2 ? IN_ROW - 1 - (i % IN_ROW) : i % IN_ROW;
      return {
        x: column * pitch,
        y: (rows - 1 - row) * down,
        w: stoneMm,
        h: stoneMm,
        label: params.stones === 'numbers' ? String(i + 1) : '',
        round: true,
      };
    }),
    start: { x: -0.6 * pitch, y: (rows - 1) * down + stoneMm / 2 },
    measures: [
      { id: 'plan.stone', args: { cm: cm(stoneMm) } },
      { id: 'plan.gap', args: { cm: cm(gapMm) } },
      { id: 'plan.long', args: { length: metres(pathMm(params)) } },
    ] as const,
  };
  return partSheet(words, 'plan', 'plan', (place) => planShapes(plan, place, context), context);
}

/** Cards that the child lays on blank felt stones. */
function laidOn({ stones, length }: StoneParams, context: SheetContext): Sheet<MaterialId>[] {
  if (stones === 'numbers') return [];
  const numbers = Array.from({ length }, (_, i) => i + 1);
  return stones === 'childNumbers'
    ? partCards(words, 'number-card', NUMBER_MM, numberCards(numbers), context)
    : partCards(
        words,
        'dot-card',
        NUMBER_MM,
        numbers.map((n) => ({ name: String(n), draw: (cell) => dotsIn(n, inside(cell, 6)) })),
        context,
      );
}

/**
 * The table path: stones as wide as asked for in rows that turn at each end, on as many sheets as they take. Throws
 * CannotPrint when a stone is wider than the paper.
 */
function tablePath(
  { length, stoneMm, gapMm, stones: shown }: StoneParams,
  context: SheetContext,
): Sheet<MaterialId>[] {
  const place = bodyOf(context);
  const pitch = stoneMm + Math.max(gapMm, 2);
  const columns = Math.floor((place.w + pitch - stoneMm) / pitch);
  const rows = Math.floor((place.h - 8 + pitch - stoneMm) / pitch);
  if (columns < 1 || rows < 1)
    throw new CannotPrint(
      `${words.en.name}: a stone of ${stoneMm} mm is wider than what can be printed on ${PAPERS[context.paper].name} paper. Make it smaller.`,
    );
  const perPage = columns * rows;
  const title = partTitle(words, 'path', 1, context);
  return Array.from({ length: Math.ceil(length / perPage) }, (_, page) => {
    const here = Math.min(perPage, length - page * perPage);
    const left = place.x + (place.w - columns * pitch + pitch - stoneMm) / 2;
    const at = (i: number): Cell => {
      const row = Math.floor(i / columns);
      const column = row % 2 ? columns - 1 - (i % columns) : i % columns;
      return { x: left + column * pitch, y: place.y + 8 + row * pitch, w: stoneMm, h: stoneMm };
    };
    const middle = ({ x, y, w, h }: Cell) => ({ x: x + w / 2, y: y + h / 2 });
    const shapes = Array.from({ length: here }, (_, i): Shape[] => {
      const from = middle(at(i));
      const text = String(page * perPage + i + 1);
      const next = i + 1 < here ? middle(at(i + 1)) : undefined;
      return [
        ...(next
          ? [
              {
                kind: 'line',
                x1: from.x,
                y1: from.y,
                x2: next.x,
                y2: next.y,
                stroke: '#B08D57',
                strokeMm: 3,
              } satisfies Shape,
            ]
          : []),
        {
          kind: 'circle',
          ...from,
          radius: stoneMm / 2 - 0.5,
          fill: '#F1E4C4',
          stroke: INK,
          strokeMm: 0.5,
        },
        ...(shown === 'numbers'
          ? numeral(text, from.x, from.y, fitNumeral(text, stoneMm * 0.5, stoneMm * 0.36))
          : []),
      ];
    });
    // The line to the next stone lies below both stones.
    const lines = shapes.flat().filter((shape) => shape.kind === 'line' && shape.strokeMm === 3);
    const stones = shapes.flat().filter((shape) => !lines.includes(shape));
    const tape =
      length > perPage ? [line(place.x, place.y + 4, inEach('path.tape', context), { sizePt: 11 })] : [];
    return wholeSheet(
      { material: 'path', name: page ? `path, sheet ${page + 1}` : 'path', title, use: 'part' },
      [heading(title, context.paper), ...tape, ...lines, ...stones],
      context,
    );
  }).flat();
}
