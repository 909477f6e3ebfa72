import { seeded, shuffled } from '~/core/chance/random';
import { lineSheets, operationCards, partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { frame, inside, SENTENCE_MM, sentenceCards, sentenceFace, type Card } from '~/core/paper/cards';
import { recordSheets, sentenceToFill } from '~/core/paper/record';
import type { Cell, Shape, Sheet, SheetContext } from '~/core/paper/sheet';
import type { TrailParams } from '.';
import { framesEach, ON_SHEET, sentences, signsOf } from './reckon';
import { words } from './words';

/** A sentence and the one that takes it back, one above the other. */
const bothWays = ({ a, b }: { a: number; b: number }): Card => ({
  name: `${a} + ${b}, ${a + b} − ${b}`,
  draw: ({ x, y, w, h }) => [
    ...sentenceFace(`${a} + ${b}`, { x, y, w, h: h * 0.55 }),
    ...sentenceFace(`${a + b} − ${b}`, { x, y: y + h * 0.45, w, h: h * 0.55 }),
  ],
});

/** An empty frame to draw in, and the sentence with a place for its answer. */
function problemRow({ a, b }: { a: number; b: number }, params: TrailParams, place: Cell): Shape[] {
  const { x, y, w, h } = place;
  const wide = 0.24 * framesEach(params);
  const lines = signsOf(params.op).map((sign) =>
    sign === '−' && params.op === 'both' ? [String(a + b), sign, String(b)] : [String(a), sign, String(b)],
  );
  return [
    ...Array.from({ length: framesEach(params) }, (_, i) =>
      frame(0, 10, inside({ x: x + 0.24 * w * i, y, w: 0.24 * w, h }, 1.5)),
    ).flat(),
    ...lines.flatMap((texts, i) =>
      sentenceToFill([...texts, '=', '□'], {
        x: x + w * (wide + 0.05),
        y: y + (h / lines.length) * i,
        w: w * (0.95 - wide),
        h: h / lines.length,
      }),
    ),
  ];
}

/** Height of a page below its heading, on every paper. */
const PAGE_MM = 248;

/** The ten-frames of the trail, so many on a page, and its sentence cards. */
export function sheets(params: TrailParams, context: SheetContext): Sheet<MaterialId>[] {
  const { frames, problems, op, signs, problemSheets, mixed } = params;
  const columns = frames === 6 || frames === 8 ? 2 : 1;
  const size = { w: 180 / columns, h: Math.floor(PAGE_MM / (frames / columns)) };
  const all = sentences(params);
  const order = shuffled(all, seeded(context.seed + 1009 * mixed));
  const trail = order.slice(0, problems);
  // Problem sheets go on where the trail ends, and begin again when all sentences have been.
  const of = (i: number) => order[(problems + i) % order.length]!;
  return [
    ...partCards(
      words,
      'frame-card',
      size,
      Array.from({ length: problems * framesEach(params) }, (_, i): Card => ({
        name: `frame ${i + 1}`,
        draw: (cell) => frame(0, 10, inside(cell, 5)),
      })),
      // The pages stay whole: a spare frame at the end is of no use, and the last page may have room.
      { ...context, fill: context.fill && context.lost !== undefined, cuts: 'shared' },
    ),
    ...partCards(
      words,
      'sentence-card',
      SENTENCE_MM,
      op === 'both' ? trail.map(bothWays) : sentenceCards(trail, signsOf(op)[0]!),
      context,
    ),
    ...lineSheets(words, params, params.players, context),
    ...(signs ? operationCards(words, [...signsOf(op), '='], context) : []),
    ...Array.from({ length: problemSheets }, (_, sheet) =>
      recordSheets(
        words,
        {
          rows: ON_SHEET,
          wide: true,
          leastMm: 22,
          row: (place, i) => problemRow(of(sheet * ON_SHEET + i), params, place),
        },
        context,
      ),
    ).flat(),
  ];
}
