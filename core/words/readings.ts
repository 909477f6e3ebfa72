/** The wording that ships with the application, by language. A page in the browser is given excerpts of it. */
import { ar } from './ar';
import { es } from './es';
import type { Language } from './languages';
import { pt } from './pt';
import { vi } from './vi';
import { zhHans } from './zh-hans';
import { ENGLISH, nameOf, revised, type Reading, type Revised, type Source } from './reading';

const SHIPPED: Readonly<Record<Language, Reading>> = {
  en: ENGLISH,
  es: { language: 'es', wording: es },
  pt: { language: 'pt', wording: pt },
  ar: { language: 'ar', wording: ar },
  vi: { language: 'vi', wording: vi },
  'zh-Hans': { language: 'zh-Hans', wording: zhHans },
};

/** The reading of a language: what ships, with what a school changed over it; empty for a language that ships without. */
export const readingOf = (language: Language, changed: Revised = {}): Reading =>
  revised(SHIPPED[language] ?? { language, wording: {} }, changed);

/** The names of a game in every language that ships, each once: people search by any of them. */
export const namesOf = (game: { words: Source }): string[] => [
  ...new Set(Object.values(SHIPPED).map((reading) => nameOf(game, reading))),
];
