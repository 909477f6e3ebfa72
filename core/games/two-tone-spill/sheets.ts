import { bodyOf } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { heading, inEach, titleIn, wholeSheet } from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { answerBox, drawBox, forEachPlayer, recordSheets } from '~/core/paper/record';
import { INK, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { SpillParams } from '.';
import { words } from './words';

/** A record sheet for each player, with a number bond in each row, and a mat of the same form to sort on. */
export function sheets(params: SpillParams, context: SheetContext): Sheet<MaterialId>[] {
  const { counters, spills, players } = params;
  const record = recordSheets(
    words,
    {
      rows: spills,
      wide: true,
      note: titleIn(words, 'sheet.both', context, { counters }),
      row: (place) => bondRow(place, counters),
    },
    context,
  );
  const title = inEach('bond.mat', context);
  return [
    ...forEachPlayer(players, record),
    ...wholeSheet(
      { material: 'mat', name: 'number-bond mat', title, use: 'part' },
      [heading(title, context.paper), ...bondMat(counters, bodyOf(context))],
      context,
    ),
  ];
}

/** A place to draw the dots of both groups, and a number bond to fill in. */
function bondRow({ x, y, w, h }: Cell, counters: number): Shape[] {
  const middle = y + h / 2;
  const radius = Math.min(h / 2, 7);
  const partMm = Math.min(h, 14);
  const bondMm = partMm * 2 + radius * 2 + 14;
  const drawMm = w - bondMm - 6;
  const center = x + w - bondMm / 2;
  const tie = (x1: number, x2: number): Shape => ({
    kind: 'line',
    x1,
    y1: middle,
    x2,
    y2: middle,
    stroke: INK,
    strokeMm: 0.25,
  });
  return [
    answerBox(x + w - bondMm, middle - partMm / 2, partMm, partMm),
    tie(x + w - bondMm + partMm, center - radius),
    { kind: 'circle', x: center, y: middle, radius, stroke: INK, strokeMm: 0.5 },
    ...numeral(String(counters), center, middle, radius * 0.9),
    tie(center + radius, x + w - partMm),
    answerBox(x + w - partMm, middle - partMm / 2, partMm, partMm),
    ...(drawMm > 20 ? drawBox({ x, y, w: drawMm, h }, 2) : []),
  ];
}

/** The whole on top, tied to a dark and a light place for its two parts. */
function bondMat(counters: number, { x, y, w, h }: Cell): Shape[] {
  const radius = Math.min(w * 0.24, h * 0.19);
  const top = { x: x + w / 2, y: y + radius + 4 };
  const parts = [x + radius + 4, x + w - radius - 4].map((px) => ({ x: px, y: y + h - radius - 4 }));
  return [
    ...parts.map((part): Shape => ({
      kind: 'line',
      x1: top.x,
      y1: top.y,
      x2: part.x,
      y2: part.y,
      stroke: INK,
      strokeMm: 0.8,
    })),
    ...[top, ...parts].map((place): Shape => ({
      kind: 'circle',
      ...place,
      radius,
      fill: '#FFFFFF',
      stroke: INK,
      strokeMm: 0.8,
    })),
    ...numeral(String(counters), top.x, top.y, radius * 0.7),
    {
      kind: 'circle',
      ...parts[0]!,
      radius: radius - 3,
      stroke: '#2F6B4A',
      strokeMm: 2,
    },
    {
      kind: 'circle',
      ...parts[1]!,
      radius: radius - 3,
      stroke: '#D9A92E',
      strokeMm: 1,
      dashMm: [3, 2],
    },
  ];
}
