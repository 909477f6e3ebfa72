import { partCards, partSheet } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { frame, inside, NUMBER_MM, numberCards, type Card } from '~/core/paper/cards';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { spinnerShapes } from '~/core/paper/spinner';
import type { StackParams } from '.';
import { numbersOf } from './reckon';
import { words } from './words';

/** Numeral cards or the spinner, and a frame for each number where frames are looked for. */
export function sheets(params: StackParams, context: SheetContext): Sheet<MaterialId>[] {
  const { to, source, direction } = params;
  const numbers = numbersOf(params);
  const frames = direction === 'numeralToFrame' || direction === 'frameToNumeral';
  return [
    ...(source === 'cards'
      ? partCards(words, 'number-card', NUMBER_MM, numberCards(numbers), context)
      : partSheet(words, 'spinner', 'spinner', (place) => spinnerShapes(numbers, place, context), context)),
    ...(frames
      ? partCards(
          words,
          'frame-card',
          { w: 88, h: to === 5 ? 36 : 50 },
          numbers.map((n): Card => ({ name: String(n), draw: (cell) => frame(n, to, inside(cell, 6)) })),
          context,
        )
      : []),
  ];
}
