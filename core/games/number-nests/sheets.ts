import { cardSheets, inside, numeral, SENTENCE_MM, sentenceFace, type Cell } from '~/core/print/cards';
import { INK, type Sheet, type SheetContext } from '~/core/print/sheet';
import { say } from '~/core/words/message';
import { en } from './words/en';
import { es } from './words/es';
import { allCards, nests, type NestParams } from './rules';

const WORDS = { en, es };
const NEST_MM = { w: 184, h: 120 };

/** The nests, half a page each, and every sum card once. */
export function sheets(params: NestParams, context: SheetContext): Sheet[] {
  const both = (id: string) => context.languages.map((language) => say(WORDS, language, id)).join(' · ');
  return [
    ...cardSheets(
      both('sheet.nests'),
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
      both('sheet.cards'),
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
