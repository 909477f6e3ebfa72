import { quantile } from '~/core/chance/pmf';
import { answerBox, drawBox, forEachPlayer, recordSheets } from '~/core/paper/record';
import type { Cell, Sheet, SheetContext } from '~/core/paper/sheet';
import { totals } from './reckon';
import type { SkylineParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** A row for every roll: a stack for each die, together, tens and ones. */
export function sheets(params: SkylineParams, context: SheetContext): Sheet[] {
  const { dice, goal, rolls, players } = params;
  const rows = goal === 'rolls' ? rolls : quantile(totals(params).rolls, 0.95);
  const stacks = Array.from({ length: dice }, (_, i) => ({
    id: 'sheet.stack',
    from: 0.3 + (i * 0.3) / dice,
    to: 0.3 + ((i + 1) * 0.3) / dice,
  }));
  const heads = [
    ...stacks,
    { id: 'sheet.together', from: 0.6, to: 0.76 },
    { id: 'sheet.tens', from: 0.76, to: 0.88 },
    { id: 'sheet.ones', from: 0.88, to: 1 },
  ];
  return forEachPlayer(
    players,
    recordSheets(
      { en, es },
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
