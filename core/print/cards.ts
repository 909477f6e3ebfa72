/** Cards, slips and boards laid on sheets to be cut: neighbours share their cuts, and the lines reach over the edge. */
import { fitting } from './packing';
import {
  blank,
  GREY,
  INK,
  MARGIN_MM,
  PAPERS,
  PT_MM,
  type Shape,
  type Sheet,
  type SheetContext,
} from './sheet';
import { say, type Wording } from '~/core/words/message';
import { line } from './text';

export interface Cell {
  x: number;
  y: number;
  w: number;
  h: number;
}
const HEAD_MM = 8;

/** Where cards of one size lie on a sheet, the better way round; left and top are even. Empty when none fits. */
export function cellsOf(card: { w: number; h: number }, paper: SheetContext['paper']): Cell[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const room = { widthMm, heightMm: heightMm - HEAD_MM };
  const { columns, rows, turned } = fitting(card, room, 0);
  const [w, h] = turned ? [card.h, card.w] : [card.w, card.h];
  const left = (widthMm - columns * w) / 2;
  const top = HEAD_MM + (heightMm - HEAD_MM - rows * h) / 2;
  return Array.from({ length: columns * rows }, (_, i) => ({
    x: left + (i % columns) * w,
    y: top + Math.floor(i / columns) * h,
    w,
    h,
  }));
}

/**
 * As many sheets as the cards take. Every card is drawn into its cell; a thin dashed line is the cut. Throws
 * RangeError when a card is larger than the sheet.
 */
export function cardSheets(
  title: string,
  cards: readonly ((cell: Cell) => Shape[])[],
  card: { w: number; h: number },
  { paper }: SheetContext,
): Sheet[] {
  const cells = cellsOf(card, paper);
  if (cells.length === 0)
    throw new RangeError(
      `A card of ${card.w} × ${card.h} mm is larger than what can be printed on ${PAPERS[paper].name} paper: make it smaller.`,
    );
  const sheets: Sheet[] = [];
  for (let first = 0; first < cards.length; first += cells.length) {
    const here = cards.slice(first, first + cells.length);
    const shapes = here.flatMap((draw, i): Shape[] => {
      const { x, y, w, h } = cells[i]!;
      return [
        { kind: 'rect', x, y, width: w, height: h, stroke: GREY, strokeMm: 0.2, dashMm: [2, 1.5] },
        ...draw(cells[i]!),
      ];
    });
    const head = line(PAPERS[paper].widthMm / 2, MARGIN_MM + 4.5, title, {
      sizePt: 11,
      anchor: 'middle',
      fill: GREY,
    });
    sheets.push({ ...blank(title, paper, [head, ...shapes]), use: 'part', begins: first === 0 });
  }
  return sheets;
}

/** A number in the middle of a place, as high as `heightMm`; 6 and 9 are underlined so that they stay apart. */
export function numeral(text: string, x: number, y: number, heightMm: number): Shape[] {
  const sizePt = heightMm / (PT_MM * 0.7);
  const under = text === '6' || text === '9';
  return [
    line(x, y + heightMm / 2, text, { sizePt, font: 'bold', anchor: 'middle' }),
    ...(under
      ? [
          {
            kind: 'line',
            x1: x - heightMm * 0.3,
            y1: y + heightMm * 0.64,
            x2: x + heightMm * 0.3,
            y2: y + heightMm * 0.64,
            stroke: INK,
            strokeMm: heightMm * 0.05,
          } satisfies Shape,
        ]
      : []),
  ];
}

/** Dots in rows of five, so that five and ten can be seen; their middle lies at (x, y). */
export function dots(n: number, x: number, y: number, widthMm: number): Shape[] {
  const step = widthMm / 5;
  const rows = Math.ceil(n / 5);
  return Array.from({ length: n }, (_, i): Shape => ({
    kind: 'circle',
    x: x + ((i % 5) - 2) * step,
    y: y + (Math.floor(i / 5) - (rows - 1) / 2) * step,
    radius: step * 0.32,
    fill: INK,
  }));
}

/** A grid of numbers that fills a place: a board or a mat. Numbers in reading order. */
export function numberGrid(numbers: readonly number[], columns: number, place: Cell): Shape[] {
  const rows = Math.ceil(numbers.length / columns);
  const [w, h] = [place.w / columns, place.h / rows];
  const height = Math.min(h * 0.42, w * 0.38);
  return numbers.flatMap((number, i) => {
    const [x, y] = [place.x + (i % columns) * w, place.y + Math.floor(i / columns) * h];
    return [
      { kind: 'rect', x, y, width: w, height: h, stroke: INK, strokeMm: 0.5 } satisfies Shape,
      ...numeral(String(number), x + w / 2, y + h / 2, height),
    ];
  });
}

/** The place inside a cell, away from its cuts. */
export const inside = ({ x, y, w, h }: Cell, byMm: number): Cell => ({
  x: x + byMm,
  y: y + byMm,
  w: w - 2 * byMm,
  h: h - 2 * byMm,
});

/** A slip to be drawn from a bowl. */
export const SLIP_MM = { w: 46, h: 60 };
/** The face of a slip: the numeral above, as many dots below. */
export const slipFace = (number: number, { x, y, w, h }: Cell): Shape[] => [
  ...numeral(String(number), x + w / 2, y + h * 0.27, Math.min(14, h * 0.25)),
  ...dots(number, x + w / 2, y + h * 0.7, Math.min(w * 0.72, h * 0.6)),
];

/** Card of a sentence such as 10 − 7. */
export const SENTENCE_MM = { w: 60, h: 40 };
/** The face of a sentence card: as large as its text allows, at most 11 mm high. */
export function sentenceFace(text: string, { x, y, w, h }: Cell): Shape[] {
  // Digits and signs are about 0.6 of the type size wide, blanks a quarter.
  const widthEm = [...text].reduce((total, char) => total + (char === ' ' ? 0.25 : 0.62), 0);
  return numeral(text, x + w / 2, y + h / 2, Math.min(11, (0.7 * w * 0.88) / widthEm));
}

/** What stands over a sheet: a message of the game in each language of the pack. */
export const titleIn = (words: Wording, id: string, { languages }: SheetContext): string =>
  languages.map((language) => say(words, language, id)).join(' · ');
