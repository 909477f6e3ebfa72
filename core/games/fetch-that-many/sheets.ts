import { cardSheets, SLIP_MM, slipFace } from '~/core/print/cards';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import { say } from '~/core/words/message';
import { en } from './words/en';
import { es } from './words/es';
import { numbersOf, type FetchParams } from './rules';

/** The slips, with numeral and dots. */
export function sheets(params: FetchParams, context: SheetContext): Sheet[] {
  const title = context.languages.map((language) => say({ en, es }, language, 'sheet.slips')).join(' · ');
  return cardSheets(
    title,
    numbersOf(params).map((number) => (cell) => slipFace(number, cell)),
    SLIP_MM,
    context,
  );
}
