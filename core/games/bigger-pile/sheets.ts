import { signCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { PileParams } from '.';
import { words } from './words';

/** The comparison signs, when they are laid between. */
export const sheets = ({ signs }: PileParams, context: SheetContext): Sheet<MaterialId>[] =>
  signs ? signCards(words, context) : [];
