/** A plan of what is chalked or taped: to scale, with its measures in words. */
import type { Reading } from '~/core/words/reading';
import type { PRINT_WORDS } from '~/core/words/print';
import { inEach, spokenIn } from './cards';
import { fitNumeral, numeral } from './numerals';
import { INK, GREY, type Cell, type Shape, type SheetContext } from './sheet';
import { line, paragraph } from './text';

/** A number on a plan is never lower than this, also in cells that are small beside their gaps. */
const LEAST_MM = 3;

/** One cell of a plan, in mm on the ground. */
export interface GroundCell extends Cell {
  label: string;
  round?: boolean;
}

export interface Plan {
  cells: readonly GroundCell[];
  /** Lines of measures: message and arguments. */
  measures: readonly { id: keyof typeof PRINT_WORDS.en; args: Record<string, number> }[];
  /** Where players begin, in mm on the ground; an arrow points to the cells. */
  start?: { x: number; y: number };
  /** Played on a table: no word of cars. */
  indoors?: boolean;
  /** Steps to the throwing line for each age, below the field. */
  throwing?: Readonly<Record<string, number>>;
}

/** The plan in its place: the drawing as large as it fits, the measures below in both languages. */
export function planShapes(plan: Plan, place: Cell, context: SheetContext): Shape[] {
  const { measure } = context;
  const readings = spokenIn('plan.safe', context);
  const columnMm = (place.w - 8 * (readings.length - 1)) / readings.length;
  const lines = (reading: Reading, top: number, x: number) => {
    let y = top;
    const one = { readings: [reading] };
    const texts = [
      ...plan.measures.map(({ id, args }) => inEach(id, one, args)),
      ...(plan.throwing
        ? [
            `${inEach('plan.line', one)}: ${Object.entries(plan.throwing)
              .map(([name, steps]) => {
                const band = inEach(`band.${name}` as 'band.K', one);
                return steps
                  ? inEach('plan.steps', one, { band, steps })
                  : inEach('plan.first', one, { band });
              })
              .join('; ')}`,
          ]
        : []),
      ...(plan.indoors ? [] : [inEach('plan.safe', one)]),
    ];
    const shapes = texts.flatMap((text) => {
      const block = paragraph(text, x, y, columnMm, measure, { sizePt: 12, language: reading.language });
      y += block.heightMm + 1.6;
      return block.shapes;
    });
    return { shapes, heightMm: y - top };
  };
  const textMm = Math.max(...readings.map((reading) => lines(reading, 0, 0).heightMm));
  const lineRoom = plan.throwing ? 16 : 0;
  const drawing: Cell = { x: place.x, y: place.y, w: place.w, h: place.h - textMm - 8 - lineRoom };
  const points = [...plan.cells, ...(plan.start ? [{ ...plan.start, w: 0, h: 0 }] : [])];
  const left = Math.min(...points.map(({ x }) => x));
  const top = Math.min(...points.map(({ y }) => y));
  const width = Math.max(...points.map(({ x, w }) => x + w)) - left;
  const depth = Math.max(...points.map(({ y, h }) => y + h)) - top;
  const scale = Math.min(drawing.w / width, drawing.h / depth);
  const originX = drawing.x + (drawing.w - width * scale) / 2;
  const originY = drawing.y + (drawing.h - depth * scale) / 2;
  const at = (x: number, y: number) => ({ x: originX + (x - left) * scale, y: originY + (y - top) * scale });
  const shapes = plan.cells.flatMap((cell): Shape[] => {
    const corner = at(cell.x, cell.y);
    const [w, h] = [cell.w * scale, cell.h * scale];
    const middle = { x: corner.x + w / 2, y: corner.y + h / 2 };
    return [
      cell.round
        ? { kind: 'circle', ...middle, radius: w / 2, stroke: INK, strokeMm: 0.5 }
        : { kind: 'rect', ...corner, width: w, height: h, stroke: INK, strokeMm: 0.5 },
      ...(cell.label
        ? numeral(
            cell.label,
            middle.x,
            middle.y,
            Math.max(LEAST_MM, fitNumeral(cell.label, w * 0.6, Math.min(h * 0.4, 14))),
          )
        : []),
    ];
  });
  if (plan.start) {
    const { x, y } = at(plan.start.x, plan.start.y);
    const word = inEach('plan.start', context);
    const half = measure(word, 'body', 11) / 2;
    // The word stands under its dot, but not beyond the page.
    const middle = Math.min(Math.max(x, place.x + half), place.x + place.w - half);
    shapes.push(
      { kind: 'circle', x, y, radius: 1.6, fill: INK },
      line(middle, y + 6.5, word, { sizePt: 11, anchor: 'middle' }),
    );
  }
  if (plan.throwing) {
    const y = drawing.y + drawing.h + 9;
    shapes.push(
      {
        kind: 'line',
        x1: place.x + place.w * 0.2,
        y1: y,
        x2: place.x + place.w * 0.8,
        y2: y,
        stroke: GREY,
        strokeMm: 0.6,
        dashMm: [4, 2],
      },
      ...paragraph(inEach('plan.line', context), place.x, y + 1, place.w, measure, {
        sizePt: 11,
        anchor: 'middle',
      }).shapes,
    );
  }
  readings.forEach((reading, i) =>
    shapes.push(...lines(reading, place.y + place.h - textMm, place.x + i * (columnMm + 8)).shapes),
  );
  return shapes;
}

/** Centimetres for people: whole or with one decimal. */
export const cm = (mm: number): number => Math.round(mm) / 10;
/** Metres with two decimals. */
export const metres = (mm: number): number => Math.round(mm / 10) / 100;
