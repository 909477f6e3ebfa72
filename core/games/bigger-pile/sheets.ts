import { partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { numeral } from '~/core/paper/numerals';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { PileParams } from '.';
import { words } from './words';

/** The comparison signs, when they are laid between. */
export const sheets = ({ signs }: PileParams, context: SheetContext): Sheet<MaterialId>[] =>
  signs
    ? partCards(
        words,
        'sign-card',
        { w: 46, h: 60 },
        ['<', '=', '>'].map((sign) => ({
          name: sign,
          draw: ({ x, y, w, h }) => numeral(sign, x + w / 2, y + h / 2, Math.min(w, h) * 0.7),
        })),
        context,
      )
    : [];
