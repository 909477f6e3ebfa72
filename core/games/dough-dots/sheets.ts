import { cardSheets, SENTENCE_MM, sentenceFace, titleIn, type Cell } from '~/core/print/cards';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import { en } from './words/en';
import { es } from './words/es';
import { sentences, type DoughParams } from './rules';

/** Every sentence once. */
export function sheets(params: DoughParams, context: SheetContext): Sheet[] {
  return cardSheets(
    titleIn({ en, es }, 'sheet.cards', context),
    sentences(params).map(
      ({ a, b }) =>
        (cell: Cell) =>
          sentenceFace(`${a} − ${b}`, cell),
    ),
    SENTENCE_MM,
    context,
  );
}
