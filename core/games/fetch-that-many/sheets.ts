import { cardSheets, SLIP_MM, slipFace, titleIn } from '~/core/print/cards';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import { en } from './words/en';
import { es } from './words/es';
import { numbersOf, type FetchParams } from './rules';

/** The slips, with numeral and dots. */
export function sheets(params: FetchParams, context: SheetContext): Sheet[] {
  return cardSheets(
    titleIn({ en, es }, 'sheet.slips', context),
    numbersOf(params).map((number) => (cell) => slipFace(number, cell)),
    SLIP_MM,
    context,
  );
}
