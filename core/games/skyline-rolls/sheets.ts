import { quantile } from '~/core/chance/pmf';
import type { MaterialId } from '~/core/materials/catalogue';
import { answerBox, drawBox, forEachPlayer, recordSheets } from '~/core/paper/record';
import type { Cell, Sheet, SheetContext } from '~/core/paper/sheet';
import type { SkylineParams } from '.';
import { totals } from './reckon';
import { words } from './words';

/** A row for every roll: a stack for each die, together, tens and ones. */
export function sheets(params: SkylineParams, context: SheetContext): Sheet<MaterialId>[] {
  const { dice, goal, rolls, players } = params;
  const rows = goal === 'rolls' ? rolls : quantile(totals(params).rolls, 0.95);
  const stacks = Array.from({ length: dice }, (_, i) => ({
    id: 'sheet.stack' as const,
    from: 0.3 + (i * 0.3) / dice,
    to: 0.3 + ((i + 1) * 0.3) / dice,
  }));
  const heads = [
    ...stacks,
    { id: 'sheet.together', from: 0.6, to: 0.76 },
    { id: 'sheet.tens', from: 0.76, to: 0.88 },
    { id: 'sheet.ones', from: 0.88, to: 1 },
  ] as const;
  return forEachPlayer(
    players,
    recordSheets(
      words,
      {
        rows,
        wide: true,
        heads,
        row: ({ x, y, w, h }: Cell) => {
          const side = Math.min(h, 14);
          return [
            ...drawBox({ x, y, w: w * 0.28, h }),
            ...heads.map(({ from, to }) =>
              answerBox(
                x + w * from + (w * (to - from) - Math.min(side * 1.2, w * (to - from) - 2)) / 2,
                y + (h - side) / 2,
                Math.min(side * 1.2, w * (to - from) - 2),
                side,
              ),
            ),
          ];
        },
      },
      context,
    ),
  );
}
