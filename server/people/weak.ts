/** Passwords that others try first: common ones, names that stand on the page, repeats and rows of keys. */
import { createRequire } from 'node:module';
import { nameKey } from '~/core/people/name';

// A package of lists that is made for require alone.
const { dictionary } = createRequire(import.meta.url)('@zxcvbn-ts/language-common') as {
  dictionary: { passwords: readonly string[] };
};
/** Passwords that were found in lists of stolen ones, the commonest first. */
let common: ReadonlyMap<string, number> | undefined;
const rankOf = (word: string): number => {
  common ??= new Map(dictionary.passwords.map((one, rank) => [one, rank]));
  return common.get(word) ?? Infinity;
};
/** So common that two of them in a row are tried too. */
const TOP = 5000;
const SHORTEST_WORD = 4;

/** Letters that stand for others: "p@ssw0rd". */
const LEET: Readonly<Record<string, string>> = {
  '@': 'a',
  '4': 'a',
  '3': 'e',
  '1': 'i',
  '!': 'i',
  '0': 'o',
  $: 's',
  '5': 's',
  '7': 't',
};
const plain = (text: string): string => [...text].map((sign) => LEET[sign] ?? sign).join('');

/** What is left at least, without what everybody knows or sees on the keyboard. */
const FEWEST_LEFT = 6;
const ROWS = ['abcdefghijklmnopqrstuvwxyz', '01234567890', 'qwertyuiop', 'asdfghjkl', 'zxcvbnm'];
const SHORTEST_ROW = 3;
/** Everybody knows what this is called. */
const OURS = ['fern', 'basket'];

/** Whether a text is one of the common ones, or two very common ones in a row. */
function isCommon(text: string): boolean {
  if (rankOf(text) < Infinity) return true;
  for (let i = SHORTEST_WORD; i <= text.length - SHORTEST_WORD; i++)
    if (rankOf(text.slice(0, i)) < TOP && rankOf(text.slice(i)) < TOP) return true;
  return false;
}

/** The shortest text that makes this one when it is repeated, cut off at the end where it has to be. */
function unitOf(text: string): string {
  for (let size = 1; size <= text.length / 2; size++) {
    const unit = text.slice(0, size);
    if (unit.repeat(Math.ceil(text.length / size)).startsWith(text)) return unit;
  }
  return text;
}

/** The text without rows of the alphabet, of numbers and of the keyboard, in either direction. */
function withoutRows(text: string): string {
  let left = '';
  for (let i = 0; i < text.length;) {
    let end = i + 1;
    for (const row of ROWS)
      for (const step of [1, -1]) {
        let at = row.indexOf(text[i]!);
        let to = i;
        while (at >= 0 && to < text.length && row[at] === text[to]) {
          at += step;
          to++;
        }
        if (to - i >= SHORTEST_ROW) end = Math.max(end, to);
      }
    if (end === i + 1) left += text[i]!;
    i = end;
  }
  return left;
}

/** The words of names: of four letters and more. */
const wordsOf = (names: readonly string[]): string[] =>
  names
    .flatMap((name) => nameKey(name).split(/[^\p{L}\p{N}]+/u))
    .filter((word) => word.length >= SHORTEST_WORD)
    .sort((a, b) => b.length - a.length);

/** A text from its first to its last sign of a kind. */
function between(text: string, kind: RegExp): string {
  const signs = [...text];
  const is = (sign: string): boolean => kind.test(sign);
  return signs.slice(Math.max(0, signs.findIndex(is)), signs.findLastIndex(is) + 1).join('');
}

/** Why a password is one that others try first, in a sentence; undefined where it is none. `names` stand on the page. */
export function weakness(password: string, names: readonly string[]): string | undefined {
  const text = nameKey(password).slice(0, 200);
  const letters = between(text, /\p{L}/u);
  const inner = between(text, /[\p{L}@$]/u);
  if ([text, letters, plain(inner), plain(text)].some((one) => one.length > 0 && isCommon(one)))
    return 'This password is on the lists that are tried first. Choose a few words that have nothing to do with one another.';
  if ([text, letters].some((one) => one.length > 0 && unitOf(one).length <= one.length / 2))
    return 'This password repeats itself. Choose a few words that have nothing to do with one another.';
  let without = text;
  for (const word of wordsOf([...OURS, ...names])) without = without.split(word).join('');
  if (without !== text && without.replace(/[^\p{L}]+/gu, '').length < FEWEST_LEFT)
    return 'This password is made of a name that anybody can see: a person, the school or Fern Basket. Choose a few words that have nothing to do with it.';
  if (withoutRows(text).length < FEWEST_LEFT || new Set(text).size < 5)
    return 'This password is a row of letters, numbers or keys. Choose a few words that have nothing to do with one another.';
  return undefined;
}
