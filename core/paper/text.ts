/** Setting text: words into lines of a given width. Pure, given the measure of the fonts. */
import LineBreaker from 'linebreak';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { INK, PT_MM, type FontName, type Measure, type Shape } from './sheet';

export interface TextStyle {
  sizePt: number;
  font?: FontName;
  fill?: string;
  anchor?: 'start' | 'middle' | 'end';
  language?: Language;
}

/** Height of one line, in mm. */
export const lineMm = (sizePt: number): number => sizePt * PT_MM * 1.28;

/** One line of text with its baseline at y. */
export const line = (x: number, y: number, text: string, style: TextStyle): Shape => ({
  kind: 'text',
  x,
  y,
  text,
  sizePt: style.sizePt,
  font: style.font ?? 'body',
  anchor: style.anchor ?? 'start',
  fill: style.fill ?? INK,
  language: style.language,
});

/** The pieces of a text between which a line may end. Source: Unicode Standard Annex 14. */
function pieces(text: string): string[] {
  const breaker = new LineBreaker(text);
  const found: string[] = [];
  let from = 0;
  for (let at = breaker.nextBreak(); at; at = breaker.nextBreak()) {
    found.push(text.slice(from, at.position));
    from = at.position;
  }
  return found;
}

const letters = new Intl.Segmenter('und', { granularity: 'grapheme' });

/**
 * Breaks text into lines no wider than `widthMm`; what may not be broken and is wider is broken between letters. Blanks
 * count as one, and none stands at the end of a line.
 */
export function breakLines(
  text: string,
  widthMm: number,
  measure: Measure,
  style: Pick<TextStyle, 'sizePt' | 'font' | 'language'>,
): string[] {
  const fits = (piece: string): boolean =>
    measure(piece.trimEnd(), style.font ?? 'body', style.sizePt, style.language) <= widthMm;
  const lines: string[] = [];
  let current = '';
  const add = (piece: string): void => {
    if (current && !fits(current + piece)) {
      lines.push(current.trimEnd());
      current = '';
    }
    current += piece;
  };
  for (const piece of pieces(text.trim().replace(/[ \n\t]+/g, ' ')))
    if (fits(piece)) add(piece);
    else {
      // It begins a line of its own, and goes on where it has to.
      if (current) lines.push(current.trimEnd());
      current = '';
      for (const { segment } of letters.segment(piece)) add(segment);
    }
  if (current) lines.push(current.trimEnd());
  return lines;
}

/** The side of the paper on which a language begins; anchors are sides, whatever the language. */
export const startOf = (language: Language | undefined): 'start' | 'end' =>
  language && aboutLanguage(language).direction === 'rtl' ? 'end' : 'start';

export interface Block {
  shapes: Shape[];
  heightMm: number;
}

/** A paragraph whose top left corner is (x, y). */
export function paragraph(
  text: string,
  x: number,
  y: number,
  widthMm: number,
  measure: Measure,
  style: TextStyle,
): Block {
  const lines = breakLines(text, widthMm, measure, style);
  const step = lineMm(style.sizePt);
  const anchor = style.anchor ?? startOf(style.language);
  const anchorX = anchor === 'middle' ? x + widthMm / 2 : anchor === 'end' ? x + widthMm : x;
  return {
    shapes: lines.map((words, i) =>
      line(anchorX, y + step * i + style.sizePt * PT_MM, words, { ...style, anchor }),
    ),
    heightMm: step * lines.length,
  };
}

/** The same words in several languages side by side in a width; one alone has all of it. */
export function sideBySide(
  texts: readonly { text: string; language: Language }[],
  { x, w }: { x: number; w: number },
  y: number,
  style: TextStyle,
  measure: Measure,
  gapMm = 4,
): Block {
  const width = (w - gapMm * (texts.length - 1)) / texts.length;
  const blocks = texts.map(({ text, language }, i) =>
    paragraph(text, x + i * (width + gapMm), y, width, measure, { ...style, language }),
  );
  return {
    shapes: blocks.flatMap(({ shapes }) => shapes),
    heightMm: Math.max(...blocks.map(({ heightMm }) => heightMm)),
  };
}
