/** The languages that families read. */

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
