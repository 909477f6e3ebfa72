/** Sheets of paper in millimetres, made of a few shapes. The origin is the top left corner, y grows downwards. */
import type { Language } from '~/core/words/languages';
import type { Reading } from '~/core/words/reading';

export const PAPERS = {
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
} as const;
export type Paper = keyof typeof PAPERS;

/** What is asked for cannot be printed; the sentence says what to change. */
export class CannotPrint extends RangeError {}

/** What no common printer can reach, on each edge. */
export const MARGIN_MM = 10;

export type FontName = 'body' | 'bold' | 'display';

export interface Ink {
  fill?: string;
  stroke?: string;
  strokeMm?: number;
  dashMm?: readonly number[];
  /** Round ends and corners, as of a pen. */
  round?: boolean;
}

export type Shape =
  | {
      kind: 'text';
      x: number;
      y: number;
      text: string;
      sizePt: number;
      font: FontName;
      anchor: 'start' | 'middle' | 'end';
      fill: string;
      language?: Language | undefined;
    }
  | ({ kind: 'line'; x1: number; y1: number; x2: number; y2: number } & Ink)
  | ({ kind: 'rect'; x: number; y: number; width: number; height: number; radius?: number } & Ink)
  | ({ kind: 'circle'; x: number; y: number; radius: number } & Ink)
  /** SVG path data with the absolute commands M, L, C and Z, in mm. `says`: the text it shows, for who cannot see it. */
  | ({ kind: 'path'; d: string; says?: string } & Ink)
  /** A PNG or JPEG picture as a data address; it fills its box without losing its proportions. */
  | { kind: 'image'; x: number; y: number; width: number; height: number; data: string; says: string };

/** A place on a sheet, in mm. */
export interface Cell {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** Something that is cut out of a sheet. */
export interface Piece<Material extends string = string> extends Cell {
  /** Id of its material. */
  material: Material;
  /** What tells it from its like: "7", "3 + 4", "board 2". */
  name: string;
  /** More than is needed, to fill the sheet. */
  spare?: boolean;
  /** Cut along an outline of its own, not along straight lines. */
  outline?: boolean;
}

export interface Sheet<Material extends string = string> {
  /** For people: "Record sheet". */
  title: string;
  widthMm: number;
  heightMm: number;
  shapes: readonly Shape[];
  /** So many of its shapes, the first ones, stand on other pages too; all of them where nothing is said. */
  repeats?: number;
  /** What is cut out of it; the back of a sheet has none of its own. */
  pieces?: readonly Piece<Material>[];
  /** This page is the back of the one before it (flip on the long edge). */
  back?: boolean;
  /** Where the square of a copy's link belongs. */
  square?: Cell;
  /** False for labels, slips and other pages that no pouch keeps. */
  lasting?: boolean;
  /** A page to write on, or parts to cut out; neither for instructions and labels. */
  use?: 'record' | 'part';
  /** Pages of the same name are the same: a copy holds them once, however many games use them. */
  shared?: string;
  /** A document of its own begins here: in two-sided printing it begins on a fresh sheet of paper. */
  begins?: boolean;
  /** What these instructions leave out so as not to be too long. */
  leavesOut?: 'standIns' | 'coaching';
}

/** Width of a line of text in mm. */
export type Measure = (text: string, font: FontName, sizePt: number, language?: Language) => number;

/** Plain: black and white, used once. Durable: colour, card and pouch, used over and over. */
export const FINISHES = {
  plain: 'Plain: black and white, used once',
  durable: 'Durable: color, to laminate',
} as const;
export type Finish = keyof typeof FINISHES;

/** Shared: neighbours meet at one line. Marks: a gutter between cards, with crop marks in it. */
export const CUTS = { shared: 'Shared lines, fewest cuts', marks: 'Crop marks, with a gutter' } as const;
export type Cuts = keyof typeof CUTS;

/** One lost piece that is printed again. */
export interface Lost {
  material: string;
  name: string;
  /** Which variant of the kit it belongs to, counted from 0; any that has it, where this is not said. */
  variant?: number;
}

/** What a game needs to know to draw its sheets. */
export interface SheetContext {
  paper: Paper;
  /** That of the home language first, then the school's; one language only is drawn once. */
  readings: readonly Reading[];
  seed: number;
  measure: Measure;
  finish: Finish;
  cuts: Cuts;
  /** Room left on the last sheet of cards is filled with spares. */
  fill: boolean;
  /** Only this piece, as often as it fits a sheet. */
  lost?: Lost | undefined;
}

export const INK = '#1A1A1A';
export const GREY = '#6B6B6B';
export const PT_MM = 25.4 / 72;

export const blank = (title: string, paper: Paper, shapes: Shape[]): Sheet<never> => ({
  title,
  widthMm: PAPERS[paper].widthMm,
  heightMm: PAPERS[paper].heightMm,
  shapes,
});

/** The part of a page that a printer reaches. Throws CannotPrint when there is none. */
export function printable(size: { widthMm: number; heightMm: number }, marginMm: number = MARGIN_MM): Cell {
  const [w, h] = [size.widthMm - 2 * marginMm, size.heightMm - 2 * marginMm];
  if (w <= 0 || h <= 0)
    throw new CannotPrint(
      `Nothing can be printed on ${size.widthMm} × ${size.heightMm} mm with a margin of ${marginMm} mm: make the margin smaller.`,
    );
  return { x: marginMm, y: marginMm, w, h };
}

/** Whether a page must begin on a fresh sheet of paper: a new document, or parts that are cut out. */
const startsFresh = (sheet: Sheet): boolean =>
  !sheet.back && (Boolean(sheet.begins) || sheet.use === 'part' || Boolean(sheet.pieces?.length));

/**
 * Adds empty pages so that in two-sided printing every document begins on a fresh sheet of paper, nothing is
 * printed behind what is cut out, and every back lies behind its front.
 */
export function forTwoSides(sheets: readonly Sheet[]): Sheet[] {
  const pages: Sheet[] = [];
  for (const sheet of sheets) {
    const last = pages.at(-1);
    if (startsFresh(sheet) && last && pages.length % 2 === 1)
      pages.push({ ...last, title: '', shapes: [], pieces: [], begins: false, back: true });
    pages.push(sheet);
  }
  return pages;
}

/** The pages on each sheet of paper. One-sided, a back is printed on the paper of its front. */
export function papersOf(pages: readonly Sheet[], twoSided: boolean): Sheet[][] {
  const papers: Sheet[][] = [];
  pages.forEach((page, i) => {
    const open = papers.at(-1);
    if (open && (twoSided ? i % 2 === 1 : page.back)) open.push(page);
    else papers.push([page]);
  });
  return papers;
}
