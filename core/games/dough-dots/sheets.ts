import { SENTENCE_MM, sentenceCards } from '~/core/print/cards';
import { partCards } from '~/core/print/parts';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import { sentences, type DoughParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** Every sentence once. */
export const sheets = (params: DoughParams, context: SheetContext): Sheet[] =>
  partCards({ en, es }, 'picture-card', SENTENCE_MM, sentenceCards(sentences(params), '−'), context);
