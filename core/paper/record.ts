/** Sheets to write on: a heading, a line for the name, and rows to fill in. */
import type { Messages } from '~/core/words/message';
import { nameOf, say, type Source } from '~/core/words/reading';
import { inEach, titleIn, wholeSheet } from './cards';
import { fitNumeral, numeral, numeralWidth } from './numerals';
import { GREY, INK, MARGIN_MM, PAPERS, type Cell, type Shape, type Sheet, type SheetContext } from './sheet';
import { line, paragraph } from './text';

const HEAD_MM = 30;
const GAP_MM = 8;
/** A row that a child can write in. */
export const ROW_MM = { least: 9, most: 24 };

/** What a record sheet is: its rows, and what stands over them. */
export interface RecordForm<Id extends string = string> {
  rows: number;
  /** Draws one row, without its number. */
  row: (place: Cell, index: number) => Shape[];
  /** Names of the columns over the rows, each over its share of the width. */
  heads?: readonly { id: Id; from: number; to: number }[];
  /** A line of the heading, such as what is counted. */
  note?: string;
  /** Least height of a row, when more than a number is written in it. */
  leastMm?: number;
  /** Rows are wide: they stand in one column as long as they can. */
  wide?: boolean;
  /** On the back. */
  back?: (place: Cell) => Shape[];
}

/** The lines of the heading. */
function head(words: Source, note: string | undefined, context: SheetContext): Shape[] {
  const { widthMm } = PAPERS[context.paper];
  const left = MARGIN_MM + 2;
  const right = widthMm - MARGIN_MM - 2;
  const named = titleIn(words, 'name', context);
  const player = inEach('player', context);
  return [
    line(left, MARGIN_MM + 8, named, { sizePt: 16, font: 'display' }),
    line(left, MARGIN_MM + 16, inEach('record', context), { sizePt: 11, fill: GREY }),
    ...(note ? [line(right, MARGIN_MM + 16, note, { sizePt: 12, anchor: 'end' })] : []),
    line(left, MARGIN_MM + 25, player, { sizePt: 12 }),
    {
      kind: 'line',
      x1: left + context.measure(player, 'body', 12) + 3,
      y1: MARGIN_MM + 25.5,
      x2: right,
      y2: MARGIN_MM + 25.5,
      stroke: INK,
      strokeMm: 0.25,
    },
  ];
}

/** One sheet to write on, for one player. Rows that do not fit go on another sheet. */
export function recordSheets<M extends Messages>(
  words: Source<M>,
  record: RecordForm<keyof M & string>,
  context: SheetContext,
): Sheet<'record-sheet'>[] {
  const { paper, readings, measure } = context;
  const { widthMm, heightMm } = PAPERS[paper];
  const left = MARGIN_MM + 2;
  const width = widthMm - 2 * left;
  const headsMm = record.heads ? 7 : 0;
  const top = MARGIN_MM + HEAD_MM + headsMm;
  const room = heightMm - MARGIN_MM - 3 - top;
  const least = record.leastMm ?? ROW_MM.least;
  const perColumn = Math.floor(room / least);
  const columns = record.rows > perColumn || (!record.wide && record.rows > 12) ? 2 : 1;
  const perPage = perColumn * columns;
  const numberMm = 9;
  const columnMm = (width - GAP_MM * (columns - 1)) / columns;
  const sheets: Sheet<'record-sheet'>[] = [];
  for (let first = 0; first < record.rows; first += perPage) {
    const count = Math.min(perPage, record.rows - first);
    const inColumn = Math.ceil(count / columns);
    const rowMm = Math.min(ROW_MM.most, room / inColumn);
    const shapes: Shape[] = [];
    for (let i = 0; i < count; i++) {
      const x = left + Math.floor(i / inColumn) * (columnMm + GAP_MM);
      const y = top + (i % inColumn) * rowMm;
      shapes.push(
        line(x + numberMm - 3, y + rowMm / 2 + 1.5, String(first + i + 1), {
          sizePt: 11,
          anchor: 'end',
          fill: GREY,
        }),
        ...record.row({ x: x + numberMm, y: y + 0.8, w: columnMm - numberMm, h: rowMm - 1.6 }, first + i),
      );
    }
    for (const { id, from, to } of record.heads ?? [])
      for (let column = 0; column < columns; column++) {
        const x = left + column * (columnMm + GAP_MM) + numberMm;
        const w = columnMm - numberMm;
        const text = [...new Set(readings.map((reading) => say(reading, words, id)))].join(' · ');
        shapes.push(
          ...paragraph(text, x + from * w, top - headsMm - 1, (to - from) * w, measure, {
            sizePt: 11,
            anchor: 'middle',
          }).shapes,
        );
      }
    sheets.push(
      ...wholeSheet(
        {
          material: 'record-sheet',
          name: first ? `record, sheet ${first / perPage + 1}` : 'record',
          title: `${inEach('record', context)} · ${nameOf({ words }, readings[0])}`,
          use: 'record',
        },
        [...head(words, record.note, context), ...shapes],
        context,
        first === 0
          ? record.back?.({
              x: left,
              y: MARGIN_MM + 2,
              w: width,
              h: heightMm - 2 * MARGIN_MM - 4,
            })
          : undefined,
      ),
    );
  }
  return sheets;
}

/** The same record for every player. */
export const forEachPlayer = <S extends Sheet>(players: number, sheets: readonly S[]): S[] =>
  Array.from({ length: players }, () => sheets).flat();

/** A box to write a number in. */
export const answerBox = (x: number, y: number, w: number, h: number): Shape => ({
  kind: 'rect',
  x,
  y,
  width: w,
  height: h,
  radius: Math.min(2, h * 0.15),
  stroke: INK,
  strokeMm: 0.3,
});

/**
 * A sentence to fill in, from the left of its place and in the middle of its height: `□` is a box for a number, `○`
 * one for a sign, everything else is printed. As large as the place allows.
 */
export function sentenceToFill(parts: readonly string[], place: Cell, mostMm = 16): Shape[] {
  const gap = 0.22;
  const widthOf = (part: string): number =>
    part === '□' ? 1.15 : part === '○' ? 0.9 : numeralWidth(part, 0.62);
  const total = parts.reduce((sum, part) => sum + widthOf(part) + gap, -gap);
  const unit = Math.min(place.h, mostMm, place.w / total);
  const middle = place.y + place.h / 2;
  let x = place.x;
  return parts.flatMap((part): Shape[] => {
    const w = widthOf(part) * unit;
    const at = x;
    x += w + gap * unit;
    if (part === '□') return [answerBox(at, middle - unit / 2, w, unit)];
    if (part === '○')
      return [
        {
          kind: 'circle',
          x: at + w / 2,
          y: middle,
          radius: w / 2,
          stroke: INK,
          strokeMm: 0.3,
          dashMm: [1, 1],
        },
      ];
    return numeral(part, at + w / 2, middle, 0.62 * unit);
  });
}

/** A place to draw in, with a dotted line for each border between its parts. */
export function drawBox({ x, y, w, h }: Cell, parts = 1): Shape[] {
  return [
    { kind: 'rect', x, y, width: w, height: h, radius: 2, stroke: GREY, strokeMm: 0.2 },
    ...Array.from({ length: parts - 1 }, (_, i): Shape => ({
      kind: 'line',
      x1: x + ((i + 1) * w) / parts,
      y1: y,
      x2: x + ((i + 1) * w) / parts,
      y2: y + h,
      stroke: GREY,
      strokeMm: 0.2,
      dashMm: [1, 1],
    })),
  ];
}

/** Sentences in columns, each with a box to tick: every way there is. */
export function waysToTick(ways: readonly string[], place: Cell): Shape[] {
  const heightMm = 5;
  const widest = Math.max(...ways.map((way) => numeralWidth(way, heightMm)));
  const columnMm = widest + 18;
  const columns = Math.max(1, Math.floor(place.w / columnMm));
  const rows = Math.ceil(ways.length / columns);
  const rowMm = Math.min(12, place.h / rows);
  const size = Math.min(heightMm, rowMm * 0.6);
  return ways.flatMap((way, i): Shape[] => {
    const x = place.x + Math.floor(i / rows) * (place.w / columns);
    const middle = place.y + ((i % rows) + 0.5) * rowMm;
    const w = numeralWidth(way, fitNumeral(way, widest, size));
    return [
      answerBox(x, middle - size / 2, size, size),
      ...numeral(way, x + size + 3 + w / 2, middle, fitNumeral(way, widest, size)),
    ];
  });
}
