/** What the tests of print share. */
import type { Language } from '~/core/words/languages';
import type { Reading } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import {
  PT_MM,
  type Measure,
  type Paper,
  type Piece,
  type Shape,
  type Sheet,
  type SheetContext,
} from './sheet';

/** Every letter half as wide as it is high. */
export const evenly: Measure = (text, _font, sizePt) => text.length * sizePt * PT_MM * 0.5;

/** Shipped readings of some languages. */
export const readings = (...languages: readonly Language[]): Reading[] =>
  languages.map((language) => readingOf(language));

export const contextOf = (change: Partial<SheetContext> = {}): SheetContext => ({
  paper: 'letter',
  readings: readings('es', 'en'),
  seed: 1,
  measure: evenly,
  finish: 'durable',
  cuts: 'shared',
  fill: false,
  ...change,
});

export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The box a shape covers on paper, its line included. */
export function boxOf(shape: Shape, measure: Measure): Box {
  const around = (x1: number, y1: number, x2: number, y2: number, strokeMm = 0): Box => ({
    left: Math.min(x1, x2) - strokeMm / 2,
    top: Math.min(y1, y2) - strokeMm / 2,
    right: Math.max(x1, x2) + strokeMm / 2,
    bottom: Math.max(y1, y2) + strokeMm / 2,
  });
  switch (shape.kind) {
    case 'text': {
      const width = measure(shape.text, shape.font, shape.sizePt);
      const left =
        shape.anchor === 'start' ? shape.x : shape.anchor === 'end' ? shape.x - width : shape.x - width / 2;
      const size = shape.sizePt * PT_MM;
      return around(left, shape.y - size * 0.75, left + width, shape.y + size * 0.25);
    }
    case 'line':
      return around(shape.x1, shape.y1, shape.x2, shape.y2);
    case 'rect':
    case 'image':
      return around(shape.x, shape.y, shape.x + shape.width, shape.y + shape.height);
    case 'circle':
      return around(
        shape.x - shape.radius,
        shape.y - shape.radius,
        shape.x + shape.radius,
        shape.y + shape.radius,
      );
    case 'path': {
      const numbers = shape.d.match(/-?[\d.]+(?:e-?\d+)?/g)!.map(Number);
      const of = (odd: number) => numbers.filter((_, i) => i % 2 === odd);
      return around(Math.min(...of(0)), Math.min(...of(1)), Math.max(...of(0)), Math.max(...of(1)));
    }
  }
}

/** How far two boxes reach into each other: across and down, in mm. Not positive where they do not. */
export const overlap = (a: Box, b: Box): number =>
  Math.min(
    Math.min(a.right, b.right) - Math.max(a.left, b.left),
    Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top),
  );

/** Everything a page says, in the order in which it is drawn. */
export const saidOn = (sheet: Pick<Sheet, 'shapes'>): string[] =>
  sheet.shapes.flatMap((shape) =>
    shape.kind === 'text' ? [shape.text] : 'says' in shape && shape.says ? [shape.says] : [],
  );

export const PAPER_NAMES: readonly Paper[] = ['letter', 'a4'];

/** Everything that is cut out of sheets. */
export const piecesOn = (sheets: readonly Sheet[]) => sheets.flatMap((sheet) => sheet.pieces ?? []);
/** Pieces without the spares that fill a sheet. */
export const needed = (pieces: readonly Piece[]) => pieces.filter((piece) => !piece.spare);
export const circles = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'circle');
