import { numeral } from '~/core/print/numerals';
import { partCards } from '~/core/print/parts';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import type { PileParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** The comparison signs, when they are laid between. */
export const sheets = ({ signs }: PileParams, context: SheetContext): Sheet[] =>
  signs
    ? partCards(
        { en, es },
        'sign-card',
        { w: 46, h: 60 },
        ['<', '=', '>'].map((sign) => ({
          name: sign,
          draw: ({ x, y, w, h }) => numeral(sign, x + w / 2, y + h / 2, Math.min(w, h) * 0.7),
        })),
        context,
      )
    : [];
