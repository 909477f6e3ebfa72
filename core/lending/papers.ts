/** Paper of the lending desk: lists to hand out by, stickers for bags, cards of families, reminders in strips. */
import { showCard } from './card';
import { BAG_ANSWERS, INVITATION_ANSWERS, type MessageKind } from './reminders';
import { showTag } from '~/core/kits/tag';
import {
  blank,
  GREY,
  INK,
  MARGIN_MM,
  PAPERS,
  type Cell,
  type Measure,
  type Paper,
  type Shape,
  type Sheet,
} from '~/core/paper/sheet';
import { code128, qrCode } from '~/core/paper/symbols';
import { line, lineMm, paragraph } from '~/core/paper/text';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { REMINDER_WORDS, type ReminderMessage } from '~/core/words/reminders';
import { say, type Reading } from '~/core/words/reading';

interface On {
  paper: Paper;
  measure: Measure;
  school: string;
}

const SIZE_PT = 11.5;
const ROW_MM = 8;
export const tickBox = (x: number, y: number): Shape => ({
  kind: 'rect',
  x,
  y,
  width: 4,
  height: 4,
  stroke: INK,
  strokeMm: 0.3,
});

/** A text cut to a width, with dots where something is left out. */
function cut(text: string, widthMm: number, measure: Measure, font: 'body' | 'bold' = 'body'): string {
  if (measure(text, font, SIZE_PT) <= widthMm) return text;
  const signs = [...text];
  while (signs.length && measure(`${signs.join('')}…`, font, SIZE_PT) > widthMm) signs.pop();
  return `${signs.join('')}…`;
}

/** Rows of a table with a box to tick before each, under the same head on every page. */
function listed(
  title: string,
  note: string,
  heads: readonly string[],
  rows: readonly (readonly string[])[],
  shares: readonly number[],
  { paper, measure }: On,
): Sheet[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const left = MARGIN_MM + 2;
  const width = widthMm - 2 * left - 7;
  const from = shares.map((_, i) => left + 7 + width * shares.slice(0, i).reduce((sum, one) => sum + one, 0));
  const top = MARGIN_MM + 24;
  const most = Math.floor((heightMm - MARGIN_MM - 8 - top) / ROW_MM);
  const pages = Math.max(1, Math.ceil(rows.length / most));
  return Array.from({ length: pages }, (_, page) => {
    const shapes: Shape[] = [
      line(left, MARGIN_MM + 8, title, { sizePt: 18, font: 'display' }),
      line(widthMm - left, MARGIN_MM + 8, note, { sizePt: 11, fill: GREY, anchor: 'end' }),
      ...heads.map((head, i) => line(from[i]!, MARGIN_MM + 18, head, { sizePt: SIZE_PT, font: 'bold' })),
    ];
    rows.slice(page * most, (page + 1) * most).forEach((cells, i) => {
      const y = top + i * ROW_MM;
      shapes.push(
        tickBox(left, y - 0.5),
        ...cells.map((text, c) =>
          line(from[c]!, y + 3.2, cut(text, width * shares[c]! - 2, measure, c === 0 ? 'bold' : 'body'), {
            sizePt: SIZE_PT,
            font: c === 0 ? 'bold' : 'body',
          }),
        ),
        {
          kind: 'line',
          x1: left,
          y1: y + ROW_MM - 2.2,
          x2: widthMm - left,
          y2: y + ROW_MM - 2.2,
          stroke: GREY,
          strokeMm: 0.15,
        },
      );
    });
    if (pages > 1)
      shapes.push(
        line(widthMm - left, heightMm - MARGIN_MM, `${page + 1} of ${pages}`, {
          sizePt: 10,
          fill: GREY,
          anchor: 'end',
        }),
      );
    return blank(title, paper, shapes);
  });
}

/** A bag that is promised to a family. */
export interface Promised {
  group: string;
  family: string;
  language: string;
  tag: string;
  kit: string;
}
const classOf = ({ group }: { group: string }): string => group || 'Without a class';
const byClass = <T extends { group: string }>(all: readonly T[]): [string, T[]][] =>
  [...new Set(all.map(classOf))].map((name) => [name, all.filter((one) => classOf(one) === name)]);

/** The list of a hand-out: a page or more for each class, with a box to tick for each bag. */
export const handOutSheets = (promises: readonly Promised[], day: string, on: On): Sheet[] =>
  byClass(promises).flatMap(([name, rows]) =>
    listed(
      name,
      day,
      ['Bag', 'Kit', 'Family', 'Reads'],
      rows.map(({ tag, kit, family, language }) => [showTag(tag), kit, family, language]),
      [0.15, 0.32, 0.36, 0.17],
      on,
    ),
  );

/** The list on which families are ticked in, class by class. */
export const signInSheets = (
  guests: readonly Pick<Promised, 'group' | 'family' | 'language'>[],
  title: string,
  on: On,
): Sheet[] =>
  byClass(guests).flatMap(([name, rows]) =>
    listed(
      name,
      title,
      ['Family', 'Reads'],
      rows.map(({ family, language }) => [family, language]),
      [0.7, 0.3],
      on,
    ),
  );

/** Cells of so many columns and rows on as many pages as it takes, with lines to cut along. */
function inCells<T>(
  title: string,
  all: readonly T[],
  { columns, h }: { columns: number; h: number },
  paper: Paper,
  draw: (one: T, cell: Cell) => Shape[],
): Sheet[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const w = (widthMm - 2 * MARGIN_MM) / columns;
  const rows = Math.floor((heightMm - 2 * MARGIN_MM) / h);
  const perPage = columns * rows;
  return Array.from({ length: Math.ceil(all.length / perPage) }, (_, page) =>
    blank(
      title,
      paper,
      all.slice(page * perPage, (page + 1) * perPage).flatMap((one, i): Shape[] => {
        const x = MARGIN_MM + (i % columns) * w;
        const y = MARGIN_MM + Math.floor(i / columns) * h;
        return [
          {
            kind: 'rect',
            x,
            y,
            width: w,
            height: h,
            stroke: GREY,
            strokeMm: 0.2,
            dashMm: [2, 1.5],
          },
          ...draw(one, { x: x + 5, y: y + 5, w: w - 10, h: h - 10 }),
        ];
      }),
    ),
  );
}

/** A sticker for each bag of a hand-out: to whom it goes, in large type. */
export const stickerSheets = (promises: readonly Promised[], day: string, on: On): Sheet[] =>
  inCells('Stickers', promises, { columns: 2, h: 44 }, on.paper, (one, { x, y, w, h }) => [
    line(x, y + 6, cut(one.family, w, on.measure, 'bold'), { sizePt: 15, font: 'bold' }),
    line(x, y + 13, classOf(one), { sizePt: 13 }),
    line(x, y + h - 10, cut(one.kit, w - 34, on.measure), { sizePt: SIZE_PT }),
    line(x, y + h - 4, day, { sizePt: SIZE_PT, fill: GREY }),
    line(x + w, y + 13, showTag(one.tag), { sizePt: 15, font: 'bold', anchor: 'end' }),
    ...code128(one.tag, x + w - 32, y + h - 16, 32, 14),
  ]);

export interface CardOf {
  card: string;
  family: string;
  group: string;
}
/** Cards of families, which name nobody; and after them, for the school alone, the list of whose they are. */
export function cardSheets(cards: readonly CardOf[], on: On): Sheet[] {
  const faces = inCells('Family cards', cards, { columns: 2, h: 51 }, on.paper, (one, { x, y, w, h }) => [
    line(x, y + 4, cut(on.school, w, on.measure), { sizePt: SIZE_PT }),
    line(x, y + 17, showCard(one.card), { sizePt: 22, font: 'bold' }),
    ...code128(one.card, x, y + 24, 46, h - 26),
    ...qrCode(one.card, x + w - 24, y + h - 26, 24),
  ]);
  const key = byClass(cards).flatMap(([name, rows]) =>
    listed(
      name,
      'Whose card it is: for the school alone',
      ['Card', 'Family'],
      rows.map(({ card, family }) => [showCard(card), family]),
      [0.3, 0.7],
      on,
    ),
  );
  return [...faces, ...key];
}

export interface Strip {
  group: string;
  family: string;
  language: Language;
  text: string;
  address: string;
  /** What can be ticked for an answer; empty where it asks for none. */
  asks: readonly ReminderMessage[];
  reading: Reading;
}
/** What a message on paper has ticked. */
export const asksOf = (kind: MessageKind): readonly ReminderMessage[] =>
  kind === 'reminder'
    ? BAG_ANSWERS.map((answer) => `answer.${answer}` as const)
    : kind === 'invitation'
      ? INVITATION_ANSWERS.map((answer) => `invite.${answer}` as const)
      : [];

/** Reminders on paper, several to a sheet, class by class: what is said, and boxes to tick for an answer. */
export function stripSheets(strips: readonly Strip[], on: On): Sheet[] {
  const { widthMm, heightMm } = PAPERS[on.paper];
  const left = MARGIN_MM + 2;
  const width = widthMm - 2 * left;
  const pages: Shape[][] = [];
  let y = Infinity;
  for (const strip of strips) {
    const high = oneStrip(strip, left, 0, width, on.measure).heightMm;
    if (y + high > heightMm - MARGIN_MM) {
      pages.push([]);
      y = MARGIN_MM;
    }
    const top = y;
    pages.at(-1)!.push(...oneStrip(strip, left, top, width, on.measure).shapes, {
      kind: 'line',
      x1: MARGIN_MM,
      y1: top + high,
      x2: widthMm - MARGIN_MM,
      y2: top + high,
      stroke: GREY,
      strokeMm: 0.2,
      dashMm: [2, 1.5],
    });
    y += high;
  }
  return pages.map((shapes) => blank('Reminders', on.paper, shapes));
}

const SQUARE_MM = 22;
function oneStrip(
  { group, family, language, text, address, asks, reading }: Strip,
  x: number,
  top: number,
  w: number,
  measure: Measure,
): { shapes: Shape[]; heightMm: number } {
  const style = { sizePt: 12, language };
  const rtl = aboutLanguage(language).direction === 'rtl';
  const asked = asks.length > 0;
  const textWidth = asked ? w - SQUARE_MM - 5 : w;
  const textLeft = asked && rtl ? x + SQUARE_MM + 5 : x;
  let y = top + 4;
  const shapes: Shape[] = [
    line(x, y + lineMm(10) * 0.8, `${classOf({ group })}: ${family}`, { sizePt: 10, fill: GREY }),
  ];
  y += lineMm(10) + 1;
  if (asked) shapes.push(...qrCode(address, rtl ? x : x + w - SQUARE_MM, y, SQUARE_MM));
  const from = y;
  // The address stands in the square beside it.
  for (const said of text.split('\n').filter((one) => !one.includes(address))) {
    const block = paragraph(said, textLeft, y, textWidth, measure, style);
    shapes.push(...block.shapes);
    y += block.heightMm + 1;
  }
  if (asked) {
    y = Math.max(y, from + SQUARE_MM + 1);
    const ask = paragraph(say(reading, REMINDER_WORDS, 'answerSlip'), x, y, w, measure, {
      ...style,
      font: 'bold',
    });
    shapes.push(...ask.shapes);
    y += ask.heightMm + 1;
    for (const answer of asks) {
      const words = say(reading, REMINDER_WORDS, answer, { day: '………………' });
      const block = paragraph(words, rtl ? x : x + 7, y, w - 7, measure, style);
      shapes.push(tickBox(rtl ? x + w - 4 : x, y + 0.6), ...block.shapes);
      y += block.heightMm + 1;
    }
  }
  return { shapes, heightMm: y + 4 - top };
}
