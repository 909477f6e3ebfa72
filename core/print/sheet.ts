/** Sheets of paper in millimetres, made of a few shapes. The origin is the top left corner, y grows downwards. */
import type { Worded } from '~/core/words/message';

export const PAPERS = {
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
} as const;
export type Paper = keyof typeof PAPERS;

/** What no common printer can reach, on each edge. */
export const MARGIN_MM = 10;

export type FontName = 'body' | 'bold' | 'display';

export interface Ink {
  fill?: string;
  stroke?: string;
  strokeMm?: number;
  dashMm?: readonly number[];
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
      language?: Worded;
    }
  | ({ kind: 'line'; x1: number; y1: number; x2: number; y2: number } & Ink)
  | ({ kind: 'rect'; x: number; y: number; width: number; height: number; radius?: number } & Ink)
  | ({ kind: 'circle'; x: number; y: number; radius: number } & Ink)
  /** SVG path data with absolute commands, in mm. */
  | ({ kind: 'path'; d: string } & Ink);

export interface Sheet {
  /** For people: "Record sheet". */
  title: string;
  widthMm: number;
  heightMm: number;
  shapes: readonly Shape[];
  /** This page is the back of the one before it (flip on the long edge). */
  back?: boolean;
  /** A page to write on, or parts to cut out; neither for instructions and labels. */
  use?: 'record' | 'part';
  /** Pages of the same name are the same: a copy holds them once, however many games use them. */
  shared?: string;
  /** A document of its own begins here: in two-sided printing it begins on a fresh sheet of paper. */
  begins?: boolean;
}

/** Width of a line of text in mm. */
export type Measure = (text: string, font: FontName, sizePt: number) => number;

/** What a game needs to know to draw its sheets. */
export interface SheetContext {
  paper: Paper;
  /** The home language first, then the school's; one language only is drawn once. */
  languages: readonly Worded[];
  seed: number;
  measure: Measure;
}

export const INK = '#1A1A1A';
export const GREY = '#6B6B6B';
export const PT_MM = 25.4 / 72;

export const blank = (title: string, paper: Paper, shapes: Shape[]): Sheet => ({
  title,
  widthMm: PAPERS[paper].widthMm,
  heightMm: PAPERS[paper].heightMm,
  shapes,
});

/**
 * Adds empty pages so that in two-sided printing every document begins on a fresh sheet of paper and every back
 * lies behind its front.
 */
export function forTwoSides(sheets: readonly Sheet[]): Sheet[] {
  const pages: Sheet[] = [];
  for (const sheet of sheets) {
    const last = pages.at(-1);
    if (sheet.begins && last && pages.length % 2 === 1)
      pages.push({ ...last, title: '', shapes: [], begins: false, back: false });
    pages.push(sheet);
  }
  return pages;
}
