/** Text in both directions: split into runs of one font, in the order in which they stand on paper. */
import bidiFactory from 'bidi-js';
import type { FontName } from '~/core/paper/sheet';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { faceFor, isSteering, type Face } from './faces';

export interface Run {
  text: string;
  face: Face;
}

const bidi = bidiFactory();
const letters = new Intl.Segmenter('und', { granularity: 'grapheme' });
/** Scripts that run from the right. */
const FROM_RIGHT =
  /[\p{Script=Arabic}\p{Script=Hebrew}\p{Script=Syriac}\p{Script=Thaana}\u2066-\u2069\u200F]/u;

/** Letters and signs that the first font of a text has for certain. */
const COMMON = /^[\x20-\x7E\xA0-\xFF\u2013\u2014\u2018-\u201D\u2022\u2026\u2212]*$/;
/** Letters that only Vietnamese has. */
const VIETNAMESE = /[\u01A0\u01A1\u01AF\u01B0\u1EA0-\u1EF9]/;

/** The font of each unit of a text: a letter and its marks stay together. */
function facesIn(text: string, font: FontName, language: Language | undefined): Face[] {
  const found: Face[] = [];
  for (const { segment } of letters.segment(text)) {
    const face = faceFor(segment, font, language);
    for (let i = 0; i < segment.length; i++) found.push(face);
  }
  return found;
}

/**
 * The runs of a line from left to right. A run of a script from the right stays in the order in which it is read:
 * whoever shapes it turns it round; blanks and signs are set in the Latin font. Source: Unicode Standard Annex 9.
 */
export function visualRuns(text: string, font: FontName, language?: Language): Run[] {
  const rightToLeft = language !== undefined && aboutLanguage(language).direction === 'rtl';
  // Most lines are of letters that every Latin font has.
  if (COMMON.test(text) && !rightToLeft) return [{ text, face: faceFor('a', font, language) }];
  // Several languages in one line: the letters of Vietnamese stand in one font with those beside them.
  const set = language ?? (VIETNAMESE.test(text) ? 'vi' : undefined);
  const faces = facesIn(text, font, set);
  const runs: (Run & { level: number })[] = [];
  const add = (sign: string, face: Face, level: number): void => {
    if (isSteering(sign.codePointAt(0)!) && sign !== '\u200C' && sign !== '\u200D') return;
    const last = runs.at(-1);
    if (last?.face === face && last.level === level) last.text += sign;
    else runs.push({ text: sign, face, level });
  };
  if (!rightToLeft && !FROM_RIGHT.test(text)) {
    for (let i = 0; i < text.length; i++) add(text[i]!, faces[i]!, 0);
    return runs.map(({ text: part, face }) => ({ text: part, face }));
  }
  const embedding = bidi.getEmbeddingLevels(text, rightToLeft ? 'rtl' : 'ltr');
  const mirrored = bidi.getMirroredCharactersMap(text, embedding.levels);
  for (const i of bidi.getReorderedIndices(text, embedding))
    add(mirrored.get(i) ?? text[i]!, faces[i]!, embedding.levels[i]!);
  return runs.map(({ text: part, face, level }) => ({ face, text: asSet(part, face, level) }));
}

/** The letters of a run in the order in which it is handed to the font. */
function asSet(part: string, face: Face, level: number): string {
  const turned = face.rightToLeft && level % 2 ? [...part].reverse().join('') : part;
  // Both halves of a character beyond the first 65,536 stay together.
  return turned.replace(/([\uDC00-\uDFFF])([\uD800-\uDBFF])/g, '$2$1');
}
