import { describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games';
import { cardSheets, cellsOf, dots, numeral } from './cards';
import { MARGIN_MM, PAPERS, type Paper, type SheetContext, type Shape } from './sheet';

const context = (paper: Paper): SheetContext => ({
  paper,
  languages: ['es', 'en'],
  seed: 1,
  measure: (text, _font, sizePt) => text.length * sizePt * 0.18,
});
const papers = Object.keys(PAPERS) as Paper[];
const texts = (shapes: readonly Shape[]) =>
  shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));

describe('cards on sheets', () => {
  it.each(papers)('lie within the printable area of %s and do not overlap', (paper) => {
    for (const card of [
      { w: 60, h: 40 },
      { w: 45, h: 88 },
      { w: 184, h: 120 },
    ]) {
      const cells = cellsOf(card, paper);
      expect(cells.length).toBeGreaterThan(0);
      cells.forEach((a, i) => {
        expect(a.x).toBeGreaterThanOrEqual(MARGIN_MM - 1e-9);
        expect(a.y).toBeGreaterThanOrEqual(MARGIN_MM - 1e-9);
        expect(a.x + a.w).toBeLessThanOrEqual(PAPERS[paper].widthMm - MARGIN_MM + 1e-9);
        expect(a.y + a.h).toBeLessThanOrEqual(PAPERS[paper].heightMm - MARGIN_MM + 1e-9);
        for (const b of cells.slice(0, i))
          expect(
            a.x + 1e-6 >= b.x + b.w ||
              b.x + 1e-6 >= a.x + a.w ||
              a.y + 1e-6 >= b.y + b.h ||
              b.y + 1e-6 >= a.y + a.h,
          ).toBe(true);
      });
    }
  });
  it('take as many sheets as they need, each card once', () => {
    const cards = Array.from({ length: 31 }, (_, i) => () => numeral(String(i), 50, 50, 10));
    const sheets = cardSheets('Cards', cards, { w: 60, h: 40 }, context('a4'));
    const each = cellsOf({ w: 60, h: 40 }, 'a4').length;
    expect(sheets).toHaveLength(Math.ceil(31 / each));
    expect(sheets.flatMap((sheet) => texts(sheet.shapes).filter((text) => text !== 'Cards'))).toEqual(
      cards.map((_, i) => String(i)),
    );
    expect(sheets.map((sheet) => sheet.begins)).toEqual([true, false].slice(0, sheets.length));
  });
  it('larger than the sheet are refused in a sentence', () => {
    expect(() => cardSheets('Cards', [() => []], { w: 300, h: 300 }, context('letter'))).toThrow(
      /larger than what can be printed on Letter paper: make it smaller/,
    );
  });
  it('underline six and nine, and lay dots in fives', () => {
    expect(numeral('6', 0, 0, 10)).toHaveLength(2);
    expect(numeral('8', 0, 0, 10)).toHaveLength(1);
    const ten = dots(10, 50, 50, 40).map((shape) => (shape.kind === 'circle' ? shape.y : 0));
    expect(new Set(ten).size).toBe(2);
    expect(ten.filter((y) => y === ten[0])).toHaveLength(5);
  });
});

describe('printed parts of a game', () => {
  const drawn = (id: string, change = {}) => {
    const game = gameOf(id);
    const params = { ...game.presets[0]!.params, ...change };
    const needs = Object.fromEntries(
      game
        .reckon(params, { ageBand: 'K', secondsPerTurn: 30 })
        .parts.map((part) => [part.material, part.enough]),
    );
    const sheets = game.sheets(params, context('letter'));
    return {
      needs,
      shapes: sheets.flatMap((sheet) => sheet.shapes),
      sheets,
      again: game.sheets(params, context('letter')),
    };
  };
  const cuts = (shapes: readonly Shape[]) =>
    shapes.filter((shape) => shape.kind === 'rect' && shape.dashMm).length;
  it('are there exactly as often as the reckoning says', () => {
    const blanket = drawn('blanket-board');
    expect(cuts(blanket.shapes)).toBe(blanket.needs.board! + blanket.needs.slip!);
    const mat = drawn('harvest-mat', { source: 'cards', cells: [3, 4, 5, 6], cardsPerSum: 2 });
    expect(cuts(mat.shapes)).toBe(mat.needs.mat! + mat.needs['sum-card']!);
    const nests = drawn('number-nests');
    expect(cuts(nests.shapes)).toBe(nests.needs.nest! + nests.needs['sum-card']!);
    expect(nests.again).toEqual(nests.sheets);
    for (const [id, material] of [
      ['fetch-that-many', 'slip'],
      ['dough-dots', 'picture-card'],
      ['bond-triangles', 'triangle-card'],
      ['three-stones', 'board'],
    ] as const) {
      const { shapes, needs } = drawn(id);
      expect([id, cuts(shapes)]).toEqual([id, needs[material]]);
    }
  });
  it('show what they are for', () => {
    const { shapes } = drawn('harvest-mat', { source: 'one-die', cells: [1, 2, 3, 4, 5, 6] });
    expect(texts(shapes).filter((text) => /^\d+$/.test(text))).toEqual(['1', '2', '3', '4', '5', '6']);
    const slips = drawn('blanket-board', { from: 0, to: 10, cells: 8, boards: 1 });
    // A slip for each number from 0 to 10: 55 dots in all.
    expect(slips.shapes.filter((shape) => shape.kind === 'circle')).toHaveLength(55);
  });
});
