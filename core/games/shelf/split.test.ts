import { describe, expect, it } from 'vitest';
import { PAPERS } from '~/core/paper/sheet';
import { fitting } from '~/core/paper/packing';
import { figuresOf, noticesOf, reckoningOf, refusals } from '~/core/games/kit/testing';

const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

describe('Peg Slide', () => {
  it.each([3, 5, 10])('goes through every way of %i once', (whole) => {
    expect(figuresOf('peg-slide', { whole: [whole] })).toEqual({ ways: whole + 1, pegs: whole });
    expect(figuresOf('peg-slide', { whole, order: 'unordered' } as never).ways).toBe(
      Math.floor(whole / 2) + 1,
    );
  });
  it('adds up the pegs of several cards', () => {
    expect(figuresOf('peg-slide', { whole: [6, 7, 8] })).toEqual({ ways: 7 + 8 + 9, pegs: 21 });
  });
  it('refuses a whole it has no card for', () => {
    expect(refusals('peg-slide', { whole: [11] })).toEqual({ whole: 'Wholes must be from 3 to 10.' });
    expect(refusals('peg-slide', { whole: [5, 5] })).toEqual({
      whole: 'Wholes must not name the same twice.',
    });
  });
});

describe('Number Nests', () => {
  /** Counts pairs one by one. */
  const count = (nest: number, ordered: boolean, least: number) =>
    range(least, nest).flatMap((a) => range(least, nest).filter((b) => a + b === nest && (ordered || a <= b)))
      .length;
  it.each([
    [4, 6, 'ordered', true],
    [5, 7, 'unordered', true],
    [7, 10, 'ordered', false],
  ] as const)('counts the cards of nests %i to %i by hand', (from, to, order, zero) => {
    const each = range(from, to).map((nest) => count(nest, order === 'ordered', zero ? 0 : 1));
    expect(figuresOf('number-nests', { from, to, order, zero, mixIn: 0 })).toEqual({
      cards: each.reduce((a, b) => a + b),
      'cardsPerNest.min': Math.min(...each),
      'cardsPerNest.max': Math.max(...each),
    });
  });
  it('mixes strays in that belong to no nest', () => {
    const { practice, figures } = reckoningOf('number-nests', { from: 5, to: 6, mixIn: 4 });
    const strays = practice.filter(({ fact }) => fact.answer < 5 || fact.answer > 6);
    expect(strays).toHaveLength(4);
    expect(figures.cards).toBe(practice.length);
  });
  it('refuses nests that run backwards', () => {
    expect(refusals('number-nests', { from: 8, to: 5 })).toEqual({
      to: 'Largest nest must be at least the smallest, 8.',
    });
  });
});

describe('Leaf Twins', () => {
  it('packs shapes as a search over every grid does', () => {
    for (const paper of ['letter', 'a4'] as const)
      for (const [w, h] of [
        [60, 60],
        [85, 40],
        [30, 150],
        [190, 20],
      ] as const) {
        let best = 0;
        for (const [a, b] of [
          [w, h],
          [h, w],
        ] as const)
          for (let columns = 1; columns <= 12; columns++)
            for (let rows = 1; rows <= 16; rows++)
              if (
                columns * a + (columns - 1) * 5 <= PAPERS[paper].widthMm - 20 &&
                rows * b + (rows - 1) * 5 <= PAPERS[paper].heightMm - 20
              )
                best = Math.max(best, columns * rows);
        expect(fitting({ w, h }, PAPERS[paper], 5).count).toBe(best);
      }
  });
  it('needs sheets and pouches for shapes and board, and counts the triangles one by one', () => {
    let families = 0;
    for (let a = 1; a <= 10; a++) for (let b = a; a + b <= 10; b++) families++;
    expect(figuresOf('leaf-twins', { count: 10, shapeMm: { w: 85, h: 85 } })).toEqual({
      perSheet: 4,
      sheets: 3,
      pouches: 6,
      boardRows: 5,
      factFamilies: families,
    });
  });
  it('refuses a shape that is larger than the paper', () => {
    expect(refusals('leaf-twins', { shapeMm: { w: 200, h: 200 } }).shapeMm).toMatch(
      /does not fit Letter paper\. Make it smaller\./,
    );
  });
});

describe('Bond Triangles', () => {
  it('has a card for every pair of parts, and four sentences unless the parts are the same', () => {
    expect(figuresOf('bond-triangles', { wholes: [10] })).toEqual({ cards: 5, sentences: 18 });
    expect(figuresOf('bond-triangles', { wholes: [10], zero: true })).toEqual({ cards: 6, sentences: 22 });
    const wholes = [6, 7, 8];
    const sentences = new Set<string>();
    for (const whole of wholes)
      for (let a = 1; a < whole; a++) {
        sentences.add(`${a}+${whole - a}`);
        sentences.add(`${whole}-${a}`);
      }
    expect(figuresOf('bond-triangles', { wholes }).sentences).toBe(sentences.size);
  });
  it('says when there are too many for one sitting', () => {
    expect(noticesOf('bond-triangles', { wholes: range(3, 20) })).toContain('many-cards');
  });
});
