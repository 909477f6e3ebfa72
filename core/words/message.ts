/** Messages with named arguments (ICU syntax), and their rendering in a language. */
import { IntlMessageFormat } from 'intl-messageformat';

import type { Language } from './languages';

export type Args = Readonly<Record<string, string | number>>;
/** Messages of one language by their id. */
export type Messages = Readonly<Record<string, string>>;

/** Where a language is spoken in several ways, the one of families in the Americas. */
const REGIONS: Readonly<Record<Language, string>> = { en: 'US', es: 'US', pt: 'BR' };
const locales = new Map<Language, string>();
/** The locale that plurals and numbers follow; digits stay the ones the pieces and cards show. */
export function localeOf(language: Language): string {
  const known = locales.get(language);
  if (known) return known;
  const region = REGIONS[language];
  const made = new Intl.Locale(language, {
    ...(region ? { region } : {}),
    numberingSystem: 'latn',
  }).toString();
  locales.set(language, made);
  return made;
}

const rules = new Map<Language, Intl.PluralRules>();
/** How a language counts. */
export function pluralsOf(language: Language): Intl.PluralRules {
  const known = rules.get(language);
  if (known) return known;
  const made = new Intl.PluralRules(localeOf(language));
  rules.set(language, made);
  return made;
}

const cache = new Map<string, IntlMessageFormat>();
const MOST_COMPILED = 20_000;

/** A message made ready. Tags are text like any other: "<b>" stands as it is written. Throws SyntaxError. */
export const compile = (message: string, locale: string): IntlMessageFormat =>
  new IntlMessageFormat(message, locale, undefined, { ignoreTag: true });

/** A message that says just this text, whatever braces and apostrophes are in it. */
export function literal(text: string): string {
  const brace = text.search(/[{}]/);
  const doubled = (part: string): string => part.replaceAll("'", "''");
  return brace < 0 ? doubled(text) : `${doubled(text.slice(0, brace))}'${doubled(text.slice(brace))}'`;
}

/** Renders one message. Throws Error when an argument is missing or the message is not well formed. */
export function format(message: string, language: Language, args: Args = {}): string {
  const key = `${language}\n${message}`;
  let compiled = cache.get(key);
  if (!compiled) {
    // What is typed on a bench passes through here too: begin anew before it fills the memory.
    if (cache.size >= MOST_COMPILED) cache.clear();
    compiled = compile(message, localeOf(language));
    cache.set(key, compiled);
  }
  return String(compiled.format(args));
}

/** A message of a counted thing: "1 die", "2 dice". */
export const counted = (one: string, other: string): string =>
  `{quantity, plural, one {# ${one}} other {# ${other}}}`;
