/** What is printed for a game of building blocks: its number cards, spinner, mat and record, as far as they follow from its rules. */
import { NUMBER_MM, numberCards, SLIP_MM, slipCards, type Card } from '~/core/paper/cards';
import { matSheet, partCards, partSheet } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { answerBox, drawBox, recordSheets } from '~/core/paper/record';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { spinnerShapes } from '~/core/paper/spinner';
import type { Source } from '~/core/words/reading';
import type { OwnGame } from './definition';

/** Materials that can be drawn from the rules. */
const DRAWN = ['number-card', 'slip', 'spinner', 'mat', 'record-sheet'] as const;
type Drawn = (typeof DRAWN)[number];

/** Whether the pack can draw a part of this game. A mat needs its cells. */
export const draws = (own: OwnGame, material: MaterialId): material is Drawn =>
  DRAWN.includes(material as Drawn) && (material !== 'mat' || own.cells.length > 0);

const ROWS = 10;

/** So many of each part as the game needs; numbers begin again when there are more cards than numbers. */
export function ownSheets(
  own: OwnGame,
  words: Source,
  parts: readonly { material: MaterialId; quantity: number }[],
  cells: readonly number[],
  context: SheetContext,
): Sheet<MaterialId>[] {
  const { from, to } = own.turn;
  const numbers = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  const times = (cards: readonly Card[], quantity: number): Card[] =>
    Array.from({ length: quantity }, (_, i) => cards[i % cards.length]!);
  return parts.flatMap(({ material, quantity }): Sheet<MaterialId>[] => {
    if (!draws(own, material)) return [];
    const repeat = (sheets: Sheet<MaterialId>[]): Sheet<MaterialId>[] =>
      Array.from({ length: quantity }, () => sheets).flat();
    switch (material) {
      case 'number-card':
        return partCards(words, material, NUMBER_MM, times(numberCards(numbers), quantity), context);
      case 'slip':
        return partCards(words, material, SLIP_MM, times(slipCards(numbers), quantity), context);
      case 'spinner':
        return repeat(
          partSheet(words, material, 'spinner', (place) => spinnerShapes(numbers, place, context), context),
        );
      case 'mat':
        return repeat(matSheet(words, cells, Math.max(1, Math.floor(Math.sqrt(cells.length))), context));
      case 'record-sheet':
        return repeat(
          recordSheets(
            words,
            {
              rows: ROWS,
              wide: true,
              row: ({ x, y, w, h }) => [
                ...drawBox({ x, y, w: w - 34, h }),
                answerBox(x + w - 28, y + (h - Math.min(h, 16)) / 2, 26, Math.min(h, 16)),
              ],
            },
            context,
          ),
        );
    }
  });
}
