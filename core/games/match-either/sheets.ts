import { partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { SUIT_SHAPES, suitFace } from '~/core/paper/stand-ins';
import type { MatchParams } from '.';
import { deck } from './rules';
import { words } from './words';

/** Our own deck: each colour has a shape too, so that it is told in grey as well. */
export const sheets = (params: MatchParams, context: SheetContext): Sheet<MaterialId>[] =>
  partCards(
    words,
    'colour-card',
    { w: 60, h: 84 },
    deck(params).map(({ colour, number }) => ({
      name: `${SUIT_SHAPES[colour]!.name} ${number}`,
      draw: (cell) => suitFace(colour, number, cell),
    })),
    context,
  );
