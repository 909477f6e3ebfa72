import { partSheet, within } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { numberGrid } from '~/core/paper/cards';
import { INK, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { ThreeParams } from '.';
import { SQUARE } from './rules';
import { words } from './words';

/** The board of nine cells, with numbers when a row must make a sum. */
export const sheets = ({ sums }: ThreeParams, context: SheetContext): Sheet<MaterialId>[] =>
  partSheet(
    words,
    'board',
    'board',
    (place) => {
      const square = within(place, 1);
      if (sums) return numberGrid(SQUARE, 3, square);
      return Array.from({ length: 9 }, (_, i): Shape => ({
        kind: 'rect',
        x: square.x + ((i % 3) * square.w) / 3,
        y: square.y + (Math.floor(i / 3) * square.h) / 3,
        width: square.w / 3,
        height: square.h / 3,
        stroke: INK,
        strokeMm: 0.5,
      }));
    },
    context,
  );
