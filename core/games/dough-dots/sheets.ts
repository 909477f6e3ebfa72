import { lineSheets, partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { SENTENCE_MM, sentenceCards } from '~/core/paper/cards';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { DoughParams } from '.';
import { sentences } from './reckon';
import { words } from './words';

/** Every sentence once, and the number lines. */
export const sheets = (params: DoughParams, context: SheetContext): Sheet<MaterialId>[] => [
  ...partCards(words, 'sentence-card', SENTENCE_MM, sentenceCards(sentences(params), '−'), context),
  ...lineSheets(words, params, params.players, context),
];
