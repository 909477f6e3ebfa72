import { cardSheets, SENTENCE_MM, sentenceFace, type Cell } from '~/core/print/cards';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import { say } from '~/core/words/message';
import { en } from './words/en';
import { es } from './words/es';
import { sentences, type DoughParams } from './rules';

/** Every sentence once. */
export function sheets(params: DoughParams, context: SheetContext): Sheet[] {
  const title = context.languages.map((language) => say({ en, es }, language, 'sheet.cards')).join(' · ');
  return cardSheets(
    title,
    sentences(params).map(
      ({ a, b }) =>
        (cell: Cell) =>
          sentenceFace(`${a} − ${b}`, cell),
    ),
    SENTENCE_MM,
    context,
  );
}
