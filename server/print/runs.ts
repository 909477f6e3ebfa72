/** Text in both directions: split into runs of one font, in the order in which they stand on paper. */
import bidiFactory from 'bidi-js';
import type { FontName } from '~/core/paper/sheet';
import { ARABIC } from '~/core/paper/text';

export interface Run {
  text: string;
  font: FontName | 'arabic' | 'arabicBold';
}

const bidi = bidiFactory();
const plain = (text: string, font: FontName): Run[] => [{ text, font }];
const arabicOf = (font: FontName): Run['font'] => (font === 'body' ? 'arabic' : 'arabicBold');

/**
 * The runs of a line from left to right. A run of Arabic stays in the order in which it is read: whoever shapes it
 * turns it round; blanks and signs are set in the Latin font. Source: Unicode Standard Annex 9.
 */
export function visualRuns(text: string, font: FontName, rightToLeft: boolean): Run[] {
  if (!rightToLeft && !ARABIC.test(text)) return plain(text, font);
  const embedding = bidi.getEmbeddingLevels(text, rightToLeft ? 'rtl' : 'ltr');
  const mirrored = bidi.getMirroredCharactersMap(text, embedding.levels);
  const runs: (Run & { level: number })[] = [];
  for (const i of bidi.getReorderedIndices(text, embedding)) {
    const char = mirrored.get(i) ?? text[i]!;
    const level = embedding.levels[i]!;
    const used = ARABIC.test(char) ? arabicOf(font) : font;
    const last = runs.at(-1);
    if (last?.font === used && last.level === level) last.text += char;
    else runs.push({ text: char, font: used, level });
  }
  return runs.map(({ text: part, font: used, level }) => ({ font: used, text: asSet(part, used, level) }));
}

/** The letters of a run in the order in which it is handed to the font. */
function asSet(part: string, font: Run['font'], level: number): string {
  const shaped = font === 'arabic' || font === 'arabicBold';
  const letters = shaped && level % 2 ? [...part].reverse().join('') : part;
  // Both halves of a character beyond the first 65,536 stay together.
  return letters.replace(/([\uDC00-\uDFFF])([\uD800-\uDBFF])/g, '$2$1');
}
