import { partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { inside } from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { INK, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { BondParams } from '.';
import { bonds } from './reckon';
import { words } from './words';

/** The triangle cards: the whole on top, its parts below. */
export const sheets = (params: BondParams, context: SheetContext): Sheet<MaterialId>[] =>
  partCards(
    words,
    'triangle-card',
    { w: 88, h: 78 },
    bonds(params).map(({ a, b, whole }) => ({
      name: `${whole} = ${a} + ${b}`,
      draw: (cell) => {
        const { x, y, w, h } = inside(cell, 4);
        return [
          {
            kind: 'path',
            d: `M${x + w / 2} ${y} L${x + w} ${y + h} L${x} ${y + h} Z`,
            stroke: INK,
            strokeMm: 0.7,
            round: true,
          },
          ...numeral(String(whole), x + w / 2, y + h * 0.38, 13),
          ...numeral(String(a), x + w * 0.27, y + h * 0.82, 11),
          ...numeral(String(b), x + w * 0.73, y + h * 0.82, 11),
        ];
      },
    })),
    context,
  );
