import { partCards, partSheet } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { inside, NUMBER_MM, numberCards, type Card } from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { flock } from '~/core/paper/pictures';
import { answerBox, sentenceToFill } from '~/core/paper/record';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { PondParams } from '.';
import { cardsOf } from './reckon';
import { words } from './words';

/** The pond, a card for every story, and the numeral tiles where they are laid. */
export function sheets(params: PondParams, context: SheetContext): Sheet<MaterialId>[] {
  const { max, answer } = params;
  return [
    ...partSheet(words, 'mat', 'pond', (place) => pond(answer, place), context),
    ...partCards(
      words,
      'picture-card',
      { w: 88, h: 58 },
      cardsOf(params).map(({ a, b }): Card => ({
        name: `${a} and ${b}`,
        draw: (cell) => story(a, b, max - 1, cell),
      })),
      context,
    ),
    ...(answer === 'tile'
      ? partCards(
          words,
          'number-card',
          NUMBER_MM,
          numberCards(Array.from({ length: max - 1 }, (_, i) => i + 2)),
          context,
        )
      : []),
  ];
}

/** Fish in one row, ducks in the other, each with its number; at most `most` of a kind on any card. */
function story(a: number, b: number, most: number, cell: Cell): Shape[] {
  const { x, y, w, h } = inside(cell, 4);
  return (
    [
      [a, 'fish', '#F3E0AE', y],
      [b, 'duck', '#CFE0EC', y + h / 2],
    ] as const
  ).flatMap(([n, name, fill, top]) => [
    ...numeral(String(n), x + 8, top + h / 4, 10),
    ...flock(
      name,
      n,
      { x: x + 18, y: top + 1, w: w - 18, h: h / 2 - 2 },
      { most, ink: { fill, stroke: INK, strokeMm: 0.4 } },
    ),
  ]);
}

/** The water, with reeds, and a place for the answer. */
function pond(answer: PondParams['answer'], { x, y, w, h }: Cell): Shape[] {
  const water = h - 50;
  const wave = (at: number): Shape => ({
    kind: 'path',
    d: `M${x + w * 0.18} ${y + at} C${x + w * 0.26} ${y + at - 6} ${x + w * 0.32} ${y + at + 6} ${x + w * 0.4} ${y + at} C${x + w * 0.48} ${y + at - 6} ${x + w * 0.54} ${y + at + 6} ${x + w * 0.62} ${y + at} C${x + w * 0.7} ${y + at - 6} ${x + w * 0.76} ${y + at + 6} ${x + w * 0.82} ${y + at}`,
    stroke: '#8FB3C9',
    strokeMm: 0.5,
    round: true,
  });
  const reed = (at: number, high: number): Shape[] => [
    {
      kind: 'path',
      d: `M${x + at} ${y + water} C${x + at - 1} ${y + water - high * 0.4} ${x + at + 2} ${y + water - high * 0.7} ${x + at + 1} ${y + water - high}`,
      stroke: '#2F6B4A',
      strokeMm: 1,
      round: true,
    },
    {
      kind: 'path',
      d: `M${x + at + 1} ${y + water - high} L${x + at + 1} ${y + water - high - 9}`,
      stroke: '#7A5230',
      strokeMm: 3,
      round: true,
    },
  ];
  const box = { x: x + w / 2 - 20, y: y + water + 8, w: 40, h: 34 };
  return [
    {
      kind: 'path',
      d: `M${x + w * 0.5} ${y + 6} C${x + w * 0.9} ${y} ${x + w} ${y + water * 0.3} ${x + w} ${y + water * 0.55} C${x + w} ${y + water * 0.9} ${x + w * 0.75} ${y + water} ${x + w * 0.5} ${y + water} C${x + w * 0.2} ${y + water} ${x} ${y + water * 0.85} ${x} ${y + water * 0.5} C${x} ${y + water * 0.2} ${x + w * 0.2} ${y + 8} ${x + w * 0.5} ${y + 6} Z`,
      fill: '#EAF2F6',
      stroke: INK,
      strokeMm: 0.7,
    },
    wave(water * 0.25),
    wave(water * 0.5),
    wave(water * 0.75),
    ...reed(10, 44),
    ...reed(18, 60),
    ...reed(w - 14, 50),
    ...(answer === 'tile'
      ? [answerBox(box.x, box.y, box.w, box.h)]
      : sentenceToFill(['□', '+', '□', '=', '□'], { x: x + w / 2 - 56, y: box.y, w: 120, h: box.h }, 24)),
  ];
}
