import { partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { inside } from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { forEachPlayer, recordSheets, sentenceToFill } from '~/core/paper/record';
import { GREY, INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { PegParams } from '.';
import { pairs } from './reckon';
import { words } from './words';

/** A clothes peg needs about 16 mm of the edge. */
const PEG_MM = 16;

/** One card for each whole, and a record of every pair for each player. */
export function sheets(params: PegParams, context: SheetContext): Sheet<MaterialId>[] {
  const lines = params.whole.flatMap((whole) => pairs(whole, params.order).map(() => whole));
  return [
    ...partCards(
      words,
      'peg-card',
      { w: 180, h: 60 },
      params.whole.map((whole) => ({ name: String(whole), draw: (cell) => pegCard(whole, cell) })),
      context,
    ),
    ...forEachPlayer(
      params.players,
      recordSheets(
        words,
        {
          rows: lines.length,
          row: (place, i) => sentenceToFill(['□', '+', '□', '=', String(lines[i])], place),
        },
        context,
      ),
    ),
  ];
}

/** The whole on the left, a line to slide past in the middle, and a mark on the upper edge for each peg. */
function pegCard(whole: number, cell: Cell): Shape[] {
  const { x, y, w, h } = inside(cell, 4);
  const from = x + (w - (whole + 1) * PEG_MM) / 2;
  return [
    ...Array.from({ length: whole }, (_, i): Shape => ({
      kind: 'rect',
      x: from + (i < Math.ceil(whole / 2) ? i : i + 1) * PEG_MM + 1,
      y,
      width: PEG_MM - 2,
      height: 12,
      radius: 2,
      stroke: GREY,
      strokeMm: 0.25,
    })),
    {
      kind: 'line',
      x1: x + w / 2,
      y1: y + 16,
      x2: x + w / 2,
      y2: y + h * 0.4,
      stroke: INK,
      strokeMm: 0.3,
      dashMm: [2, 2],
    },
    ...numeral(String(whole), x + 16, y + h * 0.68, 18),
    ...sentenceToFill(['□', '+', '□'], { x: x + w / 2 - 28, y: y + h * 0.46, w: 64, h: h * 0.46 }, 20),
  ];
}
