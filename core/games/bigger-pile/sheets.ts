import { numeral } from '~/core/paper/numerals';
import { partCards } from '~/core/games/kit/parts';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
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
