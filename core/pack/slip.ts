/** The paper slip with boxes to tick, in the languages of the pack. */
import { showTag } from '~/core/kits/tag';
import { slipQuestions, type SlipQuestion } from '~/core/pack/questions';
import { FAMILY_WORDS } from '~/core/words/family';
import type { Language } from '~/core/words/languages';
import { say, type Reading } from '~/core/words/reading';
import { inEach } from '~/core/paper/cards';
import {
  blank,
  GREY,
  INK,
  MARGIN_MM,
  PAPERS,
  type Cell,
  type Shape,
  type Sheet,
  type SheetContext,
} from '~/core/paper/sheet';
import { line, paragraph, sideBySide, type Block } from '~/core/paper/text';

const SIZE_PT = 11;
const BOX_MM = 5.4;

/** How the games of a bag are called in a reading. */
export type GameNames = (reading: Reading) => readonly string[];

/** Two slips on a page, one for each copy; a page for each where a bag has so many games that half of one is too small. */
export function slipSheets(
  copies: readonly { tag: string; kitName: string }[],
  games: GameNames,
  context: SheetContext,
): Sheet[] {
  const { widthMm, heightMm } = PAPERS[context.paper];
  const cellOf = (i: number, each: number): Cell => ({
    x: MARGIN_MM,
    y: MARGIN_MM + (i * (heightMm - 2 * MARGIN_MM)) / each,
    w: widthMm - 2 * MARGIN_MM,
    h: (heightMm - 2 * MARGIN_MM) / each,
  });
  const [first] = copies;
  if (!first) return [];
  const half = cellOf(0, 2);
  const each = slip(first, half, games, context).heightMm > half.h ? 1 : 2;
  const sheets: Sheet[] = [];
  for (let from = 0; from < copies.length; from += each) {
    const here = copies
      .slice(from, from + each)
      .map((copy, i) => ({ copy, cell: cellOf(i, each), ...slip(copy, cellOf(i, each), games, context) }));
    sheets.push({
      ...blank(inEach('slip.title', context), context.paper, [
        ...here.flatMap(({ cell, shapes }): Shape[] => [
          {
            kind: 'rect',
            x: cell.x,
            y: cell.y,
            width: cell.w,
            height: cell.h,
            stroke: GREY,
            strokeMm: 0.2,
            dashMm: [2, 1.5],
          },
          ...shapes,
        ]),
      ]),
      pieces: here.map(({ copy, cell }) => ({ ...cell, material: 'feedback-slip', name: copy.tag })),
      begins: true,
    });
  }
  return sheets;
}

/** A slip in its cell; its height is what its questions take. */
function slip(
  { tag, kitName }: { tag: string; kitName: string },
  cell: Cell,
  games: GameNames,
  context: SheetContext,
): Block {
  const { readings, measure } = context;
  const left = cell.x + 4;
  const width = cell.w - 8;
  const shapes: Shape[] = [
    line(left, cell.y + 8, inEach('slip.title', context), { sizePt: 15, font: 'display' }),
    line(left + width, cell.y + 8, showTag(tag), { sizePt: 16, font: 'bold', anchor: 'end' }),
    line(left, cell.y + 13.5, kitName, { sizePt: SIZE_PT, fill: GREY }),
  ];
  let y = cell.y + 16;
  const why = sideBySide(
    readings.map((reading) => ({
      text: inEach('slip.why', { readings: [reading] }),
      language: reading.language,
    })),
    { x: left, w: width },
    y,
    { sizePt: SIZE_PT },
    measure,
    6,
  );
  shapes.push(...why.shapes);
  y += why.heightMm + 1.5;

  const said = (of: (reading: Reading) => string): Saying[] =>
    readings
      .map((reading) => ({ text: of(reading), language: reading.language }))
      .filter(({ text }, i, all) => all.findIndex((one) => one.text === text) === i);
  const askMm = width * 0.47;
  const rule = (): void => {
    shapes.push({ kind: 'line', x1: left, y1: y, x2: left + width, y2: y, stroke: GREY, strokeMm: 0.15 });
  };
  /** A box with the digit that is typed for it, under the tick. */
  const box = (x: number, top: number, digit: number): void => {
    shapes.push(
      { kind: 'rect', x, y: top, width: BOX_MM, height: BOX_MM, stroke: INK, strokeMm: 0.35 },
      line(x + BOX_MM / 2, top + BOX_MM * 0.76, String(digit), {
        sizePt: SIZE_PT,
        anchor: 'middle',
        fill: '#8A8A8A',
      }),
    );
  };
  const numbered = (number: number, x = left): void => {
    shapes.push(line(x + 3.5, y + 5.2, String(number + 1), { sizePt: SIZE_PT, font: 'bold', anchor: 'end' }));
  };
  const wordsOf = (of: SlipQuestion['boxes'][number], open: boolean): Saying[] =>
    typeof of === 'number'
      ? [{ text: `${of}${open ? '+' : ''}`, language: 'en' }]
      : said((reading) =>
          of === 'yes' || of === 'no'
            ? inEach(of === 'yes' ? 'slip.yes' : 'slip.no', { readings: [reading] })
            : say(reading, FAMILY_WORDS, `level.${of}`),
        );
  const count = games(readings[0]!).length;
  const columnMm = (width - askMm) / 3;
  let rowEnd = y;
  slipQuestions(count).forEach((question, number) => {
    const { id, boxes, game } = question;
    if (number > 3 || number % 2 === 0) rule();
    if (game !== undefined && count > 1) {
      // What the boxes mean stands once, above those of the first game.
      if (game === 0) {
        const asked = stacked(
          said((reading) => say(reading, FAMILY_WORDS, 'level')),
          left + 6,
          y + 1,
          askMm - 8,
          measure,
          'below',
        );
        const words = boxes.map((of, i) =>
          stacked(wordsOf(of, false), left + askMm + i * columnMm, y + 1, columnMm - 2, measure, 'below'),
        );
        shapes.push(...[asked, ...words].flatMap((one) => one.shapes));
        y += Math.max(...[asked, ...words].map(({ heightMm }) => heightMm)) + 1;
      }
      numbered(number);
      const name = stacked(
        said((reading) => games(reading)[game]!),
        left + 6,
        y + 1,
        askMm - 8,
        measure,
        'beside',
      );
      shapes.push(...name.shapes);
      boxes.forEach((_, i) => box(left + askMm + i * columnMm, y + 1.2, i + 1));
      y += Math.max(name.heightMm, BOX_MM) + 1.8;
      return;
    }
    // Numbers are asked for side by side, two and two; words stand over the whole width.
    const numeric = typeof boxes[0] === 'number';
    const second = numeric && number % 2 === 1;
    const x0 = second ? left + width / 2 : left;
    const across = numeric ? width / 2 - 2 : width;
    const asked = stacked(
      said((reading) => say(reading, FAMILY_WORDS, id)),
      x0 + 6,
      y + 1,
      across - 8,
      measure,
      'beside',
    );
    numbered(number, x0);
    shapes.push(...asked.shapes);
    const answers = boxes.map((of, i) => wordsOf(of, question.open === true && i === boxes.length - 1));
    // Each answer gets the room of its words, and an even share of what is left.
    const needs = answers.map((texts) => measure(joined(texts), 'body', SIZE_PT) + BOX_MM + 3.5);
    const spare = (across - 6 - needs.reduce((a, b) => a + b, 0)) / answers.length;
    const even = numeric || spare < 0;
    const top = y + asked.heightMm + 2;
    let below = top;
    let x = x0 + 6;
    answers.forEach((texts, i) => {
      const each = even ? (across - 6) / answers.length : needs[i]! + spare;
      const label = stacked(texts, x + BOX_MM + 1.6, top, each - BOX_MM - 3, measure, 'beside');
      box(x, top, i + 1);
      shapes.push(...label.shapes);
      x += each;
      below = Math.max(below, top + Math.max(label.heightMm, BOX_MM));
    });
    rowEnd = Math.max(second ? rowEnd : 0, below + 1.4);
    if (!numeric || second) y = rowEnd;
  });
  rule();
  const open = stacked(
    said((reading) => say(reading, FAMILY_WORDS, 'childDid')),
    left,
    y + 1,
    width,
    measure,
    'beside',
  );
  shapes.push(...open.shapes);
  y += open.heightMm;
  const heightMm = y + 8 - cell.y;
  for (y += 8; y < cell.y + cell.h - 2; y += 8) rule();
  return { shapes, heightMm };
}

interface Saying {
  text: string;
  language: Language;
}
const joined = (texts: readonly { text: string }[]): string => texts.map(({ text }) => text).join(' · ');

/** The same words in each language: one below the other, or beside each other with a dot between. */
function stacked(
  texts: readonly { text: string; language: Language }[],
  x: number,
  y: number,
  widthMm: number,
  measure: SheetContext['measure'],
  how: 'below' | 'beside',
): Block {
  const oneLine = joined(texts);
  if (how === 'beside' && measure(oneLine, 'body', SIZE_PT) <= widthMm)
    return paragraph(oneLine, x, y, widthMm, measure, { sizePt: SIZE_PT });
  const shapes: Shape[] = [];
  let at = 0;
  for (const { text, language } of texts) {
    // Beside a box, right-to-left words begin at the box too, so that nobody looks for them.
    const block = paragraph(text, x, y + at, widthMm, measure, {
      sizePt: SIZE_PT,
      language,
      ...(how === 'beside' ? { anchor: 'start' } : {}),
    });
    shapes.push(...block.shapes);
    at += block.heightMm;
  }
  return { shapes, heightMm: at };
}
