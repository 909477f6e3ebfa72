import { frame, inside, NUMBER_MM, numberCards, type Card } from '~/core/paper/cards';
import { partCards, partSheet } from '~/core/games/kit/parts';
import { spinnerShapes } from '~/core/paper/spinner';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { numbersOf, type StackParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

const WORDS = { en, es };

/** Numeral cards or the spinner, and a frame for each number where frames are looked for. */
export function sheets(params: StackParams, context: SheetContext): Sheet[] {
  const { to, source, direction } = params;
  const numbers = numbersOf(params);
  const frames = direction === 'numeralToFrame' || direction === 'frameToNumeral';
  return [
    ...(source === 'cards'
      ? partCards(WORDS, 'number-card', NUMBER_MM, numberCards(numbers), context)
      : partSheet(WORDS, 'spinner', 'spinner', (place) => spinnerShapes(numbers, place, context), context)),
    ...(frames
      ? partCards(
          WORDS,
          'frame-card',
          { w: 88, h: to === 5 ? 36 : 50 },
          numbers.map((n): Card => ({ name: String(n), draw: (cell) => frame(n, to, inside(cell, 6)) })),
          context,
        )
      : []),
  ];
}
