/** What fluent readers said about single lines of wording, and whether it still holds. */
import { diffWords } from 'diff';
import type { Language } from './languages';

export interface LineCheck {
  right: boolean;
  note: string;
  by: string;
}
/** The latest check of each line, as far as it was given for the line as it is now. Keys: "messageId language". */
export type LineChecks = Record<string, LineCheck>;

export const lineKey = (messageId: string, language: string): string => `${messageId} ${language}`;

/** What was said of a line, and for which wording and which English. */
export interface ReadLine extends LineCheck {
  message: string;
  /** Not known of the oldest ones. */
  english: string | null;
}

/** Where a line stands: a line that was worded anew since it was read is not checked any more. */
export type LineState =
  | { kind: 'unchecked' }
  | { kind: 'checked' | 'doubt'; by: string; note: string }
  /** The English has changed since it was read. */
  | { kind: 'stale'; by: string; note: string; right: boolean; english: string };

export function stateOf(read: ReadLine | undefined, now: LineAsItIs): LineState {
  if (!read || read.message !== now.message) return { kind: 'unchecked' };
  const { by, note, right, english } = read;
  if (!holds(read, now)) return { kind: 'stale', by, note, right, english: english! };
  if (right) return { kind: 'checked', by, note };
  return note ? { kind: 'doubt', by, note } : { kind: 'unchecked' };
}

export interface LineAsItIs {
  message: string | undefined;
  english: string | undefined;
}
/** A check holds for the line as it was read, and for the English it was held against: for others it counts no more. */
export const holds = (read: Pick<ReadLine, 'message' | 'english'>, now: LineAsItIs): boolean =>
  read.message === now.message && (read.english === null || read.english === now.english);

/** A piece of a text that was changed: what stayed, what came, what went. */
export interface Changed {
  text: string;
  how: 'same' | 'come' | 'gone';
}
/** What changed from one text to another, word by word. */
export const wordsChanged = (before: string, after: string, language: Language): Changed[] =>
  diffWords(before, after, { intlSegmenter: new Intl.Segmenter(language, { granularity: 'word' }) }).map(
    ({ value, added, removed }) => ({ text: value, how: added ? 'come' : removed ? 'gone' : 'same' }),
  );
