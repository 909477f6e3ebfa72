import { quantile } from '~/core/chance/pmf';
import type { MaterialId } from '~/core/materials/catalogue';
import { partCards, partSheet } from '~/core/games/kit';
import { titleIn } from '~/core/paper/cards';
import { fitNumeral, numeral } from '~/core/paper/numerals';
import { answerBox, drawBox, forEachPlayer, recordSheets } from '~/core/paper/record';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import { paragraph } from '~/core/paper/text';
import type { SkylineParams } from '.';
import { STRIP_MM, stripsFor, totals } from './reckon';
import { words } from './words';

/** A row for every roll: a stack for each die, together, tens and ones; the work mats and the measuring strips. */
export function sheets(params: SkylineParams, context: SheetContext): Sheet<MaterialId>[] {
  const { dice, goal, rolls, players, mat, measure } = params;
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
  return [
    ...(mat
      ? Array.from({ length: players }, (_, i) =>
          partSheet(words, 'mat', `mat ${i + 1}`, (place) => tensAndOnes(place, context), context),
        ).flat()
      : []),
    ...(measure ? strips(params, context) : []),
    ...forEachPlayer(
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
    ),
  ];
}

/** Two halves with their headings: tens on the left, ones on the right, as they are written. */
function tensAndOnes({ x, y, w, h }: Cell, context: SheetContext): Shape[] {
  const half = w / 2;
  return (['sheet.tens', 'sheet.ones'] as const).flatMap((id, i): Shape[] => [
    { kind: 'rect', x: x + i * half, y, width: half, height: h, stroke: INK, strokeMm: 0.6 },
    ...paragraph(titleIn(words, id, context), x + i * half + 3, y + 3, half - 6, context.measure, {
      sizePt: 18,
      anchor: 'middle',
    }).shapes,
  ]);
}

/** A scale of centimeters, each strip going on where the one before ends. */
function strips(params: SkylineParams, context: SheetContext): Sheet<MaterialId>[] {
  const all = stripsFor(params);
  const centimetres = STRIP_MM / 10;
  return partCards(
    words,
    'measuring-strip',
    // The scale fills the strip from cut to cut, so that strips can be laid end to end.
    { w: STRIP_MM, h: 24 },
    Array.from({ length: all }, (_, i) => ({
      name: `measuring strip ${i + 1}`,
      draw: ({ x, y, h }) =>
        Array.from({ length: centimetres + 1 }, (_, n): Shape[] => {
          const text = String(i * centimetres + n);
          const at = x + n * 10;
          return [
            {
              kind: 'line',
              x1: at,
              y1: y + 1,
              x2: at,
              y2: y + (n % 5 === 0 ? 11 : 8),
              stroke: INK,
              strokeMm: n % 5 === 0 ? 0.6 : 0.35,
            },
            // The number at a cut stands on the strip that begins there.
            ...(n < centimetres ? numeral(text, at + 3, y + h - 6, fitNumeral(text, 7, 5)) : []),
          ];
        }).flat(),
    })),
    context,
  );
}
