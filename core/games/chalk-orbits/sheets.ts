import { partSheet, signCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { cm, metres, planShapes } from '~/core/paper/plan';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { OrbitParams } from '.';
import { circleNumbers, fieldsOf, smallCircles } from './odds';
import { field, THROWING_STEPS } from './reckon';
import { words } from './words';

/** The circles to scale, with their measures and the throwing line for each age. */
export function sheets(params: OrbitParams, context: SheetContext): Sheet<MaterialId>[] {
  const { diameterMm, gapMm, smallMm } = params;
  const { columns, widthMm, depthMm } = field(params);
  const small = smallCircles(params);
  const plan = (of: number) => ({
    cells: circleNumbers(params, of).map((number, i) => {
      const wide = small.has(i) ? smallMm : diameterMm;
      const off = (diameterMm - wide) / 2;
      return {
        x: (i % columns) * (diameterMm + gapMm) + off,
        y: Math.floor(i / columns) * (diameterMm + gapMm) + off,
        w: wide,
        h: wide,
        label: number < 0 ? `−${-number}` : String(number),
        round: true,
      };
    }),
    measures: [
      { id: 'plan.circle', args: { cm: cm(diameterMm), radius: cm(diameterMm / 2) } },
      ...(small.size
        ? [{ id: 'plan.small', args: { cm: cm(smallMm), radius: cm(smallMm / 2) } } as const]
        : []),
      { id: 'plan.gap', args: { cm: cm(gapMm) } },
      { id: 'plan.whole', args: { width: metres(widthMm), depth: metres(depthMm) } },
    ] as const,
    throwing: THROWING_STEPS,
  });
  return [
    ...Array.from({ length: fieldsOf(params) }, (_, of) =>
      partSheet(
        words,
        'plan',
        of ? `plan ${of + 1}` : 'plan',
        (place) => planShapes(plan(of), place, context),
        context,
      ),
    ).flat(),
    ...(params.sides === 'alone' ? signCards(words, context) : []),
  ];
}
