import { partSheet } from '~/core/games/kit/parts';
import { cm, metres, planShapes } from '~/core/paper/plan';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { COLUMNS, type HopParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** The calculator to scale, with its measures: digits, then signs, the = sign last. */
export function sheets({ digits, ops, cellMm }: HopParams, context: SheetContext): Sheet[] {
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
  return partSheet({ en, es }, 'plan', 'plan', (place) => planShapes(plan, place, context), context);
}
