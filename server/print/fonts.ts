/** The fonts of paper: opened once, measured by their own tables. */
import { create, type Font } from 'fontkit';
import { PT_MM, type Measure, type Sheet } from '~/core/paper/sheet';
import { faceRule, fontData, type Face } from './faces';
import { visualRuns, type Run } from './runs';

const fonts = new Map<string, Font>();
const fontOf = (face: Face): Font => {
  const known = fonts.get(face.file);
  if (known) return known;
  const font = create(fontData(face)) as Font;
  fonts.set(face.file, font);
  return font;
};

const widths = new Map<string, number>();
const MOST_KNOWN = 50_000;
/** Width of a word with the blank behind it, as a part of the size of its type. Each is shaped once. */
function advance(word: string, face: Face): number {
  const key = `${face.file}\n${word}`;
  let width = widths.get(key);
  if (width === undefined) {
    const font = fontOf(face);
    width = font.layout(word).advanceWidth / font.unitsPerEm;
    if (widths.size > MOST_KNOWN) widths.clear();
    widths.set(key, width);
  }
  return width;
}

/** Width of a run in mm: the sum of its words, since the PDF sets them one by one. */
export const runMm = ({ text, face }: Run, sizePt: number): number =>
  (face.square ? [...text] : text.split(/(?<= )/)).reduce((sum, word) => sum + advance(word, face), 0) *
  sizePt *
  PT_MM;

const lines = new Map<string, number>();
/** Width of a line in mm; lines are asked for again in other sizes. */
export const measure: Measure = (text, name, sizePt, language) => {
  const key = `${name} ${language ?? ''} ${text}`;
  let width = lines.get(key);
  if (width === undefined) {
    width = visualRuns(text, name, language).reduce((sum, run) => sum + runMm(run, 1), 0);
    if (lines.size > MOST_KNOWN) lines.clear();
    lines.set(key, width);
  }
  return width * sizePt;
};

const rules = new Map<string, string>();
/** The style rules with the fonts a page uses inside, so that the page is whole wherever it is opened. */
export function fontFaces({ shapes }: Pick<Sheet, 'shapes'>): string {
  const used = new Map<string, Face>();
  for (const shape of shapes)
    if (shape.kind === 'text')
      for (const { face } of visualRuns(shape.text, shape.font, shape.language)) used.set(face.file, face);
  return [...used.values()]
    .map((face) => {
      const rule = rules.get(face.file) ?? faceRule(face);
      rules.set(face.file, rule);
      return rule;
    })
    .join('');
}
