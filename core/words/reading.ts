/**
 * Whoever says a line is handed a reading: a language with its messages. English is the source and stands with what
 * it belongs to; every other language, and a school's own wording, lies over it.
 */
import { format, type Args, type Messages } from './message';
import type { Language } from './languages';
import { SHARED } from './shared';

/** English messages and the name under which other languages have theirs. */
export interface Source<M extends Messages = Messages> {
  readonly id: string;
  readonly en: M;
  /** What its maker wrote in other languages, before all else: a game of a school's own brings its own. */
  readonly own?: Readonly<Partial<Record<Language, Messages>>>;
}
export const source = <const M extends Messages>(id: string, en: M): Source<M> => ({ id, en });

/** Messages of one language by the name of what they belong to. */
export type Wording = Readonly<Record<string, Messages>>;

export interface Reading {
  readonly language: Language;
  readonly wording: Wording;
  /** What the school changed in the English source: it stands where the reading has no wording. */
  readonly english?: Wording;
}
/** The source itself. */
export const ENGLISH: Reading = { language: 'en', wording: {} };

/** The English message with this id, as the school has it. */
export const englishOf = (
  { english }: Pick<Reading, 'english'>,
  source: Source,
  id: string,
): string | undefined => english?.[source.id]?.[id] ?? source.en[id];

/** The message with this id as the reading has it; undefined where it has none and English has to do. */
export function messageIn(
  { language, wording, english }: Reading,
  source: Source,
  id: string,
): string | undefined {
  const own = source.own?.[language]?.[id] ?? wording[source.id]?.[id];
  if (own !== undefined) return own;
  const shipped = source.en[id];
  if (language === 'en') return shipped;
  // What games say alike is worded once, unless the school says it otherwise in this one.
  return shipped !== undefined && shipped === (SHARED.en as Messages)[id] && !english?.[source.id]?.[id]
    ? wording[SHARED.id]?.[id]
    : undefined;
}

/** Whether a line of a source is said as games say it alike: it is worded, and read, once for all of them. */
export const isShared = ({ wording, english }: Reading, source: Source, id: string): boolean =>
  source.id !== SHARED.id &&
  source.en[id] !== undefined &&
  source.en[id] === (SHARED.en as Messages)[id] &&
  !source.own &&
  wording[source.id]?.[id] === undefined &&
  english?.[source.id]?.[id] === undefined;

/** The language a message is said in: that of the reading, or English where it has no wording for it. */
export const saidIn = <M extends Messages>(
  reading: Reading,
  source: Source<M>,
  id: keyof M & string,
): Language => (messageIn(reading, source, id) === undefined ? 'en' : reading.language);

/**
 * Renders the message with this id; in English where the reading has no wording for it. Throws RangeError for an id
 * that there is not at all, Error when an argument is missing.
 */
export function say<M extends Messages>(
  reading: Reading,
  source: Source<M>,
  id: keyof M & string,
  args: Args = {},
): string {
  const message = messageIn(reading, source, id);
  if (message !== undefined) return format(message, reading.language, args);
  const english = englishOf(reading, source, id);
  if (english === undefined) throw new RangeError(`id: there is no message "${id}"`);
  return format(english, 'en', args);
}

/** The name of a game in a reading; a name is plain text. */
export const nameOf = ({ words }: { words: Source }, reading: Reading = ENGLISH): string =>
  say(reading, words, 'name');

/** The lines of a source as the reading has them, by their ids in the order of the source. */
export const linesOf = (reading: Reading, source: Source): Record<string, string> =>
  Object.fromEntries(
    Object.keys(source.en).flatMap((id) => {
      const message = messageIn(reading, source, id);
      return message === undefined ? [] : [[id, message]];
    }),
  );

/** A reading with nothing but the lines of these sources, for a page that shows no others. */
export const excerpt = (reading: Reading, ...sources: readonly Source[]): Reading => ({
  language: reading.language,
  wording: Object.fromEntries(sources.map((source) => [source.id, linesOf(reading, source)])),
  ...(reading.english
    ? {
        english: Object.fromEntries(
          sources.flatMap(({ id }) => (reading.english![id] ? [[id, reading.english![id]]] : [])),
        ),
      }
    : {}),
});

/** What a school changed, by language. */
export type Revised = Readonly<Partial<Record<Language, Wording>>>;

/** A reading with what the school changed laid over it. */
export function revised(reading: Reading, changed: Revised): Reading {
  const mine = changed[reading.language];
  const english = reading.language === 'en' ? undefined : changed.en;
  if (!mine && !english) return reading;
  const wording = { ...reading.wording };
  for (const [id, messages] of Object.entries(mine ?? {})) wording[id] = { ...wording[id], ...messages };
  return { language: reading.language, wording, ...(english ? { english } : {}) };
}
