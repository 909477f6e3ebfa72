import { seeded } from '~/core/chance/random';
import { partCards, within } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { inside, type Card } from '~/core/paper/cards';
import { fitNumeral, numeral } from '~/core/paper/numerals';
import { answerBox, forEachPlayer, recordSheets, sentenceToFill } from '~/core/paper/record';
import { INK, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { PeekParams } from '.';
import { arrangements, cellsIn } from './arrange';
import { cardsOf } from './reckon';
import { words } from './words';

/** Every arrangement once, its number on the back to check; rows to write in when numbers are written. */
export function sheets(params: PeekParams, context: SheetContext): Sheet<MaterialId>[] {
  const cards = cardsOf(params);
  const laid = arrangements(cards, seeded(context.seed));
  return [
    ...partCards(
      words,
      'dot-card',
      { w: 88, h: 58 },
      cards.map(({ pattern, groups }, i): Card => {
        const total = String(groups.reduce((a, b) => a + b, 0));
        return {
          name: `${groups.join(' and ')}, ${pattern}`,
          draw: (cell) => {
            const { x, y, w } = within(inside(cell, 3), 100 / 60);
            const scale = w / 100;
            const { radius, groups: spots, frames } = laid[i]!;
            const around = frames.flatMap(cellsIn).map((one) => ({
              kind: 'rect' as const,
              x: x + one.x * scale,
              y: y + one.y * scale,
              width: one.side * scale,
              height: one.side * scale,
              stroke: INK,
              strokeMm: 0.3,
            }));
            const dots = spots.flatMap((group, second) =>
              group.map((spot) => ({
                kind: 'circle' as const,
                x: x + spot.x * scale,
                y: y + spot.y * scale,
                ...(second
                  ? { radius: radius * scale * 0.9, fill: '#E3B64B', stroke: INK, strokeMm: 0.4 }
                  : { radius: radius * scale, fill: INK }),
              })),
            );
            return [...around, ...dots];
          },
          back: ({ x, y, w, h }) => numeral(total, x + w / 2, y + h / 2, fitNumeral(total, w * 0.5, h * 0.4)),
        };
      }),
      context,
    ),
    ...(params.written
      ? forEachPlayer(
          params.players,
          recordSheets(
            words,
            {
              rows: cards.length,
              row: ({ x, y, w, h }) =>
                params.groups === 1
                  ? [answerBox(x, y + (h - Math.min(h, 14)) / 2, 24, Math.min(h, 14))]
                  : sentenceToFill(['□', '+', '□', '=', '□'], { x, y, w: Math.min(w, 90), h }, 14),
            },
            context,
          ),
        )
      : []),
  ];
}
