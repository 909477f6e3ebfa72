import { partSheet } from '~/core/games/kit/parts';
import { cm, metres, planShapes } from '~/core/paper/plan';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { circleNumbers, field, THROWING_STEPS, type OrbitParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** The circles to scale, with their measures and the throwing line for each age. */
export function sheets(params: OrbitParams, context: SheetContext): Sheet[] {
  const { diameterMm, gapMm } = params;
  const { columns, widthMm, depthMm } = field(params);
  const plan = {
    cells: circleNumbers(params).map((number, i) => ({
      x: (i % columns) * (diameterMm + gapMm),
      y: Math.floor(i / columns) * (diameterMm + gapMm),
      w: diameterMm,
      h: diameterMm,
      label: String(number),
      round: true,
    })),
    measures: [
      { id: 'plan.circle', args: { cm: cm(diameterMm), radius: cm(diameterMm / 2) } },
      { id: 'plan.gap', args: { cm: cm(gapMm) } },
      { id: 'plan.whole', args: { width: metres(widthMm), depth: metres(depthMm) } },
    ] as const,
    throwing: THROWING_STEPS,
  };
  return partSheet({ en, es }, 'plan', 'plan', (place) => planShapes(plan, place, context), context);
}
