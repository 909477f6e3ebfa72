import { partSheet } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { cm, metres, planShapes } from '~/core/paper/plan';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { HopParams } from '.';
import { COLUMNS } from './reckon';
import { words } from './words';

/** The calculator to scale, with its measures: digits, then signs, the = sign last. */
export function sheets({ digits, ops, cellMm }: HopParams, context: SheetContext): Sheet<MaterialId>[] {
  const labels = [...[...digits].sort((a, b) => a - b).map(String), ...ops, '='];
  const rows = Math.ceil(labels.length / COLUMNS);
  const plan = {
    cells: labels.map((label, i) => ({
      x: (i % COLUMNS) * cellMm,
      y: Math.floor(i / COLUMNS) * cellMm,
      w: cellMm,
      h: cellMm,
      label,
    })),
    start: { x: (COLUMNS * cellMm) / 2, y: (rows + 0.5) * cellMm },
    measures: [
      { id: 'plan.cell', args: { cm: cm(cellMm) } },
      { id: 'plan.whole', args: { width: metres(COLUMNS * cellMm), depth: metres(rows * cellMm) } },
    ] as const,
  };
  return partSheet(words, 'plan', 'plan', (place) => planShapes(plan, place, context), context);
}
