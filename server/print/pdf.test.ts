import { readingOf } from '~/core/words/readings';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { create, type Font } from 'fontkit';
import { afterAll, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { recipeOf } from '~/core/kits/recipe';
import { calibrationSheets, RULER_MM } from '~/core/paper/calibration';
import { packSheets, type PackOrder } from '~/core/pack/pack';
import {
  blank,
  forTwoSides,
  PAPERS,
  PT_MM,
  type FontName,
  type Paper,
  type SheetContext,
} from '~/core/paper/sheet';
import { line } from '~/core/paper/text';
import { SHIPPED_LANGUAGES, type Language } from '~/core/words/languages';
import { faceFor, fontData } from './faces';
import { fontFaces, measure } from './fonts';
import { pdfOf } from './pdf';
import { visualRuns } from './runs';
import { sfntOf } from './sfnt';

const folder = mkdtempSync(join(tmpdir(), 'pdf-'));
afterAll(() => rmSync(folder, { recursive: true }));

const about = (language: Language = 'es') => ({
  title: 'First splits · K7M4-R',
  author: 'Kittiwake Bay',
  language,
  madeOn: new Date(0),
});
const context = (paper: Paper, languages: Language[] = ['es', 'en']): SheetContext => ({
  paper,
  readings: languages.map((language) => readingOf(language)),
  seed: 1,
  measure,
  finish: 'durable',
  cuts: 'shared',
  fill: true,
});
function order(change: Partial<PackOrder> = {}): PackOrder {
  const game = gameOf('two-tone-spill');
  const plan = {
    ageBand: 'g1' as const,
    players: 2,
    assurance: 'usual' as const,
    variants: [{ gameId: game.id, name: 'Six', params: game.presets[1]!.params }],
  };
  return {
    kitName: 'First splits',
    schoolName: 'Kittiwake Bay',
    plan,
    parts: recipeOf(plan).parts,
    copies: ['K7M4R', '3CYRF'].map((tag) => ({ tag, link: `http://127.0.0.1/p/${tag}abcdefghijklmnopq` })),
    items: ['instructions', 'parts', 'records', 'slip', 'labels', 'calibration'],
    scope: 'each',
    labels: {},
    checked: {},
    ...change,
  };
}
const tool = (name: string, ...args: string[]) => execFileSync(name, args, { encoding: 'utf8' });
async function fileOf(name: string, sheets: Parameters<typeof pdfOf>[0], language?: Language) {
  const file = join(folder, `${name}.pdf`);
  writeFileSync(file, await pdfOf(sheets, about(language)));
  return file;
}
/** Black and other pixels of a page, at 254 dots to the inch: ten for each millimetre. */
function pixelsOf(file: string, page: number) {
  const root = file.replace('.pdf', `-${page}`);
  execFileSync('pdftoppm', [
    '-r',
    '254',
    '-gray',
    '-f',
    `${page}`,
    '-l',
    `${page}`,
    '-singlefile',
    file,
    root,
  ]);
  const bytes = readFileSync(`${root}.pgm`);
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 60).toString('latin1'))!;
  const width = Number(head[1]);
  return {
    width,
    height: Number(head[2]),
    at: (xMm: number, yMm: number) =>
      bytes[head[0].length + Math.round(yMm * 10) * width + Math.round(xMm * 10)]!,
  };
}

describe.each(Object.keys(PAPERS) as Paper[])('a PDF on %s', (paper) => {
  it('has its exact size, real text in both languages, a tag on every label, its fonts inside', async () => {
    const sheets = forTwoSides(packSheets(order(), context(paper)));
    const file = await fileOf(`pack-${paper}`, sheets);
    const info = tool('pdfinfo', file);
    expect(Number(/Pages:\s+(\d+)/.exec(info)![1])).toBe(sheets.length);
    expect(info).toMatch(/Title:\s+First splits · K7M4-R/);
    expect(info).toMatch(/Author:\s+Kittiwake Bay/);
    expect(info).toMatch(/Tagged:\s+yes/);
    const [, width, height] = /Page size:\s+([\d.]+) x ([\d.]+)/.exec(info)!;
    expect(Number(width)).toBeCloseTo(PAPERS[paper].widthMm / PT_MM, 1);
    expect(Number(height)).toBeCloseTo(PAPERS[paper].heightMm / PT_MM, 1);
    const text = tool('pdftotext', '-layout', file, '-');
    expect(text).toMatch(/Agiten el vaso.*Shake the cup/);
    for (const tag of ['K7M4-R', '3CYR-F']) expect(text).toContain(tag);
    expect(tool('pdffonts', file)).not.toMatch(/ no +(yes|no) +(yes|no) +\d+/);
  });

  it('prints the ruler of the calibration page 100 mm long', async () => {
    const sheets = calibrationSheets(context(paper));
    const file = await fileOf(`calibration-${paper}`, sheets);
    const page = pixelsOf(file, 1);
    expect(page.width / 10).toBeCloseTo(PAPERS[paper].widthMm, 0);
    const ruler = sheets[0]!.shapes.find(
      (shape) => shape.kind === 'line' && shape.x2 - shape.x1 === RULER_MM && shape.y1 === shape.y2,
    ) as { x1: number; y1: number };
    // Dark from its first to its last millimetre, and light beyond both ends.
    const dark = (mm: number) => page.at(ruler.x1 + mm, ruler.y1) < 128;
    for (let mm = 0.3; mm < RULER_MM; mm += 0.7) expect([mm, dark(mm)]).toEqual([mm, true]);
    expect([dark(-1), dark(RULER_MM + 1)]).toEqual([false, false]);
  });
});

describe('a PDF', () => {
  it('is the same bytes for the same pages', async () => {
    const make = () => pdfOf(packSheets(order(), context('a4')), about());
    const [one, other] = [await make(), await make()];
    expect(one.equals(other)).toBe(true);
    const later = await pdfOf(packSheets(order(), { ...context('a4'), seed: 2 }), {
      ...about(),
      madeOn: new Date(86_400_000),
    });
    expect(one.equals(later)).toBe(false);
  });

  it('tells the language of its text, and what drawn numerals say', async () => {
    const game = gameOf('fetch-that-many');
    const plan = {
      ...order().plan,
      variants: [{ gameId: game.id, name: 'x', params: game.presets.find(({ id }) => id === 'ten')!.params }],
    };
    const sheets = packSheets(order({ plan, parts: recipeOf(plan).parts }), context('letter'));
    const file = await fileOf('tagged', sheets);
    const tree = tool('pdfinfo', '-struct-text', file);
    expect(tree).toContain('Document');
    expect(tree).toMatch(/Lang: es|\/Lang|"es"|es/);
    const raw = readFileSync(file, 'latin1');
    expect(raw).toMatch(/\/Lang \(es\)/);
    expect(raw).toMatch(/\/Lang \(en\)/);
    expect(raw).toMatch(/\/ActualText \(7\)/);
  });

  it('shapes Arabic from the right, with numbers and English the right way round', async () => {
    const sheets = packSheets(
      order({ items: ['slip', 'labels', 'instructions'] }),
      context('a4', ['ar', 'en']),
    );
    const file = await fileOf('arabic', sheets, 'ar');
    const text = tool('pdftotext', '-layout', file, '-');
    expect(text).toContain('Shake the cup');
    expect(tool('pdffonts', file)).toMatch(/NotoSansArabic/);
    // Joined forms came out of the font: the text reads back as the letters that went in.
    expect(text.normalize('NFKC')).toMatch(/اللعب/);
    expect(text).toContain('Kittiwake Bay');
  });

  it('draws pictures, and leaves out what only decorates', async () => {
    const dot =
      'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
    const [sheet] = packSheets(order({ items: ['labels'], mark: dot }), context('letter'));
    expect(sheet!.shapes.some((shape) => shape.kind === 'image')).toBe(true);
    const file = await fileOf('image', [sheet!]);
    expect(tool('pdfimages', '-list', file)).toMatch(/image\s+1\s+1/);
    // The picture says what it is; lines around it are decoration and not in the tree.
    expect(tool('pdfinfo', '-struct-text', file)).toContain('Figure');
  });

  it('draws once what stands on many pages, and each of them is read', async () => {
    const [sheet] = packSheets(order({ items: ['records'] }), context('letter', ['es', 'en']));
    const many = Array.from({ length: 12 }, () => sheet!);
    const [one, twelve] = [await pdfOf([sheet!], about()), await pdfOf(many, about())];
    // A page more is a page's name, size and structure.
    expect((twelve.length - one.length) / 11).toBeLessThan(1500);
    const file = await fileOf('twelve', many);
    const text = (page: number): string =>
      tool('pdftotext', '-layout', '-f', `${page}`, '-l', `${page}`, file, '-');
    expect(text(1).trim()).not.toBe('');
    expect([2, 7, 12].map(text)).toEqual([text(1), text(1), text(1)]);
    const read = tool('pdfinfo', '-struct-text', file).split('Sect').slice(1);
    expect(read).toHaveLength(12);
    const words = (of: string): string => [...of.matchAll(/"([^"]*)"/g)].map(([, said]) => said).join('');
    expect(read.map(words)).toEqual(read.map(() => words(read[0]!)));
    expect([...read[0]!.matchAll(/\(block\)/g)].length).toBeGreaterThan(1);
    const [first, last] = [1, 12].map((page) => pixelsOf(file, page));
    for (let x = 12; x < 200; x += 7)
      for (let y = 12; y < 260; y += 7) expect([x, y, last!.at(x, y)]).toEqual([x, y, first!.at(x, y)]);
  });

  it('puts over it what one copy alone has', async () => {
    const copies = ['K7M4R', '3CYRF', 'TTTTT'].map((tag) => ({
      tag,
      link: `http://127.0.0.1/p/${tag}abcdefghijklmnopq`,
    }));
    const sheets = packSheets(order({ items: ['instructions'], copies }), context('letter'));
    const each = sheets.length / copies.length;
    const file = await fileOf('apart', sheets);
    const raw = readFileSync(file, 'latin1');
    for (const { link } of copies)
      expect(raw.split(`/Alt (${link})`)).toHaveLength(
        sheets.filter(({ square }) => square).length / copies.length + 1,
      );
    // The square is drawn there too: its corner is dark on every copy, and its modules are not the same.
    const withSquare = sheets.findIndex(({ square }) => square);
    const { x, y, w } = sheets[withSquare]!.square!;
    const squares = copies.map((_, i) => {
      const page = pixelsOf(file, 1 + withSquare + i * each);
      const dots = Array.from({ length: 3600 }, (_, k) =>
        page.at(x + (w * ((k % 60) + 0.5)) / 60, y + (w * (Math.floor(k / 60) + 0.5)) / 60) < 128 ? '#' : '.',
      );
      expect(page.at(x + 0.3, y + 0.3)).toBeLessThan(128);
      return dots.join('');
    });
    expect(new Set(squares).size).toBe(copies.length);
  });

  it('tells how far it is', async () => {
    const sheets = packSheets(order({ items: ['records'] }), context('letter'));
    const told: number[] = [];
    await pdfOf(sheets, about(), (pages) => told.push(pages));
    expect(told).toEqual(sheets.map((_, i) => i + 1));
  });
});

describe('runs of text', () => {
  const runs = (text: string, language?: string) => visualRuns(text, 'body', language).map((run) => run.text);
  const fonts = (text: string, font: FontName, language?: string) =>
    visualRuns(text, font, language).map(({ text: part, face }) => [part, face.family, face.weight]);
  it('leave Latin text alone', () => {
    expect(fonts('Shake the cup', 'bold')).toEqual([['Shake the cup', 'Atkinson Hyperlegible Next', 700]]);
  });
  it('stand from left to right on paper', () => {
    // Read from the right: word, blank, 12, blank, word.
    expect(runs('عد 12 قطع', 'ar')).toEqual(['قطع', ' ', '12', ' ', 'عد']);
    expect(runs('K7M4-R عد', 'ar')).toEqual(['عد', ' ', 'K7M4-R']);
    expect(runs('(عد)', 'ar')).toEqual(['(', 'عد', ')']);
    expect(fonts('كم؟', 'bold', 'ar')).toEqual([['كم؟', 'Noto Sans Arabic', 700]]);
    // An equation runs from the left, whatever stands around it; the signs that say so are not drawn.
    expect(runs('قل \u20663 + 5 = 8\u2069 الآن', 'ar')).toEqual(
      ['الآن', ' 3 + 5 = 8 ', 'قل'].flatMap((part) =>
        part.startsWith(' ') ? [' ', '3 + 5 = 8', ' '] : [part],
      ),
    );
  });
  it('are measured in their own fonts, whatever their order', () => {
    expect(measure('عد 12', 'body', 20)).toBeCloseTo(
      measure('عد', 'body', 20) + measure(' ', 'body', 20) + measure('12', 'body', 20),
      6,
    );
    expect(measure('Shake', 'body', 20)).toBeCloseTo(2 * measure('Shake', 'body', 10), 9);
  });
});

describe('fonts', () => {
  it('come out of their wrapping whole', () => {
    for (const text of ['Split', 'عدّوا', 'עברית', 'हिन्दी', 'বাংলা', 'አማርኛ', 'Їжак', 'Ống', '数'])
      for (const font of ['body', 'bold'] as const) {
        const face = faceFor(text[0]!, font);
        const wrapped = create(readFileSync(resolve('node_modules', face.file))) as Font;
        const bare = create(fontData(face)) as Font;
        expect([bare.postscriptName, bare.numGlyphs]).toEqual([wrapped.postscriptName, wrapped.numGlyphs]);
        expect(bare.layout(text).advanceWidth).toBe(wrapped.layout(text).advanceWidth);
      }
    expect(() => sfntOf(Buffer.from('plain text'))).toThrow('this is no WOFF 1.0 font');
  });
  it('have every letter of every line that ships, and of languages that can be added', () => {
    // A font is read once, not for every run of a text.
    const fonts = new Map<unknown, Font>();
    const lacking = (text: string, language: string): string[] =>
      visualRuns(text, 'body', language).flatMap(({ text: part, face }) => {
        const font = fonts.get(face) ?? (create(fontData(face)) as Font);
        fonts.set(face, font);
        return [...part].filter((sign) => sign.trim() && !font.hasGlyphForCodePoint(sign.codePointAt(0)!));
      });
    for (const language of SHIPPED_LANGUAGES)
      for (const messages of Object.values(readingOf(language).wording))
        expect([language, [...new Set(lacking(Object.values(messages).join(' '), language))]]).toEqual([
          language,
          [],
        ]);
    const samples = {
      so: 'Ciyaarta tirada',
      uk: 'Порахуйте ґудзики, їх пʼять',
      el: 'Μετρήστε μαζί',
      he: 'סִפְרוּ יחד',
      hi: 'मिलकर गिनें',
      bn: 'একসাথে গুনুন',
      am: 'አብረው ይቁጠሩ',
      'zh-Hant': '一起數一數，讓孩子說',
      vi: 'Cùng đếm, từng cái một',
      ur: 'مل کر گنیں',
      pl: 'Policzcie żółte łódki',
    };
    for (const [language, text] of Object.entries(samples))
      expect([language, lacking(text, language)]).toEqual([language, []]);
    expect(visualRuns('數', 'body', 'zh-Hant')[0]!.face.family).toBe('Noto Sans TC');
    expect(visualRuns('数', 'body', 'zh-Hans')[0]!.face.family).toBe('Noto Sans SC');
    expect(new Set(visualRuns('Cùng đếm từng cái', 'body', 'vi').map(({ face }) => face.family))).toEqual(
      new Set(['Noto Sans']),
    );
  });
  it('are inside a page that is kept, those it uses and no others', () => {
    const page = blank('x', 'a4', [line(20, 20, 'Shake', { sizePt: 11 })]);
    expect(fontFaces(page).match(/@font-face/g)).toHaveLength(1);
    const mixed = blank('x', 'a4', [
      line(20, 20, 'Shake', { sizePt: 11, font: 'bold' }),
      line(20, 30, 'عد', { sizePt: 11, language: 'ar' }),
    ]);
    expect(fontFaces(mixed)).toMatch(/Atkinson.*font-weight:700.*Noto Sans Arabic/s);
    expect(fontFaces(blank('x', 'a4', []))).toBe('');
  });
});
