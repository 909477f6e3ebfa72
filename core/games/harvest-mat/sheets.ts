import { matSheet, partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { SENTENCE_MM, sentenceCards } from '~/core/paper/cards';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { MatParams } from '.';
import { sumCards } from './rules';
import { words } from './words';

/** The mat on a page, and the sum cards when answers come from cards. */
export const sheets = (params: MatParams, context: SheetContext): Sheet<MaterialId>[] => [
  ...matSheet(words, params.cells, columnsFor(params.cells.length), context),
  ...(params.source === 'cards'
    ? partCards(words, 'sum-card', SENTENCE_MM, sentenceCards(sumCards(params), '+'), context)
    : []),
];

/** Columns of a mat on an upright page: no more than rows. */
const columnsFor = (cells: number): number => Math.max(1, Math.floor(Math.sqrt(cells)));
