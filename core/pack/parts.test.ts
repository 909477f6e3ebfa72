import { linesOf, type Source } from '~/core/words/reading';
import { SHIPPED_LANGUAGES } from '~/core/words/languages';
import { readingOf } from '~/core/words/readings';
import { describe, expect, it } from 'vitest';
import { PRINT_WORDS } from '~/core/words/print';
import { calibrationSheets, RULER_MM } from '~/core/paper/calibration';
import { OUTLINES, flock, heartOf, picture, type PictureName } from '~/core/paper/pictures';
import { inGrey, mapPath, placed, quarterTurn } from '~/core/paper/place';
import { answerBox, recordSheets, sentenceToFill, waysToTick } from '~/core/paper/record';
import { MARGIN_MM, PAPERS, type Shape } from '~/core/paper/sheet';
import { spinnerShapes } from '~/core/paper/spinner';
import { hasStandIn, pips, standInSheets, SUIT_SHAPES, suitFace } from '~/core/paper/stand-ins';
import { bodyOf, within } from '~/core/games/kit/parts';
import { boxOf, contextOf, evenly, overlap, PAPER_NAMES, saidOn, readings } from '~/core/paper/testing';

const circles = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'circle');
const rects = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'rect');

describe('shapes moved and scaled', () => {
  const all: Shape[] = [
    { kind: 'circle', x: 10, y: 20, radius: 2, stroke: '#B4532F', strokeMm: 1, dashMm: [2, 1] },
    { kind: 'rect', x: 1, y: 2, width: 3, height: 4, radius: 1, fill: '#E3B64B' },
    { kind: 'line', x1: 0, y1: 0, x2: 5, y2: 5, stroke: '#000000', strokeMm: 0.5 },
    { kind: 'path', d: 'M0 0 C1 2 3 4 5 6 Z', fill: '#2F6B4A' },
    {
      kind: 'text',
      x: 1,
      y: 1,
      text: 'a',
      sizePt: 10,
      font: 'body',
      anchor: 'start',
      fill: '#22312A',
    },
    { kind: 'image', x: 1, y: 1, width: 2, height: 2, data: 'data:', says: 'x' },
  ];
  it('keep their form', () => {
    for (const shape of all) {
      const before = boxOf(shape, evenly);
      const after = boxOf(placed([shape], 100, 50, 2)[0]!, evenly);
      for (const [side, at] of [
        ['left', 100],
        ['right', 100],
        ['top', 50],
        ['bottom', 50],
      ] as const)
        expect(after[side]).toBeCloseTo(at + 2 * before[side], 6);
    }
    expect(placed([all[0]!], 0, 0, 2)[0]).toMatchObject({ strokeMm: 2, dashMm: [4, 2] });
    expect(mapPath('M1 2 L-3.5 4', (x, y) => [y, x])).toBe('M2 1 L4 -3.5');
  });
  it('turn by a quarter to the right, four times to where they were', () => {
    const drawing = all.filter((shape) => shape.kind !== 'text' && shape.kind !== 'image');
    // In a box 30 wide and 40 high: turned, it is 40 wide and 30 high.
    const once = quarterTurn(drawing, 40);
    drawing.forEach((shape, i) => {
      const [before, after] = [boxOf(shape, evenly), boxOf(once[i]!, evenly)];
      expect(after.left).toBeCloseTo(40 - before.bottom, 6);
      expect(after.right).toBeCloseTo(40 - before.top, 6);
      expect([after.top, after.bottom]).toEqual([before.left, before.right]);
    });
    expect(quarterTurn(quarterTurn(quarterTurn(once, 30), 40), 30)).toEqual(drawing);
    expect(() => quarterTurn(all, 40)).toThrow('shapes: text cannot be turned');
  });
  it('are grey of the same lightness', () => {
    for (const shape of inGrey(all))
      for (const paint of JSON.stringify(shape).match(/#[0-9a-f]{6}/gi) ?? [])
        expect(paint).toMatch(/^#(..)\1\1$/i);
    const greys = inGrey([
      { kind: 'circle', x: 0, y: 0, radius: 1, fill: '#FFFFFF' },
      { kind: 'circle', x: 0, y: 0, radius: 1, fill: '#000000' },
    ]).map((shape) => shape.kind === 'circle' && shape.fill);
    expect(greys).toEqual(['#ffffff', '#000000']);
  });
});

describe('our drawings', () => {
  it('fill their box, with room for a numeral inside', () => {
    for (const name of Object.keys(OUTLINES) as PictureName[]) {
      const box = boxOf(picture(name, { x: 10, y: 20, w: 60, h: 40 }, {}), evenly);
      // Curves lie within the points that draw them, so the box of the points is the larger one.
      expect(box.left).toBeGreaterThanOrEqual(10 - 60 * 0.05);
      expect(box.right).toBeLessThanOrEqual(70 + 60 * 0.05);
      expect(box.right - box.left).toBeGreaterThan(60 * 0.85);
      expect(box.bottom - box.top).toBeGreaterThan(40 * 0.7);
      const heart = heartOf(name, { x: 10, y: 20, w: 60, h: 40 });
      expect(heart.x).toBeGreaterThan(10);
      expect(heart.x + heart.w).toBeLessThan(70);
      expect(heart.y + heart.h).toBeLessThan(60);
    }
    expect(Object.keys(OUTLINES).filter((name) => name !== 'duck')).toHaveLength(12);
  });
  it('stand in fives, each the same size, none over another', () => {
    const sizes = [1, 4, 5, 9].map((n) => {
      const shapes = flock('fish', n, { x: 0, y: 0, w: 100, h: 40 });
      expect(shapes).toHaveLength(n);
      const boxes = shapes.map((shape) => boxOf(shape, evenly));
      boxes.forEach((a, i) => boxes.slice(0, i).forEach((b) => expect(overlap(a, b)).toBeLessThan(0.01)));
      return Math.round((boxes[0]!.right - boxes[0]!.left) * 10);
    });
    expect(new Set(sizes).size).toBe(1);
  });
  it('are larger where no card shows many, and still alike', () => {
    const widthOf = (n: number, most: number) => {
      const [first] = flock('apple', n, { x: 0, y: 0, w: 60, h: 40 }, { most });
      const { left, right } = boxOf(first!, evenly);
      return right - left;
    };
    expect(widthOf(1, 3)).toBeCloseTo(widthOf(3, 3), 6);
    expect(widthOf(1, 3)).toBeCloseTo((widthOf(1, 5) * 5) / 3, 6);
    // More than was said takes its room all the same.
    expect(widthOf(5, 3)).toBeCloseTo(widthOf(5, 5), 6);
  });
});

describe('paper that stands in', () => {
  const sheets = (material: string, quantity = 10) => standInSheets([{ material, quantity }], contextOf());
  it('are dice whose opposite faces make seven', () => {
    const [dice] = sheets('die');
    expect(dice!.pieces).toHaveLength(2);
    const faces = rects(dice!.shapes).slice(0, 6);
    const spots = faces.map(
      (face) =>
        circles(dice!.shapes).filter(
          ({ x, y }) => x > face.x && x < face.x + face.width && y > face.y && y < face.y + face.height,
        ).length,
    );
    expect([...spots].sort()).toEqual([1, 2, 3, 4, 5, 6]);
    // In the row of four, a face and the next but one are opposite; so are the two above and below.
    const row = faces
      .map((face, i) => ({ face, n: spots[i]! }))
      .filter(({ face }) => faces.filter((other) => other.y === face.y).length === 4)
      .sort((a, b) => a.face.x - b.face.x)
      .map(({ n }) => n);
    expect([row[0]! + row[2]!, row[1]! + row[3]!]).toEqual([7, 7]);
  });
  it('are ten rods of ten and twenty ones, the fifth told apart', () => {
    const rods = sheets('cube');
    const pieces = rods.flatMap((sheet) => sheet.pieces!);
    expect(pieces.filter(({ name }) => name === 'ten')).toHaveLength(10);
    expect(pieces.filter(({ name }) => name === 'one')).toHaveLength(20);
    const cells = rods.flatMap((sheet) => rects(sheet.shapes)).filter(({ fill }) => fill);
    expect(cells).toHaveLength(120);
    const [ten] = pieces;
    expect(Math.max(ten!.w, ten!.h) / Math.min(ten!.w, ten!.h)).toBeCloseTo(10, 9);
  });
  it('are all double-six tiles once, with their spots', () => {
    const tiles = sheets('tile').flatMap((sheet) => sheet.pieces!.map(({ name }) => name));
    expect(new Set(tiles).size).toBe(28);
    const spots = sheets('tile').flatMap((sheet) => circles(sheet.shapes)).length;
    expect(spots).toBe(168);
    expect(pips(0, 0, 0, 10)).toEqual([]);
  });
  it('are forty number cards in four suits that a shape tells apart', () => {
    const cards = sheets('card-deck').flatMap((sheet) => sheet.pieces!.map(({ name }) => name));
    expect(new Set(cards).size).toBe(40);
    expect(new Set(SUIT_SHAPES.map(({ d }) => d)).size).toBe(SUIT_SHAPES.length);
    const face = suitFace(1, 9, { x: 0, y: 0, w: 46, h: 60 });
    expect(saidOn({ shapes: face })).toEqual(['9']);
  });
  it('are numbered stones, as many as the path has', () => {
    const stones = sheets('floor-stone', 7).flatMap((sheet) => sheet.pieces!.map(({ name }) => name));
    expect(stones).toEqual(['1', '2', '3', '4', '5', '6', '7']);
  });
  it('are made once for parts that share them, and not for others', () => {
    const both = standInSheets(
      [
        { material: 'cube', quantity: 5 },
        { material: 'block', quantity: 5 },
        { material: 'cup', quantity: 1 },
      ],
      contextOf(),
    );
    expect(both).toHaveLength(sheets('cube').length);
    expect([hasStandIn('die'), hasStandIn('cup')]).toEqual([true, false]);
  });
});

describe('sheets to write on', () => {
  const words: Source = {
    id: 'test',
    en: { name: 'Game', head: 'tens' },
    own: { es: { name: 'Juego', head: 'decenas' } },
  };
  const record = (rows: number, change = {}) =>
    recordSheets(words, { rows, row: ({ x, y, w, h }) => [answerBox(x, y, w, h)], ...change }, contextOf());
  it('have every row once, in a second column and on a second sheet when it takes them', () => {
    for (const rows of [1, 12, 13, 40, 90]) {
      const sheets = record(rows);
      const boxes = sheets.flatMap((sheet) => rects(sheet.shapes));
      expect(boxes).toHaveLength(rows);
      for (const { y, height } of boxes)
        expect(y + height).toBeLessThanOrEqual(PAPERS.letter.heightMm - MARGIN_MM);
      const numbers = sheets.flatMap(saidOn).filter((text) => /^\d+$/.test(text));
      expect(numbers).toEqual(Array.from({ length: rows }, (_, i) => String(i + 1)));
    }
    expect(record(90).length).toBeGreaterThan(1);
    expect(record(90)[1]!.pieces![0]!.name).toBe('record, sheet 2');
  });
  it('name their columns, and have a back when there is one', () => {
    const sheets = record(4, {
      heads: [{ id: 'head', from: 0, to: 1 }],
      back: () => [{ kind: 'circle', x: 50, y: 50, radius: 2 }],
    });
    expect(saidOn(sheets[0]!)).toContain('decenas · tens');
    expect(sheets.map((sheet) => Boolean(sheet.back))).toEqual([false, true]);
  });
  it('fit a sentence to their place: boxes for numbers, rings for signs', () => {
    for (const w of [30, 60, 120]) {
      const shapes = sentenceToFill(['□', '○', '□', '=', '10'], { x: 5, y: 5, w, h: 14 });
      expect([rects(shapes).length, circles(shapes).length]).toEqual([2, 1]);
      for (const shape of shapes) {
        const box = boxOf(shape, evenly);
        expect(box.right).toBeLessThanOrEqual(5 + w + 0.5);
        expect(box.bottom).toBeLessThanOrEqual(19 + 0.01);
      }
    }
  });
  it('list many ways without one over another', () => {
    const ways = Array.from({ length: 66 }, (_, i) => `${i} + ${66 - i} = 66`);
    const place = { x: 12, y: 12, w: 190, h: 250 };
    const shapes = waysToTick(ways, place);
    expect(saidOn({ shapes })).toEqual(ways);
    const boxes = shapes.filter((shape) => shape.kind !== 'line').map((shape) => boxOf(shape, evenly));
    boxes.forEach((box, i) => {
      expect(box.right).toBeLessThanOrEqual(place.x + place.w + 1);
      expect(box.bottom).toBeLessThanOrEqual(place.y + place.h + 1);
      boxes.slice(0, i).forEach((other) => expect(overlap(box, other)).toBeLessThan(0.05));
    });
  });
});

describe('the calibration page', () => {
  it.each(PAPER_NAMES)(
    'has two rulers of 100 mm, a frame at the margin, and crosses that meet on %s',
    (paper) => {
      const [front, back] = calibrationSheets(contextOf({ paper }));
      const lines = front!.shapes.filter((shape) => shape.kind === 'line');
      const long = lines.filter(
        ({ x1, y1, x2, y2 }) => Math.abs(x2 - x1) === RULER_MM || Math.abs(y2 - y1) === RULER_MM,
      );
      expect(long).toHaveLength(2);
      expect(rects(front!.shapes)[0]).toMatchObject({
        x: MARGIN_MM,
        y: MARGIN_MM,
        width: PAPERS[paper].widthMm - 2 * MARGIN_MM,
        height: PAPERS[paper].heightMm - 2 * MARGIN_MM,
      });
      const upright = long.find(({ y1, y2 }) => y2 - y1 === RULER_MM)!;
      const crosses = (shapes: readonly Shape[]) =>
        shapes
          .filter(
            (shape) =>
              shape.kind === 'line' &&
              shape.strokeMm === 0.15 &&
              shape.x2 - shape.x1 === 4 &&
              shape.x1 !== upright.x1,
          )
          .map((shape) => shape as Extract<Shape, { kind: 'line' }>)
          .map(({ x1, x2, y1 }) => `${((x1 + x2) / 2).toFixed(3)} ${y1.toFixed(3)}`);
      const turned = crosses(back!.shapes).map((key) => {
        const [x, y] = key.split(' ').map(Number) as [number, number];
        return `${(PAPERS[paper].widthMm - x).toFixed(3)} ${y.toFixed(3)}`;
      });
      expect(new Set(turned)).toEqual(new Set(crosses(front!.shapes)));
      expect([front!.back, back!.back]).toEqual([undefined, true]);
      expect(saidOn(front!).join(' ')).toMatch(/100 mm/);
    },
  );
});

describe('a language without wording for a frame', () => {
  it('leaves it in English once, written from the left', () => {
    for (const languages of [['he', 'en'], ['so', 'en'], ['he']] as const) {
      const [page] = calibrationSheets(contextOf({ readings: readings(...languages) }));
      const lines = page!.shapes.filter((shape) => shape.kind === 'text');
      const ruler = lines.filter(({ text }) => text.startsWith('This line is'));
      expect(ruler.map(({ language, anchor }) => [language, anchor])).toEqual([['en', 'start']]);
    }
  });
});

describe('places', () => {
  it('keep proportions in the middle', () => {
    expect(within({ x: 0, y: 0, w: 100, h: 40 }, 1)).toEqual({ x: 30, y: 0, w: 40, h: 40 });
    expect(within({ x: 0, y: 0, w: 30, h: 100 }, 0.5)).toEqual({ x: 0, y: 20, w: 30, h: 60 });
    const body = bodyOf({ paper: 'a4' });
    expect(body.y + body.h).toBeLessThan(PAPERS.a4.heightMm - MARGIN_MM);
  });
  it('of a spinner hold its rim and its directions', () => {
    const shapes = spinnerShapes([1, 2, 3], bodyOf({ paper: 'letter' }), contextOf());
    for (const shape of shapes) {
      const box = boxOf(shape, evenly);
      expect(box.left).toBeGreaterThanOrEqual(MARGIN_MM);
      expect(box.bottom).toBeLessThanOrEqual(PAPERS.letter.heightMm - MARGIN_MM);
    }
    expect(saidOn({ shapes }).join(' ')).toContain('paper clip');
  });
});

describe('the words of printed frames', () => {
  it('are in English and Spanish whole, and in the other languages where families read them', () => {
    expect(Object.keys(linesOf(readingOf('es'), PRINT_WORDS))).toEqual(Object.keys(PRINT_WORDS.en));
    for (const language of SHIPPED_LANGUAGES)
      for (const id of Object.keys(PRINT_WORDS.en).filter((one) => /^(bag|slip|label|contents)\./.test(one)))
        expect([language, id, id in linesOf(readingOf(language), PRINT_WORDS)]).toEqual([language, id, true]);
  });
});
