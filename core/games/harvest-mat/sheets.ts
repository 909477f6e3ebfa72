import {
  cardSheets,
  inside,
  numberGrid,
  SENTENCE_MM,
  sentenceFace,
  titleIn,
  type Cell,
} from '~/core/print/cards';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import { en } from './words/en';
import { es } from './words/es';
import { sumCards, type MatParams } from './rules';

const WORDS = { en, es };

/** The mat on a page, and the sum cards when answers come from cards. */
export function sheets(params: MatParams, context: SheetContext): Sheet[] {
  const columns = Math.ceil(Math.sqrt(params.cells.length));
  const mat = cardSheets(
    titleIn(WORDS, 'sheet.mat', context),
    [(cell) => numberGrid(params.cells, columns, inside(cell, 4))],
    { w: 184, h: 240 },
    context,
  );
  const cards =
    params.source === 'cards'
      ? cardSheets(
          titleIn(WORDS, 'sheet.cards', context),
          sumCards(params).map(
            ({ a, b }) =>
              (cell: Cell) =>
                sentenceFace(`${a} + ${b}`, cell),
          ),
          SENTENCE_MM,
          context,
        )
      : [];
  return [...mat, ...cards];
}
