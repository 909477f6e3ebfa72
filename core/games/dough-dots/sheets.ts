import { SENTENCE_MM, sentenceCards } from '~/core/paper/cards';
import { partCards } from '~/core/games/kit/parts';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { sentences, type DoughParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** Every sentence once. */
export const sheets = (params: DoughParams, context: SheetContext): Sheet[] =>
  partCards({ en, es }, 'picture-card', SENTENCE_MM, sentenceCards(sentences(params), '−'), context);
