import { SLIP_MM, slipCards } from '~/core/paper/cards';
import { partCards } from '~/core/games/kit/parts';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { numbersOf, type FetchParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** The slips, with numeral and dots. */
export const sheets = (params: FetchParams, context: SheetContext): Sheet[] =>
  partCards({ en, es }, 'slip', SLIP_MM, slipCards(numbersOf(params)), context);
