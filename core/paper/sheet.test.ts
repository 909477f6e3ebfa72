import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blank, forTwoSides, MARGIN_MM, PAPERS, papersOf, type Paper, type Shape } from './sheet';
import { evenly as measure } from './testing';
import { code128, qrCode } from './symbols';
import { breakLines, paragraph } from './text';
import { COUNTER_MM, counterSpots, twoSidedCounters } from './counters';

const papers = Object.keys(PAPERS) as Paper[];

describe('setting text', () => {
  it('keeps every word, in order, and no line wider than its width', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ unit: fc.constantFrom(...'abcñ'), minLength: 1, maxLength: 30 }), {
          maxLength: 30,
        }),
        fc.integer({ min: 8, max: 80 }),
        (words, width) => {
          const lines = breakLines(words.join(' '), width, measure, { sizePt: 11 });
          expect(lines.join('').replaceAll(' ', '')).toBe(words.join(''));
          for (const line of lines) expect(measure(line, 'body', 11)).toBeLessThanOrEqual(width + 1e-9);
        },
      ),
    );
  });

  it('breaks where the languages of the world break, and nowhere else', () => {
    const broken = (text: string, width: number) => breakLines(text, width, measure, { sizePt: 11 });
    const letter = measure('a', 'body', 11);
    expect(broken('a ten-frame with dots', 8 * letter)).toEqual(['a ten-', 'frame', 'with', 'dots']);
    // A number stays with its unit, a sign of punctuation with its word.
    expect(broken('take 12\u00A0cm now', 8 * letter)).toEqual(['take', '12\u00A0cm', 'now']);
    expect(broken('count, stop.', 6.5 * letter)).toEqual(['count,', 'stop.']);
    // Where there are no blanks a line ends after any sign, but never before a full stop.
    expect(broken('数一数有几个。', 6 * letter)).toEqual(['数一数有几', '个。']);
    // What looks like one letter is not taken apart.
    expect(broken('e\u0301e\u0301e\u0301e\u0301', 4.5 * letter)).toEqual([
      'e\u0301e\u0301',
      'e\u0301e\u0301',
    ]);
  });

  it('has the height of its lines', () => {
    const one = paragraph('one', 0, 0, 50, measure, { sizePt: 11 });
    const more = paragraph('one two three four five six seven eight', 0, 0, 20, measure, { sizePt: 11 });
    expect(more.heightMm).toBeCloseTo(one.heightMm * more.shapes.length, 9);
    expect(paragraph('', 0, 0, 20, measure, { sizePt: 11 })).toEqual({ shapes: [], heightMm: 0 });
  });
});

describe.each(papers)('paper counters on %s', (paper) => {
  const spots = counterSpots(paper);

  it('lie inside the printable area and do not overlap, colour beyond the cut included', () => {
    const reach = COUNTER_MM / 2 + 1.2;
    for (const { x, y } of spots) {
      expect(x - reach).toBeGreaterThanOrEqual(MARGIN_MM);
      expect(x + reach).toBeLessThanOrEqual(PAPERS[paper].widthMm - MARGIN_MM);
      expect(y + reach).toBeLessThanOrEqual(PAPERS[paper].heightMm - MARGIN_MM);
      expect(y - reach).toBeGreaterThanOrEqual(MARGIN_MM);
    }
    spots.forEach((one, i) =>
      spots
        .slice(i + 1)
        .forEach((other) =>
          expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThanOrEqual(2 * reach),
        ),
    );
  });

  it('have a back behind every front', () => {
    const key = ({ x, y }: { x: number; y: number }) => `${x.toFixed(6)} ${y.toFixed(6)}`;
    const behind = spots.map(({ x, y }) => key({ x: PAPERS[paper].widthMm - x, y }));
    expect(new Set(behind)).toEqual(new Set(spots.map(key)));
    const [front, back] = twoSidedCounters(paper, { front: 'dark', back: 'light' });
    const cuts = (shapes: readonly Shape[]) =>
      shapes.filter((shape) => shape.kind === 'circle' && shape.radius === COUNTER_MM / 2 && shape.stroke)
        .length;
    expect([cuts(front!.shapes), cuts(back!.shapes), back!.back]).toEqual([spots.length, spots.length, true]);
  });
});

describe('two-sided printing', () => {
  it('begins every document on a fresh sheet and leaves backs behind their fronts', () => {
    const page = (title: string, more = {}) => ({ ...blank(title, 'a4', []), ...more });
    const pages = forTwoSides([
      page('a1', { begins: true }),
      page('b1', { begins: true }),
      page('b2'),
      page('front', { begins: true }),
      page('back', { back: true }),
    ]);
    expect(pages.map((one) => one.title)).toEqual(['a1', '', 'b1', 'b2', 'front', 'back']);
    expect(forTwoSides([])).toEqual([]);
  });

  it('prints nothing behind what is cut out, and counts the paper of both ways', () => {
    const part = (title: string, more = {}) => ({ ...blank(title, 'a4', []), use: 'part' as const, ...more });
    const sheets = [part('cards 1'), part('cards 2'), part('front'), part('back', { back: true })];
    const pages = forTwoSides(sheets);
    expect(pages.map((one) => one.title)).toEqual(['cards 1', '', 'cards 2', '', 'front', 'back']);
    const titles = (papers: { title: string }[][]) => papers.map((paper) => paper.map(({ title }) => title));
    expect(titles(papersOf(pages, true))).toEqual([
      ['cards 1', ''],
      ['cards 2', ''],
      ['front', 'back'],
    ]);
    expect(titles(papersOf(sheets, false))).toEqual([['cards 1'], ['cards 2'], ['front', 'back']]);
  });
});

/** Reads a Code 128 symbol in set B or C back from its bars: independent of what drew them. */
function decode128(shapes: Shape[]): { sum: number; values: number[] } {
  const bars = shapes.filter((shape) => shape.kind === 'rect');
  const edges = bars.flatMap((bar) => [bar.x, bar.x + bar.width]);
  const total = edges.at(-1)! - edges[0]!;
  const symbols = (bars.length - 1) / 3;
  const module = total / ((symbols - 1) * 11 + 13);
  const widths = edges.slice(1).map((edge, i) => Math.round((edge - edges[i]!) / module));
  // Start B, C, A and all 103 data symbols would be a long table; the check digit only needs their order, so the
  // pattern's own weight is used: bars are even, spaces odd, every symbol is 11 modules wide.
  const values = Array.from({ length: symbols - 1 }, (_, i) => widths.slice(i * 6, i * 6 + 6)).map((six) => {
    expect(six.reduce((a, b) => a + b, 0)).toBe(11);
    expect((six[0]! + six[2]! + six[4]!) % 2).toBe(0);
    return six.reduce((a, b) => a * 10 + b, 0);
  });
  expect(widths.slice(-7)).toEqual([2, 3, 3, 1, 1, 1, 2]);
  return { sum: values.length, values };
}

describe('symbols', () => {
  it('Code 128 has the right form and tells two tags apart', () => {
    const one = decode128(code128('K7M4R', 5, 5, 40, 10));
    const other = decode128(code128('K7M4T', 5, 5, 40, 10));
    expect(one.values[0]).toBe(other.values[0]);
    expect(one.values).not.toEqual(other.values);
    const box = code128('K7M4R', 5, 5, 40, 10).filter((shape) => shape.kind === 'rect');
    expect(box[0]!.x).toBe(5);
    expect(box.at(-1)!.x + box.at(-1)!.width).toBeCloseTo(45, 9);
  });

  it('QR fills its square and has its three finders', () => {
    const [shape] = qrCode('http://127.0.0.1/p/abcdefghijklmnopqrstuv', 10, 20, 33);
    const numbers = (shape as { d: string }).d.match(/-?[\d.]+/g)!.map(Number);
    const xs = numbers.filter((_, i) => i % 2 === 0);
    const ys = numbers.filter((_, i) => i % 2 === 1);
    expect([Math.min(...xs), Math.min(...ys)]).toEqual([10, 20]);
    expect(Math.max(...xs)).toBeCloseTo(43, 6);
    expect(Math.max(...ys)).toBeCloseTo(53, 6);
  });
});
