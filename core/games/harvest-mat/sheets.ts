import { cardSheets, inside, numberGrid, SENTENCE_MM, sentenceFace, type Cell } from '~/core/print/cards';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import { say } from '~/core/words/message';
import { en } from './words/en';
import { es } from './words/es';
import { sumCards, type MatParams } from './rules';

const WORDS = { en, es };

/** The mat on a page, and the sum cards when answers come from cards. */
export function sheets(params: MatParams, context: SheetContext): Sheet[] {
  const both = (id: string) => context.languages.map((language) => say(WORDS, language, id)).join(' · ');
  const columns = Math.ceil(Math.sqrt(params.cells.length));
  const mat = cardSheets(
    both('sheet.mat'),
    [(cell) => numberGrid(params.cells, columns, inside(cell, 4))],
    { w: 184, h: 240 },
    context,
  );
  const cards =
    params.source === 'cards'
      ? cardSheets(
          both('sheet.cards'),
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
