import { lineSheets, operationCards, partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { NUMBER_MM, numberCards, type Card } from '~/core/paper/cards';
import { drawBox, forEachPlayer, recordSheets, sentenceToFill } from '~/core/paper/record';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { MachineParams } from '.';
import { words } from './words';

/** Two sets of number cards, and a row for every problem: cups to pour, a place to draw, a sentence. */
export function sheets(params: MachineParams, context: SheetContext): Sheet<MaterialId>[] {
  const { max, op, problems, players, source, signs } = params;
  const set = (which: string): Card[] =>
    numberCards(Array.from({ length: max }, (_, i) => i + 1)).map((card) => ({
      ...card,
      name: `${which} ${card.name}`,
    }));
  const sign = op === 'add' ? '+' : '−';
  return [
    ...(source === 'deck'
      ? []
      : partCards(words, 'number-card', NUMBER_MM, [...set('first'), ...set('second')], context)),
    ...lineSheets(words, params, players, context),
    ...(signs ? operationCards(words, [sign, '='], context) : []),
    ...forEachPlayer(
      players,
      recordSheets(
        words,
        {
          rows: problems,
          wide: true,
          leastMm: 14,
          heads: [
            { id: 'sheet.pour', from: 0, to: 0.22 },
            { id: 'sheet.draw', from: 0.24, to: 0.58 },
            { id: 'sheet.head', from: 0.62, to: 1 },
          ],
          row: ({ x, y, w, h }: Cell) => [
            ...cup(x + w * 0.03, y, w * 0.08, h),
            ...cup(x + w * 0.13, y, w * 0.08, h),
            ...drawBox({ x: x + w * 0.24, y, w: w * 0.34, h }, 2),
            ...sentenceToFill(['□', sign, '□', '=', '□'], { x: x + w * 0.62, y, w: w * 0.38, h }),
          ],
        },
        context,
      ),
    ),
  ];
}

/** A cup from the side, with a line to tick that it was poured. */
const cup = (x: number, y: number, w: number, h: number): Shape[] => {
  const high = Math.min(h, w * 1.1);
  const top = y + (h - high) / 2;
  return [
    {
      kind: 'path',
      d: `M${x} ${top} L${x + w * 0.16} ${top + high} L${x + w * 0.84} ${top + high} L${x + w} ${top} Z`,
      stroke: INK,
      strokeMm: 0.35,
      round: true,
    },
  ];
};
