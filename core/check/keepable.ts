/** What may be kept at all: text without characters that hide or break things, numbers that end, shallow values. */

/** A value from outside has no more parts than this; the largest of ours, a game's definition, has some hundreds. */
const MOST_PARTS = 5000;
/** Values from outside are nested no deeper than this; the deepest of ours, a game's definition, has four levels. */
export const MOST_DEPTH = 24;

const CONTROL = /(?![\n\t])\p{Cc}/gu;
const JOINER = '(?:\\u200c|\\u200d|\\ufe0e|\\ufe0f)';
/** Characters that take no room and change what is seen around them. Joiners and signs of emoji stay between others. */
const UNSEEN = new RegExp(`(?!${JOINER})\\p{Default_Ignorable_Code_Point}|[\\u2800\\ufff9-\\ufffb]`, 'gu');
const BLANK = /\s/;
const JOINERS = '\u200c\u200d\ufe0e\ufe0f';

const LONE_HALF = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;
const LONE_HALVES = new RegExp(LONE_HALF, 'g');

/**
 * Text as it can be seen: control characters, invisible characters and halves of characters are dropped, blanks of
 * every kind are plain ones, ends are trimmed. With `lines`, line ends and tabs stay.
 */
export function visible(text: string, lines = false): string {
  const seen = text
    .replace(LONE_HALVES, '')
    .normalize('NFC')
    .replace(/\r\n?/g, '\n')
    .replace(CONTROL, '')
    .replace(UNSEEN, '')
    .replace(lines ? /[^\S\n\t]/gu : /\s+/gu, ' ');
  return withoutLooseJoiners(seen).trim();
}

/** Joiners that join nothing, at the ends of words, are dropped. Takes time in the length of the text. */
function withoutLooseJoiners(text: string): string {
  if (![...JOINERS].some((joiner) => text.includes(joiner))) return text;
  let made = '';
  // Joiners that wait for the letter they join to the one before.
  let held = '';
  let inWord = false;
  for (const char of text)
    if (JOINERS.includes(char)) held += inWord ? char : '';
    else {
      const blank = BLANK.test(char);
      made += (blank ? signsOf(held) : held) + char;
      held = '';
      inWord = !blank;
    }
  return made + signsOf(held);
}
/** Signs that say how a picture is drawn stay behind it. */
const signsOf = (held: string): string => held.replace(/[\u200c\u200d]/g, '');

/** What cannot be kept in a value from a file or a browser: its path with dots, and a sentence. */
export function unkeepable(
  value: unknown,
  path = '',
  depth = 0,
): { path: string; sentence: string } | undefined {
  if (depth > MOST_DEPTH)
    return { path: path.split('.').slice(0, 3).join('.'), sentence: 'This is nested too deeply to be read.' };
  if (typeof value === 'number' && !Number.isFinite(value))
    return { path, sentence: 'This number has no end. Write a number in figures.' };
  if (typeof value === 'string' && (value.includes('\u0000') || LONE_HALF.test(value)))
    return { path, sentence: 'This text holds a character that cannot be kept. Type it anew.' };
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [key, inner] of Object.entries(value)) {
    const found =
      unkeepable(key, path, depth + 1) ?? unkeepable(inner, path ? `${path}.${key}` : key, depth + 1);
    if (found) return found;
  }
  return undefined;
}

/**
 * Reads JSON that came from outside. Throws SyntaxError where it is no JSON, and RangeError where it is nested so
 * deeply, or has so many parts, that reading on would be of no use; neither takes longer than the text is long.
 */
export function readJson(text: string): unknown {
  let depth = 0;
  let parts = 0;
  let inText = false;
  for (let i = 0; i < text.length; i++) {
    const char = text.charCodeAt(i);
    if (inText) {
      if (char === 0x5c) i++;
      else if (char === 0x22) inText = false;
    } else if (char === 0x22) inText = true;
    else if (char === 0x5b || char === 0x7b) {
      if (++depth > MOST_DEPTH) throw new RangeError('nested too deeply');
    } else if (char === 0x5d || char === 0x7d) depth--;
    else if (char === 0x2c && ++parts > MOST_PARTS) throw new RangeError('too many parts');
  }
  return JSON.parse(text) as unknown;
}
