import { partSheet } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { cm, metres, planShapes } from '~/core/paper/plan';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { CourtParams } from '.';
import { FIRST, grid, LINE_STEPS, places } from './rules';
import { words } from './words';

/** The court to scale, with its measures and the throwing line for each age; on paper it is played on as it is. */
export function sheets(params: CourtParams, context: SheetContext): Sheet<MaterialId>[] {
  const { cellMm, place: where } = params;
  const { across, down } = grid(params);
  const onPaper = where === 'paper';
  const plan = {
    cells: places(params).map(({ cell, column, row }) => ({
      x: column * cellMm,
      y: row * cellMm,
      w: cellMm,
      h: cellMm,
      // A growing court gets its numbers while it is played.
      label: onPaper && params.layout === 'growing' && cell > FIRST ? '' : String(cell),
    })),
    measures: onPaper
      ? []
      : ([
          { id: 'plan.cell', args: { cm: cm(cellMm) } },
          { id: 'plan.whole', args: { width: metres(across * cellMm), depth: metres(down * cellMm) } },
        ] as const),
    ...(onPaper ? { indoors: true } : { throwing: LINE_STEPS }),
  };
  return partSheet(words, 'plan', 'plan', (place) => planShapes(plan, place, context), context);
}
