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

/** What somebody said of a line, and for which wording and which English. */
export interface ReadLine extends LineCheck {
  message: string;
  /** Not known of the oldest ones. */
  english: string | null;
  /** The reader could not tell. */
  unsure: boolean;
  /** Said through a link by invitation; else at the school, whose word settles what was said before it. */
  invited: boolean;
  at: Date;
}

/** One who said something of a line as it is. */
export type Voice = Pick<ReadLine, 'by' | 'right' | 'note' | 'unsure' | 'invited'>;

/** Where a line stands: a line that was worded anew since it was read is not checked any more. */
export type LineState =
  | { kind: 'unchecked' }
  /** In doubt where one voice does not find it right, whatever the others say. */
  | { kind: 'checked' | 'doubt'; voices: readonly Voice[] }
  /** The English has changed since it was read. */
  | { kind: 'stale'; by: string; note: string; right: boolean; english: string };

/**
 * The words that count: the last one of the school, and the last of each invited reader after that. Of each voice the
 * last word is given.
 */
export function counting<R extends Pick<ReadLine, 'invited' | 'at'>>(read: readonly R[]): R[] {
  const school = read
    .filter(({ invited }) => !invited)
    .reduce<R | undefined>((last, one) => (!last || one.at >= last.at ? one : last), undefined);
  return read.filter((one) => one === school || (one.invited && (!school || one.at > school.at)));
}

/** Whether something was said at all: a word that was taken back says nothing. */
const spoken = ({ right, note, unsure }: Pick<ReadLine, 'right' | 'note' | 'unsure'>): boolean =>
  right || unsure || note !== '';

export function stateOf(read: readonly ReadLine[], now: LineAsItIs): LineState {
  const said = counting(read.filter(({ message }) => message === now.message)).filter(spoken);
  const voices = said.filter((one) => holds(one, now));
  if (voices.length > 0)
    return {
      kind: voices.every(({ right }) => right) ? 'checked' : 'doubt',
      voices: voices.map(({ by, right, note, unsure, invited }) => ({ by, right, note, unsure, invited })),
    };
  const old = said.at(-1);
  return old
    ? { kind: 'stale', by: old.by, note: old.note, right: old.right, english: old.english! }
    : { kind: 'unchecked' };
}

/** What the school itself says of a line; nothing while an invited reader has said something since. */
export function schoolsWord(state: LineState): Omit<LineCheck, 'by'> & { by?: string } {
  const voices = state.kind === 'checked' || state.kind === 'doubt' ? state.voices : [];
  const mine = voices.length === 1 && !voices[0]!.invited ? voices[0]! : undefined;
  return mine ? { right: mine.right, note: mine.note, by: mine.by } : { right: false, note: '' };
}

/** What holds of a line, said in one: it is right where every voice finds it right. */
export function checkOf(state: LineState): LineCheck | undefined {
  if (state.kind !== 'checked' && state.kind !== 'doubt') return undefined;
  return {
    right: state.kind === 'checked',
    note: state.voices
      .map(({ note }) => note)
      .filter(Boolean)
      .join(' · '),
    by: state.voices.map(({ by }) => by).join(', '),
  };
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
