/** A number line to hop on, which several games can have beside their pieces. */
import { OneValue } from '~/core/check/schema';
import type { MaterialId } from '~/core/materials/catalogue';
import { fitNumeral, numeral } from '~/core/paper/numerals';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { Source } from '~/core/words/reading';
import { partCards } from './parts';
import { mend, mind, need } from './reckoning';
import type { Notice, Params, PartNeed } from './types';

/** How far the printed number line goes; 0 where there is none. */
export const LINE = OneValue(
  [
    [0, 'none'],
    [10, 'to 10'],
    [20, 'to 20'],
  ],
  { title: 'Number line', description: 'Printed, one for each player.', default: 0 },
);

interface Lined extends Params {
  line: 0 | 10 | 20;
}

/** The lines in the bag. */
export const lineNeed = ({ line }: Lined, players: number): PartNeed[] =>
  line ? [need('number-line', players, `To ${line}, one for each player.`)] : [];

/** Said where a number of the game lies beyond the end of the line. */
export const lineNotice = <P extends Lined>(params: P, largest: number): Notice | false =>
  params.line > 0 &&
  largest > params.line &&
  mind(
    'short-line',
    `Numbers reach ${largest}, and the number line ends at ${params.line}.`,
    largest <= 20
      ? mend('Take the line to 20', params, { line: 20 } as Partial<P>)
      : mend('Leave the number line out', params, { line: 0 } as Partial<P>),
  );

/** Strips with a mark for every number; five and ten stand out. */
export const lineSheets = (
  words: Source,
  { line }: Lined,
  players: number,
  context: SheetContext,
): Sheet<MaterialId>[] =>
  line
    ? partCards(
        words,
        'number-line',
        { w: 186, h: 36 },
        Array.from({ length: players }, (_, i) => ({
          name: `number line ${i + 1}`,
          draw: (cell) => lineFace(line, cell),
        })),
        context,
      )
    : [];

function lineFace(to: number, { x, y, w, h }: Cell): Shape[] {
  const edge = 8;
  const step = (w - 2 * edge) / to;
  const level = y + h * 0.36;
  return [
    { kind: 'line', x1: x + edge, y1: level, x2: x + w - edge, y2: level, stroke: INK, strokeMm: 0.7 },
    ...Array.from({ length: to + 1 }, (_, n): Shape[] => {
      const at = x + edge + n * step;
      const half = n % 5 === 0 ? 5 : 3;
      const text = String(n);
      return [
        {
          kind: 'line',
          x1: at,
          y1: level - half,
          x2: at,
          y2: level + half,
          stroke: INK,
          strokeMm: n % 5 === 0 ? 0.9 : 0.5,
        },
        ...numeral(text, at, y + h * 0.72, fitNumeral(text, step * 0.8, 7)),
      ];
    }).flat(),
  ];
}
