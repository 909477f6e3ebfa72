/** Messages with named arguments (ICU syntax), and their rendering in a language. */
import { IntlMessageFormat } from 'intl-messageformat';

/** Home languages a family can have. Which of them have wording is told by `WORDED`. */
export const LANGUAGES = {
  en: { name: 'English', own: 'English', direction: 'ltr' },
  es: { name: 'Spanish', own: 'Español', direction: 'ltr' },
  ar: { name: 'Arabic', own: 'العربية', direction: 'rtl' },
  pt: { name: 'Portuguese', own: 'Português', direction: 'ltr' },
} as const;
export type Language = keyof typeof LANGUAGES;

/** Languages every message is written in. */
export const WORDED = ['en', 'es'] as const;
export type Worded = (typeof WORDED)[number];

/** The language itself when it has wording, else English. */
export const wordedOr = (language: string | null | undefined): Worded =>
  WORDED.includes(language as Worded) ? (language as Worded) : 'en';

export type Args = Readonly<Record<string, string | number>>;
/** Messages of one language by their id. */
export type Messages = Readonly<Record<string, string>>;
export type Wording<M extends Messages = Messages> = Readonly<Record<Worded, M>>;

const cache = new Map<string, IntlMessageFormat>();

/** Renders one message. Throws Error when an argument is missing or the message is not well formed. */
export function format(message: string, language: Worded, args: Args = {}): string {
  const key = `${language}\n${message}`;
  let compiled = cache.get(key);
  if (!compiled) {
    compiled = new IntlMessageFormat(message, language === 'es' ? 'es-US' : 'en-US');
    cache.set(key, compiled);
  }
  return String(compiled.format(args));
}

/** Renders the message with this id. Throws RangeError for an id the wording does not have. */
export function say(wording: Wording, language: Worded, id: string, args: Args = {}): string {
  const message = wording[language][id];
  if (message === undefined) throw new RangeError(`id: there is no message "${id}" in ${language}`);
  return format(message, language, args);
}
