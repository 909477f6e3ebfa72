import { partCards } from '~/core/games/kit/parts';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { SUIT_SHAPES, suitFace } from '~/core/paper/stand-ins';
import { deck, type MatchParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** Our own deck: each colour has a shape too, so that it is told in grey as well. */
export const sheets = (params: MatchParams, context: SheetContext): Sheet[] =>
  partCards(
    { en, es },
    'colour-card',
    { w: 60, h: 84 },
    deck(params).map(({ colour, number }) => ({
      name: `${SUIT_SHAPES[colour]!.name} ${number}`,
      draw: (cell) => suitFace(colour, number, cell),
    })),
    context,
  );
