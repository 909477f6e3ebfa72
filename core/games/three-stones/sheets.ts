import { cardSheets, inside, numberGrid, titleIn } from '~/core/print/cards';
import { INK, type Shape, type Sheet, type SheetContext } from '~/core/print/sheet';
import { en } from './words/en';
import { es } from './words/es';
import { SQUARE, type ThreeParams } from './rules';

/** The board of nine cells, with numbers when a row must make a sum. */
export function sheets({ sums }: ThreeParams, context: SheetContext): Sheet[] {
  return cardSheets(
    titleIn({ en, es }, 'sheet.board', context),
    [
      (cell) => {
        const place = inside(cell, 4);
        if (sums) return numberGrid(SQUARE, 3, place);
        return Array.from({ length: 9 }, (_, i): Shape => ({
          kind: 'rect',
          x: place.x + ((i % 3) * place.w) / 3,
          y: place.y + (Math.floor(i / 3) * place.h) / 3,
          width: place.w / 3,
          height: place.h / 3,
          stroke: INK,
          strokeMm: 0.5,
        }));
      },
    ],
    { w: 184, h: 184 },
    context,
  );
}
