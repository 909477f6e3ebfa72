import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cardSheets,
  dots,
  dotsHeight,
  dotsIn,
  frame,
  impose,
  mirrored,
  wholeSheet,
  type Card,
} from './cards';
import { CannotPrint, MARGIN_MM, PAPERS, printable, type Cuts, type Shape } from './sheet';
import { boxOf, contextOf, evenly, overlap, PAPER_NAMES, saidOn } from './testing';

const cell = (box: { x: number; y: number; w: number; h: number }) => ({
  left: box.x,
  top: box.y,
  right: box.x + box.w,
  bottom: box.y + box.h,
});
const named = (n: number): Card[] =>
  Array.from({ length: n }, (_, i) => ({
    name: String(i),
    draw: ({ x, y }): Shape[] => [{ kind: 'circle', x: x + 1, y: y + 1, radius: 0.5, fill: '#000000' }],
  }));
const set = { material: 'slip', title: 'Slips', size: { w: 46, h: 60 } };

describe.each(PAPER_NAMES)('cards on %s', (paper) => {
  it.each(['shared', 'marks'] as Cuts[])('with %s cuts lie inside and apart', (cuts) => {
    fc.assert(
      fc.property(fc.integer({ min: 15, max: 180 }), fc.integer({ min: 15, max: 240 }), (w, h) => {
        const { cells } = impose({ w, h }, paper, cuts);
        cells.forEach((one, i) => {
          const box = cell(one);
          expect(box.left).toBeGreaterThanOrEqual(MARGIN_MM - 1e-9);
          expect(box.top).toBeGreaterThanOrEqual(MARGIN_MM - 1e-9);
          expect(box.right).toBeLessThanOrEqual(PAPERS[paper].widthMm - MARGIN_MM + 1e-9);
          expect(box.bottom).toBeLessThanOrEqual(PAPERS[paper].heightMm - MARGIN_MM + 1e-9);
          for (const other of cells.slice(0, i)) expect(overlap(box, cell(other))).toBeLessThan(1e-6);
        });
        // Backs fall behind fronts: the places are the same when the sheet is turned over.
        const key = (one: { x: number; y: number }) => `${one.x.toFixed(4)} ${one.y.toFixed(4)}`;
        expect(new Set(cells.map((one) => key(mirrored(one, PAPERS[paper].widthMm))))).toEqual(
          new Set(cells.map(key)),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('share their cuts, or keep a gutter with short marks in it', () => {
    const shared = impose(set.size, paper, 'shared').cells;
    expect(shared[1]!.x).toBeCloseTo(shared[0]!.x + shared[0]!.w, 9);
    const { cells } = impose(set.size, paper, 'marks');
    expect(cells[1]!.x).toBeCloseTo(cells[0]!.x + cells[0]!.w + 5, 9);
    const [sheet] = cardSheets(set, named(4), contextOf({ paper, cuts: 'marks' }));
    const marks = sheet!.shapes.filter((shape) => shape.kind === 'line');
    expect(marks).toHaveLength(4 * 8);
    // No mark lies on a card.
    for (const mark of marks)
      for (const piece of sheet!.pieces!)
        expect(overlap(boxOf(mark, evenly), cell(piece))).toBeLessThanOrEqual(0);
    // Marks of neighbours do not meet.
    expect(new Set(marks.map((mark) => JSON.stringify(boxOf(mark, evenly)))).size).toBe(marks.length);
  });

  it('too large for gutters keep shared lines', () => {
    expect(impose({ w: 189.9, h: 190 }, paper, 'marks').cuts).toBe('shared');
  });
});

describe('sheets of cards', () => {
  it('have each card once, and spares only where room is left and wanted', () => {
    const plain = cardSheets(set, named(31), contextOf());
    const filled = cardSheets(set, named(31), contextOf({ fill: true }));
    const names = (sheets: typeof plain, spare: boolean) =>
      sheets.flatMap((sheet) =>
        sheet.pieces!.filter((piece) => Boolean(piece.spare) === spare).map(({ name }) => name),
      );
    const once = named(31).map(({ name }) => name);
    expect([names(plain, false), names(plain, true)]).toEqual([once, []]);
    expect(names(filled, false)).toEqual(once);
    expect(names(filled, true)[0]).toBe('0');
    expect(filled.at(-1)!.pieces).toHaveLength(filled[0]!.pieces!.length);
    expect(filled.at(-1)!.title).toContain(`${names(filled, true).length} spare`);
    // Every spare has its grey corner.
    const corners = filled.at(-1)!.shapes.filter((shape) => shape.kind === 'path');
    expect(corners).toHaveLength(names(filled, true).length);
  });

  it('have their backs behind them, mirrored', () => {
    const cards: Card[] = ['a', 'b', 'c'].map((name, i) => ({
      name,
      draw: ({ x, y }) => [{ kind: 'circle', x, y, radius: i + 1 }],
      back: ({ x, y, w }) => [{ kind: 'circle', x: x + w, y, radius: i + 1 }],
    }));
    const [front, back] = cardSheets(set, cards, contextOf());
    expect([front!.back, back!.back, back!.pieces]).toEqual([undefined, true, undefined]);
    const circles = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'circle');
    circles(front!.shapes).forEach((one, i) => {
      const other = circles(back!.shapes)[i]!;
      expect(one.x + other.x).toBeCloseTo(PAPERS.letter.widthMm, 9);
      expect([other.y, other.radius]).toEqual([one.y, one.radius]);
    });
  });

  it('have front and back the same way up, also when they lie on their side', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 180 }),
        fc.integer({ min: 20, max: 180 }),
        fc.constantFrom(...PAPER_NAMES),
        fc.constantFrom<Cuts>('shared', 'marks'),
        (w, h, paper, cuts) => {
          // A dot in the upper left corner as one looks at the card, on both of its sides.
          const corner = ({ x, y }: { x: number; y: number }): Shape[] => [
            { kind: 'circle', x: x + 4, y: y + 7, radius: 1 },
          ];
          const card: Card = { name: 'a', draw: corner, back: corner };
          const size = { ...set, size: { w, h } };
          const [front, back] = cardSheets(size, [card], contextOf({ paper, cuts }));
          const dot = (shapes: readonly Shape[]) => shapes.find((shape) => shape.kind === 'circle')!;
          const [seen, behind] = [dot(front!.shapes), dot(back!.shapes)];
          // Through the paper, which is turned over on its long edge.
          const through = { x: PAPERS[paper].widthMm - behind.x, y: behind.y };
          const [cell] = front!.pieces!;
          const turned = impose({ w, h }, paper, cuts).cells[0]!.turned;
          // Seven from the upper edge on both sides; four from the left edge, which is the right one from behind.
          const upper = turned
            ? [cell!.x + cell!.w - seen.x, cell!.x + cell!.w - through.x]
            : [seen.y - cell!.y, through.y - cell!.y];
          const side = turned
            ? [seen.y - cell!.y, cell!.y + cell!.h - through.y]
            : [seen.x - cell!.x, cell!.x + cell!.w - through.x];
          for (const [found, wanted] of [
            [upper[0], 7],
            [upper[1], 7],
            [side[0], 4],
            [side[1], 4],
          ] as const)
            expect(found).toBeCloseTo(wanted, 6);
        },
      ),
    );
  });

  it('of one lost piece are filled with it, and of another set there are none', () => {
    const lost = cardSheets(set, named(5), contextOf({ lost: { material: 'slip', name: '3' } }));
    expect(lost).toHaveLength(1);
    expect(new Set(lost[0]!.pieces!.map(({ name }) => name))).toEqual(new Set(['3']));
    expect(lost[0]!.pieces!.length).toBeGreaterThan(10);
    expect(cardSheets(set, named(5), contextOf({ lost: { material: 'board', name: '3' } }))).toEqual([]);
    expect(cardSheets(set, named(5), contextOf({ lost: { material: 'slip', name: '9' } }))).toEqual([]);
    const mat = { material: 'mat', name: 'mat', title: 'Mat', use: 'part' as const };
    expect(wholeSheet(mat, [], contextOf({ lost: { material: 'mat', name: 'mat' } }))).toHaveLength(1);
    expect(wholeSheet(mat, [], contextOf({ lost: { material: 'slip', name: 'mat' } }))).toEqual([]);
  });

  it('larger than the paper are refused with what to change', () => {
    const large = { ...set, size: { w: 300, h: 300 } };
    expect(() => cardSheets(large, named(1), contextOf())).toThrow(CannotPrint);
    expect(() => cardSheets(large, named(1), contextOf())).toThrow(
      'Slips: 300 × 300 mm is larger than what can be printed on Letter paper. Make it smaller.',
    );
  });

  it('shapes with an outline of their own take the whole sheet when more fit so', () => {
    const outline = { ...set, size: { w: 60, h: 60 }, outline: { gapMm: 5 } };
    const [sheet] = cardSheets(outline, named(12), contextOf());
    expect(sheet!.pieces).toHaveLength(12);
    expect(sheet!.pieces!.every((piece) => piece.outline)).toBe(true);
    expect(saidOn(sheet!)).toEqual([]);
    expect(sheet!.shapes.filter((shape) => shape.kind === 'rect')).toEqual([]);
  });
});

describe('a page', () => {
  it('without printable area is refused', () => {
    expect(printable(PAPERS.a4)).toEqual({ x: 10, y: 10, w: 190, h: 277 });
    expect(() => printable({ widthMm: 60, heightMm: 100 }, 30)).toThrow(
      'Nothing can be printed on 60 × 100 mm with a margin of 30 mm: make the margin smaller.',
    );
  });
});

describe('dots', () => {
  it('lie in fives, with a gap after ten', () => {
    const rows = (n: number) => {
      const ys = dots(n, 0, 0, 50).map((shape) => (shape as { y: number }).y);
      return [...new Set(ys)].map((y) => ys.filter((one) => one === y).length);
    };
    expect([rows(0), rows(4), rows(10), rows(13)]).toEqual([[], [4], [5, 5], [5, 5, 3]]);
    const ys = [...new Set(dots(20, 0, 0, 50).map((shape) => (shape as { y: number }).y))];
    expect(ys[2]! - ys[1]!).toBeGreaterThan(ys[1]! - ys[0]!);
  });

  it('stay in their place and do not touch', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 10, max: 80 }),
        fc.integer({ min: 10, max: 80 }),
        (n, w, h) => {
          const all = dotsIn(n, { x: 5, y: 7, w, h }) as Extract<Shape, { kind: 'circle' }>[];
          expect(all).toHaveLength(n);
          for (const { x, y, radius } of all) {
            expect(x - radius).toBeGreaterThanOrEqual(5 - 1e-9);
            expect(x + radius).toBeLessThanOrEqual(5 + w + 1e-9);
            expect(y - radius).toBeGreaterThanOrEqual(7 - 1e-9);
            expect(y + radius).toBeLessThanOrEqual(7 + h + 1e-9);
          }
          all.forEach((a, i) =>
            all
              .slice(0, i)
              .forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(2 * a.radius)),
          );
          expect(dotsHeight(n, w)).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('fill a frame from the left, the upper row first, the second colour last', () => {
    const shapes = frame(7, 10, { x: 0, y: 0, w: 100, h: 40 }, 2);
    expect(shapes.filter((shape) => shape.kind === 'rect')).toHaveLength(10);
    const circles = shapes.filter((shape) => shape.kind === 'circle');
    expect(circles.map(({ fill }) => Boolean(fill))).toEqual([true, true, true, true, true, false, false]);
    expect(circles.slice(0, 5).every(({ y }) => y === circles[0]!.y)).toBe(true);
    expect(frame(0, 5, { x: 0, y: 0, w: 50, h: 10 })).toHaveLength(5);
  });
});
