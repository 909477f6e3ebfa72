/** The wording that ships with the application, by language. A page in the browser is given excerpts of it. */
import { ar } from './ar';
import { es } from './es';
import type { Language } from './languages';
import { pt } from './pt';
import { ENGLISH, type Reading } from './reading';

const SHIPPED: Readonly<Record<Language, Reading>> = {
  en: ENGLISH,
  es: { language: 'es', wording: es },
  pt: { language: 'pt', wording: pt },
  ar: { language: 'ar', wording: ar },
};

/** The shipped reading of a language. */
export const readingOf = (language: Language): Reading => SHIPPED[language];
