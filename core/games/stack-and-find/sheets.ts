import { partCards, partSheet } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { frame, inside, NUMBER_MM, numberCards, type Card } from '~/core/paper/cards';
import type { Cell, Sheet, SheetContext } from '~/core/paper/sheet';
import { spinnerShapes } from '~/core/paper/spinner';
import type { StackParams } from '.';
import { cardsIn, numbersOf } from './reckon';
import { words } from './words';

/** Numeral cards or the spinner, and a frame for each number where frames are looked for. */
export function sheets(params: StackParams, context: SheetContext): Sheet<MaterialId>[] {
  const { to, source, direction } = params;
  const numbers = numbersOf(params);
  const cards = cardsIn(params);
  const framed = (n: number, cell: Cell) => frame(n, to, cell);
  return [
    ...(source === 'spinner'
      ? partSheet(
          words,
          'spinner',
          'spinner',
          (place) =>
            spinnerShapes(numbers, place, context, direction === 'frameToNumeral' ? framed : undefined),
          context,
        )
      : []),
    ...(cards.numerals ? partCards(words, 'number-card', NUMBER_MM, numberCards(numbers), context) : []),
    ...(cards.frames
      ? partCards(
          words,
          'frame-card',
          { w: 88, h: to === 5 ? 36 : 50 },
          numbers.map((n): Card => ({ name: String(n), draw: (cell) => framed(n, inside(cell, 6)) })),
          context,
        )
      : []),
  ];
}
