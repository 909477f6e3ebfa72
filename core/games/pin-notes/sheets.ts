import { lineSheets, partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { inside, type Card } from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { sentenceToFill } from '~/core/paper/record';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { PinParams } from '.';
import { words } from './words';

/** Score strips, half a page each, the same on both sides: pins, those that fell, those that stand. */
export const sheets = (params: PinParams, context: SheetContext): Sheet<MaterialId>[] => [
  ...partCards(
    words,
    'score-strip',
    { w: 88, h: 118 },
    Array.from({ length: params.cards }, (_, i): Card => {
      const face = (cell: Cell) => strip(params, cell);
      return { name: `strip ${i + 1}`, draw: face, back: face };
    }),
    context,
  ),
  ...lineSheets(words, params, params.cards, context),
];

function strip({ rolls }: PinParams, cell: Cell): Shape[] {
  const { x, y, w, h } = inside(cell, 5);
  const headMm = 16;
  const rowMm = (h - headMm) / rolls;
  const third = w / 3;
  /** A pin that stands, falls or is left. */
  const pin = (px: number, fallen: boolean): Shape[] => [
    {
      kind: 'path',
      d: `M${px - 2.4} ${y + 12} L${px + 2.4} ${y + 12} C${px + 4} ${y + 8} ${px + 1} ${y + 6} ${px + 1.4} ${y + 3.6} C${px + 1.8} ${y + 0.6} ${px - 1.8} ${y + 0.6} ${px - 1.4} ${y + 3.6} C${px - 1} ${y + 6} ${px - 4} ${y + 8} ${px - 2.4} ${y + 12} Z`,
      stroke: INK,
      strokeMm: 0.35,
    },
    ...(fallen
      ? [
          {
            kind: 'line',
            x1: px - 5,
            y1: y + 12,
            x2: px + 5,
            y2: y + 1,
            stroke: INK,
            strokeMm: 0.5,
          } satisfies Shape,
        ]
      : []),
  ];
  return [
    ...pin(x + third * 0.35, false),
    ...numeral('−', x + third, y + 7, 6),
    ...pin(x + third * 1.5, true),
    ...numeral('=', x + third * 2, y + 7, 6),
    ...pin(x + third * 2.6, false),
    ...Array.from({ length: rolls }, (_, i) =>
      sentenceToFill(
        ['□', '−', '□', '=', '□'],
        { x: x + 2, y: y + headMm + i * rowMm + 1, w: w - 4, h: rowMm - 2 },
        15,
      ),
    ).flat(),
  ];
}
