import { answerBox, forEachPlayer, recordSheets, sentenceToFill } from '~/core/paper/record';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import { tilesOf, type TileParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** A row for every tile: its two ends to draw, and three numbers. */
export const sheets = (params: TileParams, context: SheetContext): Sheet[] =>
  forEachPlayer(
    params.players,
    recordSheets({ en, es }, { rows: tilesOf(params).length, leastMm: 14, row }, context),
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
