import type { MaterialId } from '~/core/materials/catalogue';
import { numeral } from '~/core/paper/numerals';
import { answerBox, drawBox, forEachPlayer, recordSheets } from '~/core/paper/record';
import type { Cell, Sheet, SheetContext } from '~/core/paper/sheet';
import type { MarketParams } from '.';
import { words } from './words';

const HEADS = [
  { id: 'sheet.cups', from: 0.4, to: 0.58 },
  { id: 'sheet.each', from: 0.62, to: 0.78 },
  { id: 'sheet.all', from: 0.82, to: 1 },
] as const;

/** A row for every turn: a place to draw the cups, how many cups, how many in each, and all. */
export const sheets = (
  { rounds, symbol, players }: MarketParams,
  context: SheetContext,
): Sheet<MaterialId>[] =>
  forEachPlayer(
    players,
    recordSheets(
      words,
      {
        rows: rounds,
        wide: true,
        leastMm: 14,
        heads: HEADS,
        row: ({ x, y, w, h }: Cell) => {
          const side = Math.min(h, 15);
          return [
            ...drawBox({ x, y, w: w * 0.38, h }),
            ...HEADS.map(({ from, to }) => {
              const width = Math.min(side * 1.4, w * (to - from));
              return answerBox(x + (w * (from + to)) / 2 - width / 2, y + (h - side) / 2, width, side);
            }),
            ...(symbol ? numeral('×', x + w * 0.6, y + h / 2, 7) : []),
            ...numeral('=', x + w * 0.8, y + h / 2, 7),
          ];
        },
      },
      context,
    ),
  );
