import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cardSheets } from '~/core/paper/cards';
import { checkJson } from '~/core/check/check';
import { centsOf, cutsOf, printCost, printingSchema, USUAL_PRINTING, workOf, type Printing } from './cost';
import { blank, forTwoSides, type Sheet } from '~/core/paper/sheet';
import { contextOf } from '~/core/paper/testing';

const page = (change: Partial<Sheet> = {}): Sheet => ({
  ...blank('page', 'letter', [{ kind: 'circle', x: 50, y: 50, radius: 5, fill: '#000000' }]),
  ...change,
});
const cards = (n: number, outline = false) =>
  cardSheets(
    {
      material: 'slip',
      title: 'Slips',
      size: { w: 46, h: 60 },
      ...(outline ? { outline: { gapMm: 5 } } : {}),
    },
    Array.from({ length: n }, (_, i) => ({
      name: String(i),
      draw: ({ x, y }) => [{ kind: 'circle' as const, x: x + 9, y: y + 9, radius: 2, fill: '#000000' }],
    })),
    contextOf(),
  );

describe('cuts', () => {
  it('are shared by neighbours: one more than columns, and one more than rows', () => {
    // Four across, four down.
    expect(cutsOf(cards(16)[0]!)).toEqual({ straight: 5 + 5, outline: 0 });
    // One row of three: its two sides down, and above and below.
    expect(cutsOf(cards(3)[0]!)).toEqual({ straight: 4 + 2, outline: 0 });
    expect(cutsOf(cards(7, true)[0]!)).toEqual({ straight: 0, outline: 7 });
    expect(cutsOf(page())).toEqual({ straight: 0, outline: 0 });
    const whole = { material: 'mat', name: 'mat', x: 0, y: 0, w: 215.9, h: 279.4 };
    expect(cutsOf(page({ pieces: [whole] }))).toEqual({ straight: 0, outline: 0 });
  });
});

describe('work', () => {
  const how = { finish: 'plain' as const, twoSided: false, copies: 0, printing: USUAL_PRINTING };
  it('counts printed pages, paper, and what goes into pouches', () => {
    const pages = [page(), page({ back: true }), page({ lasting: false }), blank('', 'letter', [])];
    expect(workOf(pages, how)).toMatchObject({ pages: 3, sheets: 3, pouches: 0 });
    expect(workOf(pages, { ...how, finish: 'durable' })).toMatchObject({ pages: 3, pouches: 1 });
    expect(workOf(pages, { ...how, twoSided: true })).toMatchObject({ sheets: 2 });
    // Cards lie on a sheet each, with nothing behind them: as many pouches as sheets.
    const laid = forTwoSides(cards(40));
    expect(workOf(laid, { ...how, finish: 'durable', twoSided: true })).toMatchObject({
      sheets: 3,
      pouches: 3,
      pages: 3,
    });
  });
  it('costs what paper, ink, card and pouches cost', () => {
    // 10 sheets at 1.4 cents, 10 pages at 2.
    expect(
      workOf(
        Array.from({ length: 10 }, () => page()),
        how,
      ).costCents,
    ).toBe(34);
    // Card 5.6, pouch 19, a page in colour 9.
    expect(workOf([page()], { ...how, finish: 'durable' }).costCents).toBe(Math.ceil(5.6 + 19 + 9));
    expect(workOf([page({ lasting: false })], { ...how, finish: 'durable' }).costCents).toBe(4);
  });
  it('takes longer with pouches, cuts and bags', () => {
    const sheets = cards(16);
    const plain = workOf(sheets, how).minutes;
    expect(workOf(sheets, { ...how, finish: 'durable' }).minutes).toBeGreaterThanOrEqual(plain);
    expect(workOf(sheets, { ...how, copies: 10 }).minutes).toBe(Math.ceil((3 + 10 * 7 + 10 * 180) / 60));
  });
});

describe('the cost of a loan', () => {
  const pages = Array.from({ length: 8 }, () => page());
  it('is the same each time when plain, and falls with the loans when durable', () => {
    const once = printCost(pages, 1, { twoSided: false, printing: USUAL_PRINTING });
    const often = printCost(pages, 20, { twoSided: false, printing: USUAL_PRINTING });
    expect(often.plainCents).toBe(once.plainCents);
    expect(often.durableCents).toBeLessThan(once.durableCents / 10);
  });
  it('says from which loan on durable is not dearer, as trying every number does', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 0, max: 10 }), (lasting, others) => {
        const all = [
          ...Array.from({ length: lasting }, () => page()),
          ...Array.from({ length: others }, () => page({ lasting: false })),
        ];
        const { paysFrom, plainCents } = printCost(all, 1, { twoSided: true, printing: USUAL_PRINTING });
        const cheaper = Array.from({ length: USUAL_PRINTING.durableLoans }, (_, i) => i + 1).filter(
          (n) =>
            printCost(all, n, { twoSided: true, printing: USUAL_PRINTING }).durableCents * n - n <
            plainCents * n,
        );
        if (paysFrom === undefined) expect(cheaper.length).toBeLessThanOrEqual(1);
        else {
          expect(paysFrom).toBeGreaterThanOrEqual(cheaper[0]!);
          expect(
            printCost(all, paysFrom, { twoSided: true, printing: USUAL_PRINTING }).durableCents,
          ).toBeLessThanOrEqual(plainCents + 1);
          if (paysFrom > 1)
            expect(
              printCost(all, paysFrom - 1, { twoSided: true, printing: USUAL_PRINTING }).durableCents,
            ).toBeGreaterThanOrEqual(plainCents);
        }
      }),
    );
  });
  it('follows the prices and the wear of the school', () => {
    const cost = (change: Partial<Printing>) =>
      printCost(pages, 20, { twoSided: false, printing: { ...USUAL_PRINTING, ...change } });
    const usual = cost({});
    // Eight pages: eight sheets of paper, eight pages of ink.
    expect(cost({ greyCents: 1200 }).plainCents).toBe(Math.ceil(8 * 1.4 + 8 * 12));
    expect(cost({ greyCents: 1200 }).durableCents).toBe(usual.durableCents);
    expect(cost({ greyCents: 1200 }).paysFrom).toBeLessThan(usual.paysFrom!);
    // Made anew after ten loans: twice for twenty.
    expect(cost({ durableLoans: 10 }).durableCents).toBeGreaterThan(1.9 * usual.durableCents);
    // Pouches that never pay.
    expect(cost({ pouchCents: 100_000 }).paysFrom).toBeUndefined();
    expect(cost({ paperCents: 0, greyCents: 0 }).plainCents).toBe(0);
  });
  it('asks for a number of loans', () => {
    expect(() => printCost(pages, 0, { twoSided: false, printing: USUAL_PRINTING })).toThrow(
      'loans: 0 is not a number of loans from 1 on',
    );
    expect(() => printCost(pages, 1.5, { twoSided: false, printing: USUAL_PRINTING })).toThrow(/1.5/);
  });
});

describe('the usual prices and times', () => {
  it('are settings of their own schema', () => {
    expect(checkJson(printingSchema, {})).toEqual({ ok: true, value: USUAL_PRINTING });
    expect(checkJson(printingSchema, USUAL_PRINTING)).toEqual({ ok: true, value: USUAL_PRINTING });
    expect(centsOf(USUAL_PRINTING, 'card')).toBe(5.6);
  });
});
