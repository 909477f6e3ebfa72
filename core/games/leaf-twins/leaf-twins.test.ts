import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, printed, refusals } from '~/core/games/kit/testing';
import { impose } from '~/core/paper/cards';
import { packed } from '~/core/paper/packing';
import { PAPERS, type Sheet } from '~/core/paper/sheet';
import { circles, saidOn } from '~/core/paper/testing';
import { leafTwins } from '.';

holdsTheShelfLaws(leafTwins, { gives: [['perSheet sheets pouches boardRows factFamilies']] });

describe('Leaf Twins', () => {
  it('packs shapes as a search over every grid does, or better with both ways round on one sheet', () => {
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
        const { cells } = impose({ w, h }, paper, 'shared', 5);
        expect(cells.length).toBeGreaterThanOrEqual(best);
        if (w === h || new Set(cells.map(({ turned }) => turned)).size === 1)
          expect(cells).toHaveLength(best);
      }
    // Three upright under each other, and one on its side beside them; three fit one way round.
    expect(packed({ w: 100, h: 40 }, { w: 145, h: 140 }, 5)).toMatchObject({
      count: 4,
      widthMm: 145,
      heightMm: 130,
    });
  });

  it('lets no shape lie on another or beyond the room, and never packs fewer than one way round', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 2, max: 20 }),
        (w, h, gap) => {
          const room = { w: 195.9, h: 259.4 };
          const { blocks, count, widthMm, heightMm } = packed({ w, h }, room, gap);
          const along = (length: number, size: number) => Math.floor((length + gap) / (size + gap));
          expect(count).toBeGreaterThanOrEqual(
            Math.max(along(room.w, w) * along(room.h, h), along(room.w, h) * along(room.h, w)),
          );
          expect(widthMm).toBeLessThanOrEqual(room.w + 1e-9);
          expect(heightMm).toBeLessThanOrEqual(room.h + 1e-9);
          const ends = blocks.map(({ x, y, columns, rows, turned }) => ({
            x,
            y,
            right: x + columns * ((turned ? h : w) + gap),
            bottom: y + rows * ((turned ? w : h) + gap),
          }));
          const [one, other] = ends;
          // Both blocks, with their gaps, lie beside or under each other.
          if (one && other) expect(one.right <= other.x + 1e-9 || one.bottom <= other.y + 1e-9).toBe(true);
        },
      ),
    );
  });
  it('needs sheets and pouches for shapes and board, and counts the triangles one by one', () => {
    let families = 0;
    for (let a = 1; a <= 10; a++) for (let b = a; a + b <= 10; b++) families++;
    expect(figuresOf('leaf-twins', { count: 10, shapeMm: { w: 85, h: 85 } })).toEqual({
      perSheet: 4,
      sheets: 3,
      pouches: 6,
      boardRows: 2,
      factFamilies: families,
    });
  });
  it('refuses a shape that is larger than the paper', () => {
    expect(refusals('leaf-twins', { shapeMm: { w: 200, h: 200 } }).shapeMm).toMatch(
      /does not fit Letter paper\. Make it smaller\./,
    );
  });
});

describe('the sheets of Leaf Twins', () => {
  it('twins with the same outline, a numeral on one and dots on the other', () => {
    for (const shape of ['leaf', 'fish', 'star', 'boat']) {
      const sheets = printed('leaf-twins', { shape, count: 6 });
      const outlines = (sheet: Sheet) =>
        sheet.shapes.flatMap((one) => (one.kind === 'path' && !one.says && !one.round ? [one.d] : []));
      const [cut, board, back] = sheets as [Sheet, Sheet, Sheet];
      expect(outlines(board)).toEqual(outlines(cut));
      expect(circles(board.shapes)).toHaveLength(21);
      expect(saidOn(cut).filter((text) => /^\d$/.test(text))).toEqual(['1', '2', '3', '4', '5', '6']);
      expect(back.back).toBe(true);
    }
  });
});

describe('other twins', () => {
  it('stand on the shapes and on the board in the order of the board, each once', () => {
    const letters = ['M', 'A', 'W', 'X'];
    const [cut, board, ...more] = printed('leaf-twins', { twins: 'letters', letters });
    expect(saidOn(cut!).filter((text) => text.length === 1)).toEqual(['A', 'M', 'W', 'X']);
    expect(saidOn(board!).filter((text) => text.length === 1)).toEqual(['a', 'm', 'w', 'x']);
    expect(more).toEqual([]);
    const own = [30, 7, 100];
    const numerals = printed('leaf-twins', { twins: 'numerals', which: 'own', own });
    for (const sheet of numerals.slice(0, 2))
      expect(saidOn(sheet).filter((text) => /^\d+$/.test(text))).toEqual(['7', '30', '100']);
    const dotted = printed('leaf-twins', { which: 'own', own: [3, 0, 8] });
    expect(circles(dotted[1]!.shapes)).toHaveLength(11);
  });

  it('refuses what cannot be told apart or counted', () => {
    expect(refusals('leaf-twins', { twins: 'letters', letters: ['Q'] }).letters).toMatch(/two or more/);
    expect(refusals('leaf-twins', { which: 'own', own: [4, 21] }).own).toMatch(/21 dots/);
    expect(figuresOf('leaf-twins', { twins: 'letters' })).not.toHaveProperty('factFamilies');
  });
});

describe('a play of Leaf Twins', () => {
  it('finds every twin once, in a mixed order', () => {
    const all = plays(leafTwins, { count: 12, players: 2 }, 20).map(({ turns }) => {
      expect(inTurn(turns, 2)).toBe(true);
      return turns.map((turn) => numbersIn(turn, 'number')[0]!);
    });
    for (const numbers of all)
      expect([...numbers].sort((a, b) => a - b)).toEqual(Array.from({ length: 12 }, (_, i) => i + 1));
    expect(new Set(all.map(String)).size).toBe(20);
  });

  it('asks to see small numbers, and to count larger ones', () => {
    for (const { turns } of plays(leafTwins, { count: 9 }, 3))
      for (const turn of turns)
        expect(turn.coach!.id).toBe(numbersIn(turn, 'number')[0]! <= 4 ? 'play.see' : 'play.count');
  });

  it('meets each number as numeral and as dots', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [number] = numbersIn(turn, 'number') as [number];
      return [fact('quantity', number), fact('count', number)];
    };
    expect(
      strangeMeetings(leafTwins, { count: 20, shapeMm: { w: 40, h: 40 } }, ['quantity', 'count'], met, 2),
    ).toEqual([]);
  });
});
