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

/** Neighbouring characters of one font; blanks and signs are set in the Latin font. */
function byFont(text: string, font: FontName): Run[] {
  const runs: Run[] = [];
  for (const char of text) {
    const used = ARABIC.test(char) ? arabicOf(font) : font;
    const last = runs.at(-1);
    if (last?.font === used) last.text += char;
    else runs.push({ text: char, font: used });
  }
  return runs;
}

/**
 * The runs of a line from left to right. A run of Arabic stays in the order in which it is read: whoever shapes it
 * turns it round. Source: Unicode Standard Annex 9.
 */
export function visualRuns(text: string, font: FontName, rightToLeft: boolean): Run[] {
  if (!rightToLeft && !ARABIC.test(text)) return plain(text, font);
  const { levels } = bidi.getEmbeddingLevels(text, rightToLeft ? 'rtl' : 'ltr');
  // Pieces of one level, then turned round from the highest level down to the lowest odd one.
  let pieces: { level: number; text: string }[] = [];
  for (let i = 0; i < text.length; i++) {
    const level = levels[i]!;
    const char = (level % 2 && bidi.getMirroredCharacter(text[i]!)) || text[i]!;
    const last = pieces.at(-1);
    if (last?.level === level) last.text += char;
    else pieces.push({ level, text: char });
  }
  const highest = Math.max(...pieces.map(({ level }) => level));
  for (let level = highest; level >= 1; level--) {
    const turned: typeof pieces = [];
    let open: typeof pieces = [];
    for (const piece of [...pieces, undefined]) {
      if (piece && piece.level >= level) open.unshift(piece);
      else {
        turned.push(...open);
        open = [];
        if (piece) turned.push(piece);
      }
    }
    pieces = turned;
  }
  return pieces.flatMap(({ level, text: part }) => {
    const runs = byFont(part, font);
    return level % 2 ? runs.reverse().map(rightWay) : runs;
  });
}

/** Signs and blanks inside right-to-left text stand in turned order; Arabic is turned by its shaping. */
const rightWay = (run: Run): Run =>
  run.font === 'arabic' || run.font === 'arabicBold'
    ? run
    : { ...run, text: [...run.text].reverse().join('') };
