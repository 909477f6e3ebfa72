import { partSheet } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { cm, metres, planShapes } from '~/core/paper/plan';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { OrbitParams } from '.';
import { circleNumbers } from './odds';
import { field, THROWING_STEPS } from './reckon';
import { words } from './words';

/** The circles to scale, with their measures and the throwing line for each age. */
export function sheets(params: OrbitParams, context: SheetContext): Sheet<MaterialId>[] {
  const { diameterMm, gapMm } = params;
  const { columns, widthMm, depthMm } = field(params);
  const plan = {
    cells: circleNumbers(params).map((number, i) => ({
      x: (i % columns) * (diameterMm + gapMm),
      y: Math.floor(i / columns) * (diameterMm + gapMm),
      w: diameterMm,
      h: diameterMm,
      label: number < 0 ? `−${-number}` : String(number),
      round: true,
    })),
    measures: [
      { id: 'plan.circle', args: { cm: cm(diameterMm), radius: cm(diameterMm / 2) } },
      { id: 'plan.gap', args: { cm: cm(gapMm) } },
      { id: 'plan.whole', args: { width: metres(widthMm), depth: metres(depthMm) } },
    ] as const,
    throwing: THROWING_STEPS,
  };
  return partSheet(words, 'plan', 'plan', (place) => planShapes(plan, place, context), context);
}
