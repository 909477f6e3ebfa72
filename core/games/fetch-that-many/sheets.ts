import { partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { SLIP_MM, slipCards } from '~/core/paper/cards';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { FetchParams } from '.';
import { numbersOf } from './reckon';
import { words } from './words';

/** The slips, with numeral and dots. */
export const sheets = (params: FetchParams, context: SheetContext): Sheet<MaterialId>[] =>
  partCards(words, 'slip', SLIP_MM, slipCards(numbersOf(params)), context);
