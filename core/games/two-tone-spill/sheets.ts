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
} from '~/core/print/sheet';
import { line } from '~/core/print/text';
import { twoSidedCounters } from '~/core/print/two-sided';
import { say, type Worded } from '~/core/words/message';
import { en } from './words/en';
import { es } from './words/es';
import type { SpillParams } from './rules';

const WORDS = { en, es };
const ROWS_PER_COLUMN = 20;

/** A record sheet for each player, and a sheet of paper counters (front and back). */
export function sheets(params: SpillParams, context: SheetContext): Sheet[] {
  const both = (id: string, args = {}) =>
    context.languages.map((language: Worded) => say(WORDS, language, id, args)).join(' · ');
  const [first] = context.languages;
  const record = { ...recordSheet(params, context, both), begins: true, use: 'record' as const };
  return [
    ...Array.from({ length: params.players }, () => record),
    ...twoSidedCounters(context.paper, {
      front: say(WORDS, first ?? 'en', 'sheet.front'),
      back: say(WORDS, first ?? 'en', 'sheet.back'),
    }),
  ];
}

function recordSheet(
  { counters, spills }: SpillParams,
  { paper }: SheetContext,
  both: (id: string, args?: object) => string,
): Sheet {
  const { widthMm, heightMm } = PAPERS[paper];
  const left = MARGIN_MM + 2;
  const right = widthMm - MARGIN_MM - 2;
  const top = MARGIN_MM + 30;
  const columns = spills > ROWS_PER_COLUMN ? 2 : 1;
  const rows = Math.ceil(spills / columns);
  const rowMm = Math.min(24, (heightMm - MARGIN_MM - 4 - top) / rows);
  const gapMm = 8;
  const columnMm = (right - left - gapMm * (columns - 1)) / columns;
  const shapes: Shape[] = [
    line(left, MARGIN_MM + 9, both('sheet.record'), { sizePt: 18, font: 'display' }),
    line(left, MARGIN_MM + 17, both('name'), { sizePt: 12, fill: GREY }),
    line(right, MARGIN_MM + 17, both('sheet.both', { counters }), { sizePt: 12, anchor: 'end' }),
    line(left, MARGIN_MM + 26, both('sheet.player'), { sizePt: 12 }),
    {
      kind: 'line',
      x1: left + 46,
      y1: MARGIN_MM + 26.5,
      x2: right,
      y2: MARGIN_MM + 26.5,
      stroke: INK,
      strokeMm: 0.25,
    },
  ];
  for (let spill = 0; spill < spills; spill++) {
    const x = left + Math.floor(spill / rows) * (columnMm + gapMm);
    shapes.push(...recordRow(x, top + (spill % rows) * rowMm, columnMm, rowMm, spill + 1, counters));
  }
  return blank(both('sheet.record'), paper, shapes);
}

/** One row: its number, a place to draw the dots of both groups, and a number bond to fill in. */
function recordRow(
  x: number,
  y: number,
  widthMm: number,
  rowMm: number,
  number: number,
  counters: number,
): Shape[] {
  const padding = Math.min(1.6, rowMm * 0.08);
  const middle = y + rowMm / 2;
  const box = rowMm - 2 * padding;
  const radius = Math.min(box / 2, 7);
  const partMm = Math.min(box, 14);
  const bondMm = partMm * 2 + radius * 2 + 14;
  const numberMm = 11;
  const drawMm = widthMm - numberMm - bondMm - 6;
  const thin = { stroke: INK, strokeMm: 0.25 };
  const center = x + widthMm - bondMm / 2;
  const part = (partX: number): Shape => ({
    kind: 'rect',
    x: partX,
    y: middle - partMm / 2,
    width: partMm,
    height: partMm,
    radius: 2,
    ...thin,
  });
  const shapes: Shape[] = [
    line(x + numberMm - 3, middle + 12 * PT_MM * 0.36, String(number), {
      sizePt: 12,
      anchor: 'end',
      fill: GREY,
    }),
    part(x + widthMm - bondMm),
    { kind: 'line', x1: x + widthMm - bondMm + partMm, y1: middle, x2: center - radius, y2: middle, ...thin },
    { kind: 'circle', x: center, y: middle, radius, ...thin, strokeMm: 0.5 },
    line(center, middle + 18 * PT_MM * 0.36, String(counters), {
      sizePt: 18,
      font: 'bold',
      anchor: 'middle',
    }),
    { kind: 'line', x1: center + radius, y1: middle, x2: x + widthMm - partMm, y2: middle, ...thin },
    part(x + widthMm - partMm),
  ];
  if (drawMm > 20) {
    shapes.push(
      {
        kind: 'rect',
        x: x + numberMm,
        y: y + padding,
        width: drawMm,
        height: box,
        radius: 2,
        stroke: GREY,
        strokeMm: 0.2,
      },
      {
        kind: 'line',
        x1: x + numberMm + drawMm / 2,
        y1: y + padding,
        x2: x + numberMm + drawMm / 2,
        y2: y + padding + box,
        stroke: GREY,
        strokeMm: 0.2,
        dashMm: [1, 1],
      },
    );
  }
  return shapes;
}
