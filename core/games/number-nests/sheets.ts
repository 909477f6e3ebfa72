import {
  cardSheets,
  inside,
  numeral,
  SENTENCE_MM,
  sentenceFace,
  titleIn,
  type Cell,
} from '~/core/print/cards';
import { INK, type Sheet, type SheetContext } from '~/core/print/sheet';
import { en } from './words/en';
import { es } from './words/es';
import { allCards, nests, type NestParams } from './rules';

const WORDS = { en, es };
const NEST_MM = { w: 184, h: 120 };

/** The nests, half a page each, and every sum card once. */
export function sheets(params: NestParams, context: SheetContext): Sheet[] {
  return [
    ...cardSheets(
      titleIn(WORDS, 'sheet.nests', context),
      nests(params).map((nest) => (cell) => {
        const { x, y, w, h } = inside(cell, 8);
        return [
          {
            kind: 'path',
            d: `M${x} ${y + 8} C${x + 6} ${y + h} ${x + w - 6} ${y + h} ${x + w} ${y + 8} Z`,
            stroke: INK,
            strokeMm: 0.8,
          },
          ...numeral(String(nest), x + w / 2, y + h * 0.42, 26),
        ];
      }),
      NEST_MM,
      context,
    ),
    ...cardSheets(
      titleIn(WORDS, 'sheet.cards', context),
      allCards(params).map(
        ({ a, b }) =>
          (cell: Cell) =>
            sentenceFace(`${a} + ${b}`, cell),
      ),
      SENTENCE_MM,
      context,
    ),
  ];
}
