import { seeded, shuffled } from '~/core/chance/random';
import { partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { frame, inside, SENTENCE_MM, sentenceCards, type Card } from '~/core/paper/cards';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { TrailParams } from '.';
import { framesEach, sentences } from './reckon';
import { words } from './words';

/** Height of a page below its heading, on every paper. */
const PAGE_MM = 248;

/** The ten-frames of the trail, so many on a page, and its sentence cards. */
export function sheets(params: TrailParams, context: SheetContext): Sheet<MaterialId>[] {
  const { frames, problems, op } = params;
  const columns = frames === 6 || frames === 8 ? 2 : 1;
  const size = { w: 180 / columns, h: Math.floor(PAGE_MM / (frames / columns)) };
  const all = sentences(params);
  const trail = shuffled(all, seeded(context.seed)).slice(0, problems);
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
      sentenceCards(trail, op === 'add' ? '+' : '−'),
      context,
    ),
  ];
}
