/** Label sheets: where their labels lie. */
import { Type, type Static } from '@sinclair/typebox';
import { Millimetres, Whole } from '~/core/check/schema';
import type { Paper } from '~/core/paper/sheet';

/** Where the labels lie on a sheet, in mm. */
export const labelStockSchema = Type.Object({
  columns: Whole(1, 6, { title: 'Labels across' }),
  rows: Whole(1, 20, { title: 'Labels down' }),
  w: Millimetres(20, 216, { title: 'Width of a label (mm)' }),
  h: Millimetres(15, 297, { title: 'Height of a label (mm)' }),
  left: Millimetres(0, 100, { title: 'Left edge to the first label (mm)' }),
  top: Millimetres(0, 100, { title: 'Upper edge to the first label (mm)' }),
  gapX: Millimetres(0, 50, { title: 'Gap across (mm)' }),
  gapY: Millimetres(0, 50, { title: 'Gap down (mm)' }),
});
export type LabelStock = Static<typeof labelStockSchema>;

/** Common grids of label sheets, by their measures. Others are given by their own numbers. */
export const LABEL_STOCKS = {
  'letter-2x3': {
    name: 'Letter, 6 labels of 101.6 × 84.7 mm',
    paper: 'letter',
    stock: { columns: 2, rows: 3, w: 101.6, h: 84.7, left: 4, top: 12.7, gapX: 4.8, gapY: 0 },
  },
  'letter-2x2': {
    name: 'Letter, 4 labels of 101.6 × 127 mm',
    paper: 'letter',
    stock: { columns: 2, rows: 2, w: 101.6, h: 127, left: 4, top: 12.7, gapX: 4.8, gapY: 0 },
  },
  'a4-2x3': {
    name: 'A4, 6 labels of 99.1 × 93.1 mm',
    paper: 'a4',
    stock: { columns: 2, rows: 3, w: 99.1, h: 93.1, left: 4.6, top: 8.8, gapX: 2.6, gapY: 0 },
  },
  'a4-2x2': {
    name: 'A4, 4 labels of 105 × 148.5 mm',
    paper: 'a4',
    stock: { columns: 2, rows: 2, w: 105, h: 148.5, left: 0, top: 0, gapX: 0, gapY: 0 },
  },
  'a4-2x4': {
    name: 'A4, 8 labels of 99.1 × 67.7 mm',
    paper: 'a4',
    stock: { columns: 2, rows: 4, w: 99.1, h: 67.7, left: 4.6, top: 13.1, gapX: 2.6, gapY: 0 },
  },
} as const satisfies Record<string, { name: string; paper: Paper; stock: LabelStock }>;
export type LabelStockName = keyof typeof LABEL_STOCKS;

export interface LabelOrder {
  /** Without a stock, labels are printed on plain paper with lines to cut. */
  stock?: LabelStock;
  /** Labels of the first sheet that are used already. */
  used?: number;
}
