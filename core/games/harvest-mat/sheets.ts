import { SENTENCE_MM, sentenceCards } from '~/core/paper/cards';
import { matSheet, partCards } from '~/core/games/kit/parts';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { sumCards, type MatParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

const WORDS = { en, es };

/** The mat on a page, and the sum cards when answers come from cards. */
export const sheets = (params: MatParams, context: SheetContext): Sheet[] => [
  ...matSheet(WORDS, params.cells, columnsFor(params.cells.length), context),
  ...(params.source === 'cards'
    ? partCards(WORDS, 'sum-card', SENTENCE_MM, sentenceCards(sumCards(params), '+'), context)
    : []),
];

/** Columns of a mat on an upright page: no more than rows. */
const columnsFor = (cells: number): number => Math.max(1, Math.floor(Math.sqrt(cells)));
