import type { MaterialId } from '~/core/materials/catalogue';
import { answerBox, forEachPlayer, recordSheets, sentenceToFill } from '~/core/paper/record';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { TileParams } from '.';
import { tilesOf } from './reckon';
import { words } from './words';

/** A row for every tile: its two ends to draw, and three numbers. */
export const sheets = (params: TileParams, context: SheetContext): Sheet<MaterialId>[] =>
  forEachPlayer(
    params.players,
    recordSheets(words, { rows: tilesOf(params).length, leastMm: 14, row }, context),
  );

function row({ x, y, w, h }: Cell): Shape[] {
  const side = Math.min(h, 13);
  const top = y + (h - side) / 2;
  return [
    answerBox(x, top, side * 2, side),
    {
      kind: 'line',
      x1: x + side,
      y1: top,
      x2: x + side,
      y2: top + side,
      stroke: INK,
      strokeMm: 0.3,
    },
    ...sentenceToFill(['□', '+', '□', '=', '□'], { x: x + side * 2 + 5, y, w: w - side * 2 - 5, h }, 12),
  ];
}
