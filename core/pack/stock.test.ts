import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkForm } from '~/core/check/check';
import { materials, type MaterialId } from '~/core/materials/catalogue';
import type { KitPart } from '~/core/kits/recipe';
import type { Language } from '~/core/words/languages';
import { labelSheets, type LabelSource } from './labels';
import { CannotPrint, MARGIN_MM, PAPERS, type Paper } from '~/core/paper/sheet';
import { LABEL_STOCKS, labelStockSchema, type LabelStock } from './stock';
import { boxOf, contextOf, evenly, PAPER_NAMES, saidOn, readings } from '~/core/paper/testing';

const MATERIALS = materials()
  .filter(({ kind }) => kind !== 'home')
  .map(({ id }) => id)
  .slice(0, 12);
const part = (material: MaterialId): KitPart => ({ material, quantity: 3, reasons: ['For a test.'] });
const source = (parts: number, change: Partial<LabelSource> = {}): LabelSource => ({
  kitName: 'First splits',
  tag: 'K7M4W',
  link: 'http://127.0.0.1:4600/p/abcdefghijklmnopqrstuv',
  schoolName: 'Tern Rock School',
  parts: MATERIALS.slice(0, parts).map(part),
  smallParts: true,
  ...change,
});

type Ranges = Record<keyof LabelStock, readonly [min: number, max: number]>;
const stocks = (ranges: Ranges): fc.Arbitrary<LabelStock> =>
  fc.record(
    Object.fromEntries(
      Object.entries(ranges).map(([name, [min, max]]) => [name, fc.integer({ min, max })]),
    ) as { [name in keyof LabelStock]: fc.Arbitrary<number> },
  );
const GAPS = { left: [0, 30], top: [0, 30], gapX: [0, 10], gapY: [0, 10] } as const;
const anyStock = stocks({ ...GAPS, columns: [1, 4], rows: [1, 8], w: [20, 216], h: [15, 297] });
/** Measures that have room for something. */
const roomyStock = stocks({
  columns: [1, 2],
  rows: [1, 3],
  w: [75, 104],
  h: [65, 140],
  left: [0, 5],
  top: [0, 10],
  gapX: [0, 4],
  gapY: [0, 4],
});

describe('a label sheet of any measures', () => {
  it('holds every label on a place of its own, or is refused with what to change', () => {
    let printed = 0;
    fc.assert(
      fc.property(
        fc.oneof(anyStock, roomyStock),
        fc.constantFrom<Paper>(...PAPER_NAMES),
        fc.constantFrom<Language[]>(['es', 'en'], ['ar', 'en'], ['en']),
        fc.integer({ min: 1, max: MATERIALS.length }),
        fc.integer({ min: 0, max: 5 }),
        (stock, paper, languages, parts, used) => {
          try {
            const sheets = labelSheets(
              [source(parts)],
              { stock, used },
              contextOf({ paper, readings: readings(...languages) }),
            );
            printed++;
            for (const [number, sheet] of sheets.entries())
              for (const shape of sheet.shapes) {
                const box = boxOf(shape, evenly);
                const on = Array.from({ length: stock.columns * stock.rows }, (_, i) => i).filter((i) => {
                  const left = stock.left + (i % stock.columns) * (stock.w + stock.gapX);
                  const top = stock.top + Math.floor(i / stock.columns) * (stock.h + stock.gapY);
                  return (
                    box.left >= left - 0.1 &&
                    box.right <= left + stock.w + 0.1 &&
                    box.top >= top - 0.1 &&
                    box.bottom <= top + stock.h + 0.1
                  );
                });
                expect([JSON.stringify(shape).slice(0, 60), on.length]).toEqual([
                  JSON.stringify(shape).slice(0, 60),
                  1,
                ]);
                // What is used already stays as it is.
                if (number === 0) expect(on[0]).toBeGreaterThanOrEqual(used);
                expect(box.left).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
                expect(box.right).toBeLessThanOrEqual(PAPERS[paper].widthMm - MARGIN_MM + 0.01);
              }
          } catch (error) {
            if (!(error instanceof CannotPrint)) throw error;
            expect(error.message).toMatch(/^Labels: .*\.$/);
            expect(error.message).not.toMatch(/undefined|NaN|Infinity|-\d/);
          }
        },
      ),
      { numRuns: 400, seed: 5 },
    );
    expect(printed).toBeGreaterThan(15);
  });

  it('goes on on the next sheet when many copies are printed', () => {
    const { stock } = LABEL_STOCKS['a4-2x3'];
    const sources = Array.from({ length: 7 }, (_, i) => source(4, { tag: `K7M4${'CDFGHJK'[i]}` }));
    const sheets = labelSheets(sources, { stock, used: 1 }, contextOf({ paper: 'a4' }));
    // Three labels for each copy, six to a sheet, one used.
    expect(sheets).toHaveLength(Math.ceil((7 * 3 + 1) / 6));
    const tags = sheets.flatMap((sheet) => saidOn(sheet)).filter((text) => /^K7M4-?[A-Z]$/.test(text));
    for (const { tag } of sources)
      expect(tags.filter((text) => text.replace('-', '') === tag)).toHaveLength(3);
  });
});

describe('common label sheets', () => {
  it('lie on their paper, and have measures that the form takes', () => {
    for (const { paper, stock } of Object.values(LABEL_STOCKS)) {
      const { widthMm, heightMm } = PAPERS[paper];
      const { columns, rows, w, h, left, top, gapX, gapY } = stock;
      expect(left + columns * w + (columns - 1) * gapX).toBeLessThanOrEqual(widthMm + 0.5);
      expect(top + rows * h + (rows - 1) * gapY).toBeLessThanOrEqual(heightMm + 0.5);
      const typed = Object.fromEntries(Object.entries(stock).map(([name, value]) => [name, String(value)]));
      expect(checkForm(labelStockSchema, typed)).toEqual({ ok: true, value: stock });
    }
  });

  it('take the labels of a usual basket in two languages', () => {
    for (const { paper, stock } of Object.values(LABEL_STOCKS))
      for (const languages of [
        ['es', 'en'],
        ['ar', 'en'],
        ['pt', 'en'],
      ] as Language[][])
        expect(
          labelSheets([source(6)], { stock }, contextOf({ paper, readings: readings(...languages) })).flatMap(
            ({ shapes }) => shapes,
          ).length,
        ).toBeGreaterThan(20);
  });
});
