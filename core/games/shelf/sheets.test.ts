import { describe, expect, it } from 'vitest';
import { materialOf } from '~/core/materials/catalogue';
import { contextOf, boxOf, evenly, overlap, PAPER_NAMES, saidOn } from '~/core/paper/testing';
import {
  GREY,
  MARGIN_MM,
  PAPERS,
  type Piece,
  type Shape,
  type Sheet,
  type SheetContext,
} from '~/core/paper/sheet';
import { sketchOf } from '~/core/pack/instructions';
import { gameOf, SHELF } from '.';
import { boardsOf } from '~/core/games/blanket-board/rules';
import { grid, places } from '~/core/games/pebble-court/rules';
import { wavesOf } from '~/core/games/puzzle-halves/sheets';
import { assume, type Params } from '~/core/games/kit/types';

const ALL = SHELF.flatMap((game) =>
  game.presets.map((preset) => ({ name: `${game.id}, ${preset.name}`, game, params: preset.params, preset })),
);
const printed = (id: string, change: Params = {}, context: Partial<SheetContext> = {}): Sheet[] => {
  const game = gameOf(id);
  return game.sheets({ ...game.presets[0]!.params, ...change }, contextOf(context));
};
const needed = (pieces: readonly Piece[]) => pieces.filter((piece) => !piece.spare);
const box = ({ x, y, w, h }: Piece) => ({ left: x, top: y, right: x + w, bottom: y + h });
const piecesOn = (sheets: readonly Sheet[]) => sheets.flatMap((sheet) => sheet.pieces ?? []);
const isWhole = (piece: Piece, sheet: Sheet) => piece.w >= sheet.widthMm && piece.h >= sheet.heightMm;

describe.each(ALL)('the printed parts of $name', ({ game, params, preset }) => {
  it('are there exactly as often as the reckoning says, on both papers, with spares or without', () => {
    const parts = game
      .reckon(params, assume(preset.ageBand))
      .parts.filter(({ material }) => materialOf(material).kind === 'printed');
    const wanted = Object.fromEntries(parts.map(({ material, enough }) => [material, enough]));
    for (const paper of PAPER_NAMES)
      for (const fill of [true, false])
        for (const cuts of ['shared', 'marks'] as const) {
          const counted: Record<string, number> = {};
          for (const { material, name } of needed(
            piecesOn(game.sheets(params, contextOf({ paper, fill, cuts }))),
          ))
            // A board or a record of several sheets of paper is one.
            if (!name.includes(', sheet ')) counted[material] = (counted[material] ?? 0) + 1;
          expect(counted).toEqual(wanted);
        }
  });

  it('do not overlap and lie inside what a printer reaches', () => {
    for (const paper of PAPER_NAMES)
      for (const sheet of game.sheets(params, contextOf({ paper, fill: true }))) {
        const pieces = (sheet.pieces ?? []).filter((piece) => !isWhole(piece, sheet));
        pieces.forEach((piece, i) => {
          const here = box(piece);
          expect(here.left).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
          expect(here.top).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
          expect(here.right).toBeLessThanOrEqual(PAPERS[paper].widthMm - MARGIN_MM + 0.01);
          expect(here.bottom).toBeLessThanOrEqual(PAPERS[paper].heightMm - MARGIN_MM + 0.01);
          for (const other of pieces.slice(0, i)) expect(overlap(here, box(other))).toBeLessThan(0.01);
        });
      }
  });

  it('are drawn inside their cuts', () => {
    for (const paper of PAPER_NAMES)
      for (const cuts of ['shared', 'marks'] as const)
        for (const sheet of game.sheets(params, contextOf({ paper, cuts, fill: true }))) {
          const pieces = (sheet.pieces ?? []).filter((piece) => !isWhole(piece, sheet));
          if (pieces.length === 0) continue;
          for (const shape of sheet.shapes) {
            // The heading, and the marks between cards.
            if (shape.kind === 'text' || (shape.kind === 'line' && shape.stroke === GREY)) continue;
            const { left, top, right, bottom } = boxOf(shape, evenly);
            const home = pieces.filter(({ x, y, w, h, outline }) => {
              // Points that draw a curve may lie beside it, and waves of a puzzle reach into their neighbour.
              const over = outline ? Math.max(8, 0.06 * Math.max(w, h)) : 0.3;
              return left >= x - over && right <= x + w + over && top >= y - over && bottom <= y + h + over;
            });
            const whole = game.id === 'puzzle-halves' && shape.kind === 'rect';
            if (!whole) expect([sheet.title, shape, home.length > 0]).toEqual([sheet.title, shape, true]);
          }
        }
  });

  it('are the same for the same seed, and can each be printed again alone', () => {
    const sheets = game.sheets(params, contextOf());
    expect(game.sheets(params, contextOf())).toEqual(sheets);
    const [piece] = piecesOn(sheets);
    if (!piece) return;
    const lost = { material: piece.material, name: piece.name };
    const again = game.sheets(params, contextOf({ lost }));
    expect(again.length).toBeGreaterThan(0);
    expect(new Set(piecesOn(again).map(({ material, name }) => `${material} ${name}`))).toEqual(
      new Set([`${lost.material} ${lost.name}`]),
    );
  });

  it('draw their steps with the numbers that are said', () => {
    for (const step of game.steps(params)) {
      const shapes = sketchOf(game, step, params);
      for (const shape of shapes ?? []) {
        const { left, top, right, bottom } = boxOf(shape, evenly);
        for (const edge of [left, top, right, bottom]) expect(Number.isFinite(edge)).toBe(true);
        expect(left).toBeGreaterThanOrEqual(-2);
        expect(top).toBeGreaterThanOrEqual(-2);
        expect(right).toBeLessThanOrEqual(102);
        expect(bottom).toBeLessThanOrEqual(62);
      }
      expect(JSON.stringify(shapes ?? [])).not.toMatch(/NaN|undefined|null/);
    }
  });
});

describe('step drawings', () => {
  it('belong to steps that there are, two at least for every game', () => {
    for (const game of SHELF) {
      const ids = new Set(game.presets.flatMap(({ params }) => game.steps(params).map(({ id }) => id)));
      const drawn = Object.keys(game.sketches);
      expect([game.id, drawn.length >= 2]).toEqual([game.id, true]);
      // A drawing of a step that no preset has must at least have words.
      for (const id of drawn)
        expect([game.id, id, ids.has(id) || id in game.words.en]).toEqual([game.id, id, true]);
    }
  });
  it('show as many as the step says', () => {
    const game = gameOf('two-tone-spill');
    const { params } = game.presets[1]!;
    const step = game.steps(params).find(({ id }) => id === 'turn.say')!;
    const dots = sketchOf(game, step, params)!.filter((shape) => shape.kind === 'circle');
    expect(dots).toHaveLength(Number(step.args.counters));
    const grid = gameOf('blanket-board');
    const boards = grid.steps(grid.presets[2]!.params).find(({ id }) => id === 'setUp.boards')!;
    const cells = sketchOf(grid, boards, grid.presets[2]!.params)!.filter((shape) => shape.kind === 'rect');
    expect(cells).toHaveLength(16);
  });
});

describe('what is on the parts', () => {
  const circles = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'circle');

  it('every card of the colour deck once for each copy', () => {
    const names = needed(
      piecesOn(printed('match-either', { colours: 3, numbers: { from: 2, to: 4 }, copies: 2 })),
    ).map(({ name }) => name);
    expect(names).toHaveLength(18);
    for (const suit of ['leaf', 'sun', 'wave'])
      for (const n of [2, 3, 4]) expect(names.filter((name) => name === `${suit} ${n}`)).toHaveLength(2);
  });

  it('boards that all differ, and a sentence when there are not so many', () => {
    const { params } = gameOf('blanket-board').presets[1]!;
    const boards = boardsOf(params as never).map((board) => [...board].sort().join());
    expect(new Set(boards).size).toBe(boards.length);
    expect(() => printed('blanket-board', { from: 1, to: 9, cells: 9, boards: 2 })).toThrow(
      'Blanket the Board: 2 boards are asked for, and there is 1 that differ with 9 of 9 numbers. Use fewer boards, or more numbers.',
    );
  });

  it('slips with a numeral and as many dots', () => {
    const [, slips] = printed('blanket-board', { from: 0, to: 10, cells: 8, boards: 1 });
    expect(circles(slips!.shapes)).toHaveLength(55);
    expect(saidOn(slips!)).toEqual(expect.arrayContaining(['0', '7', '10']));
  });

  it('sum cards that have an answer on the mat', () => {
    const sheets = printed('harvest-mat', { source: 'cards', cells: [3, 4, 5, 6], cardsPerSum: 2 });
    const sums = needed(piecesOn(sheets))
      .filter(({ material }) => material === 'sum-card')
      .map(({ name }) => name.split(' + ').map(Number));
    expect(new Set(sums.map(([a, b]) => a! + b!))).toEqual(new Set([3, 4, 5, 6]));
    const mat = sheets.find((sheet) => sheet.pieces?.some(({ material }) => material === 'mat'))!;
    expect(saidOn(mat).slice(1)).toEqual(['3', '4', '5', '6']);
  });

  it('frames with as many dots as their name', () => {
    for (const to of [5, 10]) {
      const sheets = printed('stack-and-find', { to, direction: 'numeralToFrame' });
      const frames = sheets.filter((sheet) =>
        sheet.pieces?.some(({ material }) => material === 'frame-card'),
      );
      const all = frames.flatMap((sheet) => circles(sheet.shapes));
      expect(all).toHaveLength((to * (to + 1)) / 2);
    }
  });

  it('a spinner with equal sectors, every number once', () => {
    const [spinner] = printed('stack-and-find', { to: 10, source: 'spinner', direction: 'numeralToFrame' });
    const [rim] = circles(spinner!.shapes) as [Extract<Shape, { kind: 'circle' }>];
    const spokes = spinner!.shapes
      .filter((shape) => shape.kind === 'line' && Math.abs(shape.x1 - rim.x) < 1e-9)
      .map((shape) => shape as Extract<Shape, { kind: 'line' }>);
    const angles = spokes.map(({ x2, y2 }) => Math.atan2(y2 - rim.y, x2 - rim.x)).sort((a, b) => a - b);
    expect(spokes).toHaveLength(11);
    for (let i = 1; i < angles.length; i++)
      expect(angles[i]! - angles[i - 1]!).toBeCloseTo((2 * Math.PI) / 11, 6);
    expect(saidOn(spinner!).filter((text) => /^\d+$/.test(text))).toEqual(
      Array.from({ length: 11 }, (_, i) => String(i)),
    );
  });

  it('every way on the back of the record, each with a box', () => {
    const [front, back] = printed('write-the-ways', { target: 7, players: 1 });
    const ways = saidOn(back!);
    expect(ways).toHaveLength(8);
    for (const way of ways) {
      const [, a, b] = /^(\d+) \+ (\d+) = 7$/.exec(way)!;
      expect(Number(a) + Number(b)).toBe(7);
    }
    expect(back!.shapes.filter((shape) => shape.kind === 'rect')).toHaveLength(8);
    expect([front!.back, back!.back]).toEqual([undefined, true]);
  });

  it('arrangements whose dots never touch, never repeat, and are clearly two groups', () => {
    for (const { params } of gameOf('peek-and-say').presets) {
      const sheets = printed('peek-and-say', params).filter((sheet) => sheet.use === 'part');
      const seen = new Set<string>();
      for (const sheet of sheets.filter((one) => !one.back))
        for (const piece of needed(sheet.pieces!)) {
          const here = circles(sheet.shapes).filter(
            ({ x, y }) => x > piece.x && x < piece.x + piece.w && y > piece.y && y < piece.y + piece.h,
          );
          const total = piece.name
            .split(',')[0]!
            .split(' and ')
            .reduce((sum, n) => sum + Number(n), 0);
          expect(here).toHaveLength(total);
          here.forEach((a, i) =>
            here
              .slice(0, i)
              .forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(a.radius + b.radius)),
          );
          const stroked = here.filter((one) => one.stroke);
          const filled = here.filter((one) => !one.stroke);
          if (stroked.length) {
            const apart = Math.min(...stroked.map(({ x }) => x)) - Math.max(...filled.map(({ x }) => x));
            expect(apart).toBeGreaterThan(2 * here[0]!.radius);
          }
          const form = here
            .map(({ x, y }) => `${(x - piece.x).toFixed(3)} ${(y - piece.y).toFixed(3)}`)
            .join();
          // One line and one dice of one dot look alike: the same name must not come twice.
          expect(seen.has(`${piece.name} ${form}`)).toBe(false);
          seen.add(`${piece.name} ${form}`);
        }
      // The number on the back is what a card shows.
      const [front, back] = sheets;
      const totals = front!.pieces!.map(({ name }) =>
        name
          .split(',')[0]!
          .split(' and ')
          .reduce((sum, n) => sum + Number(n), 0),
      );
      expect(saidOn(back!).slice(1).map(Number)).toEqual(totals);
    }
  });

  it('puzzles of which no two waves fit', () => {
    for (const seed of [1, 2, 3]) {
      const waves = wavesOf({ count: 20 }, seed).flat();
      expect(waves).toHaveLength(40);
      waves.forEach((a, i) =>
        waves
          .slice(0, i)
          .forEach((b) =>
            expect(Math.max(...a.map((bend, k) => Math.abs(bend - b[k]!)))).toBeGreaterThanOrEqual(4.5),
          ),
      );
    }
    const names = needed(piecesOn(printed('puzzle-halves', { count: 7 }))).map(({ name }) => name);
    expect(names.filter((name) => name === 'puzzle 3')).toHaveLength(3);
  });

  it('a path whose stones follow one another, every number once', () => {
    const path = printed('stepping-stones', { place: 'table', length: 20, stoneMm: 40, gapMm: 0 });
    const numbers = path.flatMap((sheet) => saidOn(sheet).filter((text) => /^\d+$/.test(text)));
    expect(numbers).toEqual(Array.from({ length: 20 }, (_, i) => String(i + 1)));
    const links = path.flatMap((sheet) =>
      sheet.shapes.filter((shape) => shape.kind === 'line' && shape.strokeMm === 3),
    ) as Extract<Shape, { kind: 'line' }>[];
    for (const { x1, y1, x2, y2 } of links) expect(Math.hypot(x2 - x1, y2 - y1)).toBeCloseTo(42, 6);
    const more = printed('stepping-stones', { place: 'table', length: 20, stoneMm: 90, gapMm: 5 });
    expect(more.length).toBeGreaterThan(1);
    expect(saidOn(more[0]!).join()).toContain('Tape the strips together');
    expect(() => printed('stepping-stones', { place: 'table', stoneMm: 300 })).toThrow(
      /a stone of 300 mm is wider than what can be printed on Letter paper\. Make it smaller/,
    );
  });

  it('courts whose cells are neighbours and lie apart', () => {
    for (const layout of ['straight', 'branching', 'spiral'] as const)
      for (const cells of [5, 10, 16, 19]) {
        const court = places({ cells, layout });
        const { across, down } = grid({ cells, layout });
        expect(new Set(court.map(({ column, row }) => `${column} ${row}`)).size).toBe(cells);
        court.forEach(({ column, row }, i) => {
          expect(column).toBeGreaterThanOrEqual(0);
          expect(column).toBeLessThanOrEqual(across - 1);
          expect(row).toBeGreaterThanOrEqual(0);
          expect(row).toBeLessThanOrEqual(down - 1);
          const before = court[i - 1];
          if (before && layout !== 'branching')
            expect(Math.abs(before.column - column) + Math.abs(before.row - row)).toBe(1);
        });
      }
  });

  it('plans with their measures in both languages', () => {
    const [orbits] = printed('chalk-orbits');
    const said = saidOn(orbits!).join(' ');
    expect(said).toContain('80 cm');
    expect(said).toMatch(/Radius on the string: 40 cm/);
    expect(said).toMatch(/Radio en la cuerda: 40 cm/);
    expect(said).toContain('Throwing line');
    const round = circles(orbits!.shapes);
    expect(round).toHaveLength(6);
    // To scale: the gap is a quarter of a circle.
    const [a, b] = round as [(typeof round)[0], (typeof round)[0]];
    expect((b.x - a.x - 2 * a.radius) / (2 * a.radius)).toBeCloseTo(200 / 800, 6);
    const [court] = printed('pebble-court', { place: 'paper' });
    expect(saidOn(court!).join(' ')).not.toContain('Throwing line');
    const [hop] = printed('answer-hop');
    expect(saidOn(hop!)).toEqual(expect.arrayContaining(['0', '9', '+', '=']));
  });

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

  it('score strips that are the same on both sides', () => {
    const [front, back] = printed('pin-notes', { pins: 6, rolls: 4, cards: 2 });
    const sides = [front!, back!].map((sheet) => saidOn(sheet).filter((text) => text === '6'));
    expect(sides.map((side) => side.length)).toEqual([8, 8]);
  });
});
