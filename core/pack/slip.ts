/** The paper slip with boxes to tick, in the languages of the pack. */
import { showTag } from '~/core/kits/tag';
import { SLIP_QUESTIONS } from '~/core/pack/questions';
import { FAMILY_WORDS, type FamilyMessage } from '~/core/words/family';
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

/** Two slips on a page, one for each copy. */
export function slipSheets(
  copies: readonly { tag: string; kitName: string }[],
  context: SheetContext,
): Sheet[] {
  const { widthMm, heightMm } = PAPERS[context.paper];
  const cell = (i: number): Cell => ({
    x: MARGIN_MM,
    y: MARGIN_MM + (i * (heightMm - 2 * MARGIN_MM)) / 2,
    w: widthMm - 2 * MARGIN_MM,
    h: (heightMm - 2 * MARGIN_MM) / 2,
  });
  const sheets: Sheet[] = [];
  for (let first = 0; first < copies.length; first += 2) {
    const here = copies.slice(first, first + 2);
    sheets.push({
      ...blank(inEach('slip.title', context), context.paper, [
        ...here.flatMap((copy, i): Shape[] => [
          {
            kind: 'rect',
            x: cell(i).x,
            y: cell(i).y,
            width: cell(i).w,
            height: cell(i).h,
            stroke: GREY,
            strokeMm: 0.2,
            dashMm: [2, 1.5],
          },
          ...slip(copy, cell(i), context),
        ]),
      ]),
      pieces: here.map((copy, i) => ({ ...cell(i), material: 'feedback-slip', name: copy.tag })),
      begins: true,
    });
  }
  return sheets;
}

function slip(
  { tag, kitName }: { tag: string; kitName: string },
  cell: Cell,
  context: SheetContext,
): Shape[] {
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

  const said = (of: (reading: Reading) => string): { text: string; language: Language }[] =>
    readings
      .map((reading) => ({ text: of(reading), language: reading.language }))
      .filter(({ text }, i, all) => all.findIndex((one) => one.text === text) === i);
  const askMm = width * 0.47;
  const rule = (): void => {
    shapes.push({ kind: 'line', x1: left, y1: y, x2: left + width, y2: y, stroke: GREY, strokeMm: 0.15 });
  };
  SLIP_QUESTIONS.forEach((question, number) => {
    rule();
    const numeric = typeof question.boxes[0] === 'number';
    // Numbers stand beside their question; words stand below it, over the whole width.
    const asked = stacked(
      said((reading) => say(reading, FAMILY_WORDS, question.id)),
      left + 6,
      y + 1,
      (numeric ? askMm : width) - 8,
      measure,
      numeric ? 'below' : 'beside',
    );
    shapes.push(
      line(left + 3.5, y + 5.2, String(number + 1), { sizePt: SIZE_PT, font: 'bold', anchor: 'end' }),
      ...asked.shapes,
    );
    const from = numeric ? left + askMm : left + 6;
    const answers = question.boxes.map((box, i) => {
      if (typeof box === 'number') {
        const open = 'open' in question && i === question.boxes.length - 1;
        return [{ text: `${box}${open ? '+' : ''}`, language: 'en' as const }];
      }
      return said((reading) =>
        question.id === 'level'
          ? say(reading, FAMILY_WORDS, `level.${box}` as FamilyMessage)
          : inEach(box === 'yes' ? 'slip.yes' : 'slip.no', { readings: [reading] }),
      );
    });
    // Each answer gets the room of its words, and an even share of what is left.
    const needs = answers.map((texts) => measure(joined(texts), 'body', SIZE_PT) + BOX_MM + 3.5);
    const spare = (left + width - from - needs.reduce((a, b) => a + b, 0)) / answers.length;
    const even = numeric || spare < 0;
    const top = numeric ? y + 1.6 : y + asked.heightMm + 2;
    let below = top;
    let x = from;
    answers.forEach((texts, i) => {
      const each = even ? (left + width - from) / answers.length : needs[i]! + spare;
      const label = stacked(texts, x + BOX_MM + 1.6, top, each - BOX_MM - 3, measure, 'beside');
      shapes.push(
        { kind: 'rect', x, y: top, width: BOX_MM, height: BOX_MM, stroke: INK, strokeMm: 0.35 },
        // The digit that is typed for it, under the tick.
        line(x + BOX_MM / 2, top + BOX_MM * 0.76, String(i + 1), {
          sizePt: SIZE_PT,
          anchor: 'middle',
          fill: '#8A8A8A',
        }),
        ...label.shapes,
      );
      x += each;
      below = Math.max(below, top + Math.max(label.heightMm, BOX_MM));
    });
    y = Math.max(y + asked.heightMm, below) + 1.4;
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
  for (y += open.heightMm + 8; y < cell.y + cell.h - 2; y += 8) rule();
  return shapes;
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
