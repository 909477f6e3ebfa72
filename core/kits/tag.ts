/**
 * Tags of copies: four characters and a check character, such as K7M4-W. The alphabet has no vowels (so no
 * words), none of the pairs that look alike (0 O D Q, 1 I L, 2 Z, 5 S, 8 B, U V, G), and a prime number of
 * characters: with the position as weight, the sum of all characters is 0 modulo 17. Then any single wrong
 * character and any swap of two characters, neighbours or not, gives a sum that is not 0.
 */
import type { Random } from '~/core/chance/random';

export const TAG_ALPHABET = '34679CFHJKMPRTWXY';
const PRIME = TAG_ALPHABET.length;
const DATA_LENGTH = 4;

const weighted = (characters: string): number =>
  [...characters].reduce((total, character, i) => total + (i + 1) * TAG_ALPHABET.indexOf(character), 0);

/** A code with its check character behind it. Fewer characters than the prime: no two weights are alike. */
export function checkedCode(data: string): string {
  const weight = data.length + 1;
  const sum = weighted(data);
  return data + [...TAG_ALPHABET].find((_, value) => (sum + weight * value) % PRIME === 0)!;
}
/** Whether a code has characters of the alphabet only, and its right check character. */
export const isCheckedCode = (code: string): boolean =>
  [...code].every((character) => TAG_ALPHABET.includes(character)) && weighted(code) % PRIME === 0;
/** What was typed or scanned as a code is compared: in capitals, without dashes and blanks. */
export const plainCode = (text: string): string => text.toUpperCase().replace(/[\s\-–.]/g, '');

/** The tag with its check character, from four characters of the alphabet. Throws RangeError for others. */
export function tagFrom(data: string): string {
  if (data.length !== DATA_LENGTH || [...data].some((c) => !TAG_ALPHABET.includes(c)))
    throw new RangeError(`data: "${data}" is not ${DATA_LENGTH} characters of ${TAG_ALPHABET}`);
  return checkedCode(data);
}

/** A tag made of random characters. */
export const randomTag = (random: Random): string =>
  tagFrom(Array.from({ length: DATA_LENGTH }, () => TAG_ALPHABET[random.whole(0, PRIME - 1)]).join(''));

/** As it is printed and read aloud: "K7M4-W". */
export const showTag = (tag: string): string => `${tag.slice(0, DATA_LENGTH)}-${tag.slice(DATA_LENGTH)}`;

export type TagReading =
  | { kind: 'tag'; tag: string }
  /** It has the form of a tag, but not a right one. */
  | { kind: 'misread'; reason: string }
  | { kind: 'other' };

/** Reads what was typed or scanned: any case, with or without dash and blanks. */
export function readTag(text: string): TagReading {
  const plain = plainCode(text);
  if (plain.length !== DATA_LENGTH + 1 || !/^[0-9A-Z]+$/.test(plain)) return { kind: 'other' };
  const stranger = [...plain].find((character) => !TAG_ALPHABET.includes(character));
  // Five letters without a figure are more likely a name than a tag misread.
  if (stranger && !/\d/.test(plain)) return { kind: 'other' };
  if (stranger)
    return { kind: 'misread', reason: `No tag has the character ${stranger}. Read it again, or scan it.` };
  if (!isCheckedCode(plain))
    return {
      kind: 'misread',
      reason: `${showTag(plain)} is not a tag: one character is wrong or two are swapped.`,
    };
  return { kind: 'tag', tag: plain };
}
