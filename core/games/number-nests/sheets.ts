import { partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { inside, SENTENCE_MM, sentenceCards } from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { INK, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { NestParams } from '.';
import { allCards, nests } from './reckon';
import { words } from './words';

/** The nests, half a page each, and every sum card once. */
export function sheets(params: NestParams, context: SheetContext): Sheet<MaterialId>[] {
  return [
    ...partCards(
      words,
      'nest',
      { w: 180, h: 120 },
      nests(params).map((nest) => ({
        name: String(nest),
        draw: (cell) => {
          const { x, y, w, h } = inside(cell, 8);
          const rim = (at: number) =>
            `M${x} ${at} C${x + w * 0.12} ${y + h} ${x + w * 0.88} ${y + h} ${x + w} ${at}`;
          return [
            { kind: 'path', d: rim(y + 10), stroke: INK, strokeMm: 0.9, round: true },
            { kind: 'path', d: rim(y + 22), stroke: '#B08D57', strokeMm: 0.6, round: true },
            {
              kind: 'path',
              d: `M${x} ${y + 10} C${x + w * 0.3} ${y + 18} ${x + w * 0.7} ${y + 18} ${x + w} ${y + 10}`,
              stroke: INK,
              strokeMm: 0.6,
              round: true,
            },
            ...numeral(String(nest), x + w / 2, y + h * 0.48, 28),
          ];
        },
      })),
      context,
    ),
    ...partCards(words, 'sum-card', SENTENCE_MM, sentenceCards(allCards(params), '+'), context),
  ];
}
