/** The page that shows whether a printer prints to scale, how far it reaches, and whether both sides meet. */
import { inEach, spokenIn } from './cards';
import {
  blank,
  GREY,
  INK,
  MARGIN_MM,
  PAPERS,
  printable,
  type Paper,
  type Shape,
  type Sheet,
  type SheetContext,
} from './sheet';
import { paragraph } from './text';

export const RULER_MM = 100;
/** How far the faces of a two-sided part may lie apart. */
const MEET_MM = 1;

/** Crosses in the corners of both faces: held to the light they lie on each other. */
export function registers(paper: Paper): Shape[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const at = MARGIN_MM + 2;
  return [at, widthMm - at].flatMap((x) =>
    [at, heightMm - at].flatMap((y): Shape[] => [
      { kind: 'line', x1: x - 2, y1: y, x2: x + 2, y2: y, stroke: INK, strokeMm: 0.15 },
      { kind: 'line', x1: x, y1: y - 2, x2: x, y2: y + 2, stroke: INK, strokeMm: 0.15 },
    ]),
  );
}

/** A ruler of 100 mm with marks, from (x, y) to the right or down. */
function ruler(x: number, y: number, down: boolean, measure: SheetContext['measure']): Shape[] {
  const at = (along: number, across: number) =>
    down ? { x: x + across, y: y + along } : { x: x + along, y: y + across };
  const stroke = (from: [number, number], to: [number, number], strokeMm: number): Shape => {
    const [a, b] = [at(...from), at(...to)];
    return { kind: 'line', x1: a.x, y1: a.y, x2: b.x, y2: b.y, stroke: INK, strokeMm };
  };
  const shapes = [stroke([0, 0], [RULER_MM, 0], 0.4)];
  for (let mm = 0; mm <= RULER_MM; mm++) {
    const long = mm % 10 === 0 ? 6 : mm % 5 === 0 ? 4 : 2;
    shapes.push(stroke([mm, 0], [mm, long], mm % 10 === 0 ? 0.3 : 0.15));
    if (mm % 20 === 0) {
      const { x: textX, y: textY } = at(mm, down ? 10.5 : 9);
      shapes.push(
        ...paragraph(String(mm), textX - 6, textY - 2.4, 12, measure, { sizePt: 11, anchor: 'middle' })
          .shapes,
      );
    }
  }
  return shapes;
}

/** Front and back. Asymmetric marks show which way it was flipped. */
export function calibrationSheets(context: SheetContext): Sheet[] {
  const { paper, measure } = context;
  const readings = spokenIn('calibration.ruler', context);
  const { widthMm, heightMm } = PAPERS[paper];
  const area = printable(PAPERS[paper]);
  const title = inEach('calibration.title', context);
  const edge: Shape = {
    kind: 'rect',
    x: area.x,
    y: area.y,
    width: area.w,
    height: area.h,
    stroke: GREY,
    strokeMm: 0.2,
  };
  const left = MARGIN_MM + 12;
  const columnMm = (widthMm - 2 * left - 8 * (readings.length - 1)) / readings.length;
  const said = (y: number, ...ids: ('ruler' | 'not' | 'frame' | 'back' | 'flip')[]): Shape[] =>
    readings.flatMap((reading, column) => {
      let top = y;
      return ids.flatMap((id) => {
        const args = { mm: id === 'ruler' ? RULER_MM : id === 'frame' ? MARGIN_MM : MEET_MM };
        const text = inEach(`calibration.${id}`, { readings: [reading] }, args);
        const block = paragraph(text, left + column * (columnMm + 8), top, columnMm, measure, {
          sizePt: 12,
          language: reading.language,
        });
        top += block.heightMm + 2;
        return block.shapes;
      });
    });
  const titled = paragraph(title, left, MARGIN_MM + 8, widthMm - 2 * left, measure, {
    sizePt: 20,
    font: 'display',
  });
  const corner = (x: number): Shape => ({
    kind: 'path',
    d: `M${x} ${heightMm - MARGIN_MM - 20} C${x - 4} ${heightMm - MARGIN_MM - 30} ${x + 2} ${heightMm - MARGIN_MM - 34} ${x + 8} ${heightMm - MARGIN_MM - 33} C${x + 9} ${heightMm - MARGIN_MM - 26} ${x + 5} ${heightMm - MARGIN_MM - 20} ${x} ${heightMm - MARGIN_MM - 20} Z`,
    stroke: INK,
    strokeMm: 0.4,
  });
  return [
    {
      ...blank(title, paper, [
        edge,
        ...registers(paper),
        ...titled.shapes,
        ...ruler(left, 52, false, measure),
        ...ruler(left + 2, 128, true, measure),
        ...said(68, 'ruler', 'not'),
        ...said(102, 'frame'),
        corner(widthMm - MARGIN_MM - 30),
      ]),
      begins: true,
    },
    {
      ...blank(title, paper, [
        edge,
        ...registers(paper),
        ...titled.shapes,
        ...said(52, 'back', 'flip'),
        corner(MARGIN_MM + 22),
      ]),
      back: true,
    },
  ];
}
