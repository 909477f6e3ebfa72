/**
 * What is not worded yet: games (or other sources) whose lines are missing in a language that ships. They are said in
 * English there, marked as English, and the words desk lists them. A test holds that nothing else is missing.
 */
import { SHIPPED_LANGUAGES, type Language } from './languages';

/** Every language but the source. */
export const EVERY: readonly Language[] = SHIPPED_LANGUAGES.filter((language) => language !== 'en');

/** The languages that a source lacks lines in, by its id. */
export const OWED: Readonly<Partial<Record<string, readonly Language[]>>> = {
  // So: 'even-ladder': EVERY,
};
