/**
 * An answer in one line of text: the number of the game, a word for how it was, and the minutes, such as "2 ok 10".
 * Several games stand one after the other, with a comma or a new line between. What is not said exactly so is not
 * read: a person looks at it.
 */
import { readTag } from '~/core/kits/tag';
import { LEVELS, type Level } from '~/core/pack/questions';
import { searchable } from '~/core/words/search';
import { silent, type GameAnswer } from './answer';

/** The words for each level in the languages that a family may write in. */
export type LevelWords = Readonly<Record<Level, readonly string[]>>;

export type TextReading =
  | { ok: true; games: GameAnswer[] }
  /** Why a person has to look at it, in a sentence. */
  | { ok: false; why: string };

const MOST = 300;
const MOST_MINUTES = 180;

/** Digits of any script as 0 to 9: each begins its row of ten. Ornamental ones, of which several rows adjoin, first become plain. */
function digits(text: string): string {
  return text.normalize('NFKC').replace(/\p{Nd}/gu, (digit) => {
    const code = digit.codePointAt(0)!;
    let zero = code;
    while (/\p{Nd}/u.test(String.fromCodePoint(zero - 1)) && code - (zero - 1) < 10) zero--;
    return String(code - zero);
  });
}
const plainWords = (text: string): string =>
  searchable(digits(text))
    .replace(/\p{Default_Ignorable_Code_Point}/gu, '')
    .replace(/\s+/g, ' ');

/** A tag at the beginning of a text, and what follows it. */
export function tagBefore(text: string): { tag?: string; rest: string } {
  const begun = text.trimStart();
  const [first = '', rest = ''] = /^[\w-]{5,6}(?![^\s:,])/.test(begun)
    ? [
        begun.slice(0, begun.search(/[\s:,]|$/)),
        begun.slice(begun.search(/[\s:,]|$/)).replace(/^[\s:,]+/, ''),
      ]
    : [];
  const tag = readTag(first);
  return tag.kind === 'tag' ? { tag: tag.tag, rest } : { rest: text };
}

/** Reads an answer about a bag with so many games. */
export function readText(text: string, games: number, words: LevelWords): TextReading {
  const refuse = (why: string): TextReading => ({ ok: false, why });
  if (text.length > MOST) return refuse('It is long: somebody has to read it.');
  const known = (Object.keys(LEVELS) as Level[]).flatMap((level) =>
    words[level].map((word) => ({ level, word: plainWords(word) })),
  );
  const found = new Map<number, GameAnswer>();
  const parts = text
    .split(/[,;،؛、，；\n]|\.(?=\s|$)/)
    .map(plainWords)
    .filter(Boolean);
  if (parts.length === 0) return refuse('Nothing is written in it.');
  for (const part of parts) {
    const [, number, word, minutes] = /^(\d{1,2})? ?(\D*?\S)? ?(\d{1,3})?$/.exec(part) ?? [];
    const levels = new Set(known.filter((one) => one.word === word).map(({ level }) => level));
    if (levels.size !== 1)
      return refuse(`“${part}” is not the number of a game, one of the three words, and the minutes.`);
    if (number === undefined && games !== 1)
      return refuse(`It does not say which of the ${games} games of the bag it means.`);
    const game = Number(number ?? 1);
    if (game < 1 || game > games)
      return refuse(
        games === 1
          ? `There is one game in the bag, and it speaks of game ${game}.`
          : `There are ${games} games in the bag, and it speaks of game ${game}.`,
      );
    if (found.has(game)) return refuse(`It speaks twice of game ${game}.`);
    const long = minutes === undefined ? undefined : Number(minutes);
    if (long !== undefined && (long < 1 || long > MOST_MINUTES))
      return refuse(`${minutes} minutes is not how long a game takes.`);
    found.set(game, {
      ...silent(game - 1),
      said: [...levels][0]!,
      ...(long === undefined ? {} : { minutes: long }),
    });
  }
  return { ok: true, games: [...found.values()].sort((a, b) => a.position - b.position) };
}
