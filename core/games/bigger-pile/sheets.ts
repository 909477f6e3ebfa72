import { lineSheets, signCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { PileParams } from '.';
import { lined } from './rules';
import { words } from './words';

/** The comparison signs and the number lines, where they are asked for. */
export const sheets = (params: PileParams, context: SheetContext): Sheet<MaterialId>[] => [
  ...(params.signs ? signCards(words, context) : []),
  ...lineSheets(words, lined(params), params.players, context),
];
