/** The fonts of paper: opened once, measured by their own tables, embedded in the PDF. */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { create, type Font } from 'fontkit';
import { PT_MM, type Measure, type Sheet } from '~/core/paper/sheet';
import { visualRuns, type Run } from './runs';
import { sfntOf } from './sfnt';

export const FONT_FILES: Record<Run['font'], string> = {
  body: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  bold: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  display: '@fontsource/young-serif/files/young-serif-latin-400-normal.woff',
  arabic: '@fontsource/noto-sans-arabic/files/noto-sans-arabic-arabic-400-normal.woff',
  arabicBold: '@fontsource/noto-sans-arabic/files/noto-sans-arabic-arabic-700-normal.woff',
};

const files = new Map<Run['font'], Buffer>();
/** The font as OpenType. */
export function fontData(name: Run['font']): Buffer {
  const file = files.get(name) ?? sfntOf(readFileSync(resolve('node_modules', FONT_FILES[name])));
  files.set(name, file);
  return file;
}

const fonts = new Map<Run['font'], Font>();
const widths = new Map<string, number>();

const fontOf = (name: Run['font']): Font => {
  const known = fonts.get(name);
  if (known) return known;
  const font = create(fontData(name)) as Font;
  fonts.set(name, font);
  return font;
};

const MOST_KNOWN = 50_000;
/** Width of a word with the blank behind it, as a part of the size of its type. Each is shaped once. */
function advance(word: string, name: Run['font']): number {
  const key = `${name}\n${word}`;
  let width = widths.get(key);
  if (width === undefined) {
    const font = fontOf(name);
    width = font.layout(word).advanceWidth / font.unitsPerEm;
    if (widths.size > MOST_KNOWN) widths.clear();
    widths.set(key, width);
  }
  return width;
}

/** Width of a run in mm: the sum of its words, since the PDF sets them one by one. */
export const runMm = ({ text, font }: Run, sizePt: number): number =>
  (text.match(/[^ ]* |[^ ]+$/g) ?? []).reduce((sum, word) => sum + advance(word, font), 0) * sizePt * PT_MM;

/** Width of a line in mm. */
export const measure: Measure = (text, name, sizePt) =>
  visualRuns(text, name, false).reduce((sum, run) => sum + runMm(run, sizePt), 0);

/** Names under which a style sheet finds the fonts of paper, with their weights. */
const FACES: Record<Run['font'], [family: string, weight: number]> = {
  body: ['Atkinson Hyperlegible Next', 400],
  bold: ['Atkinson Hyperlegible Next', 700],
  display: ['Young Serif', 400],
  arabic: ['Noto Sans Arabic', 400],
  arabicBold: ['Noto Sans Arabic', 700],
};
const faces = new Map<Run['font'], string>();

/** The style rules with the fonts a page uses inside, so that the page is whole wherever it is opened. */
export function fontFaces({ shapes }: Pick<Sheet, 'shapes'>): string {
  const used = new Set(
    shapes.flatMap((shape) =>
      shape.kind === 'text' ? visualRuns(shape.text, shape.font, false).map(({ font }) => font) : [],
    ),
  );
  return [...used]
    .map((name) => {
      const known = faces.get(name);
      if (known) return known;
      const [family, weight] = FACES[name];
      const data = readFileSync(resolve('node_modules', FONT_FILES[name])).toString('base64');
      const rule = `@font-face{font-family:'${family}';font-weight:${weight};src:url(data:font/woff;base64,${data}) format('woff')}`;
      faces.set(name, rule);
      return rule;
    })
    .join('');
}
