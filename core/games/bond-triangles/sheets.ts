import { cardSheets, inside, numeral, titleIn } from '~/core/print/cards';
import { INK, type Sheet, type SheetContext } from '~/core/print/sheet';
import { en } from './words/en';
import { es } from './words/es';
import { bonds, type BondParams } from './rules';

const CARD_MM = { w: 92, h: 82 };

/** The triangle cards: the whole on top, its parts below. */
export function sheets(params: BondParams, context: SheetContext): Sheet[] {
  return cardSheets(
    titleIn({ en, es }, 'sheet.cards', context),
    bonds(params).map(({ a, b, whole }) => (cell) => {
      const { x, y, w, h } = inside(cell, 4);
      return [
        {
          kind: 'path',
          d: `M${x + w / 2} ${y} L${x + w} ${y + h} L${x} ${y + h} Z`,
          stroke: INK,
          strokeMm: 0.7,
        },
        ...numeral(String(whole), x + w / 2, y + h * 0.36, 12),
        ...numeral(String(a), x + w * 0.27, y + h * 0.84, 10),
        ...numeral(String(b), x + w * 0.73, y + h * 0.84, 10),
      ];
    }),
    CARD_MM,
    context,
  );
}
