/** The languages that families read: any of CLDR's list whose script the fonts of this application have. */
import { addFormat } from '~/core/check/formats';
import { CLDR } from './cldr';

/** A language by its tag: "es", "zh-Hans". Source: BCP 47. */
export type Language = string;

export interface LanguageAbout {
  tag: Language;
  /** Its name in English, and in itself. */
  name: string;
  own: string;
  direction: 'ltr' | 'rtl';
  /** The script it is written in, by its code of four letters. Source: ISO 15924. */
  script: string;
}

/** Scripts that a font of this application has, with their names. */
export const SCRIPTS: Readonly<Record<string, string>> = {
  Latn: 'Latin',
  Cyrl: 'Cyrillic',
  Grek: 'Greek',
  Arab: 'Arabic',
  Hebr: 'Hebrew',
  Deva: 'Devanagari',
  Beng: 'Bengali',
  Ethi: 'Ethiopic',
  Hans: 'simplified Chinese',
  Hant: 'traditional Chinese',
};
const RIGHT_TO_LEFT = new Set(['Arab', 'Hebr', 'Syrc', 'Thaa', 'Nkoo', 'Rohg', 'Mand', 'Samr', 'Adlm']);

/** Own names that CLDR does not have, or not as families say them. */
const OWN: Readonly<Record<string, string>> = {
  'fa-AF': 'دری',
  hmn: 'Hmoob',
  ht: 'Kreyòl ayisyen',
  mh: 'Kajin M̧ajeļ',
  'pa-Arab': 'پنجابی',
  'zh-Hans': '简体中文',
  'zh-Hant': '繁體中文',
};

const ALL = new Map<string, LanguageAbout>(
  CLDR.trim()
    .split('\n')
    .map((row) => {
      const [tag, name, own, script] = row.split('|') as [string, string, string, string];
      const direction = RIGHT_TO_LEFT.has(script) ? ('rtl' as const) : ('ltr' as const);
      return [tag, { tag, name, own: OWN[tag] ?? (own || name), direction, script }];
    }),
);

/** Every language there is, by its English name. */
export const allLanguages = (): LanguageAbout[] =>
  [...ALL.values()].sort((a, b) => a.name.localeCompare(b.name, 'en'));

/** Whether a text is the tag of a language that can be printed. */
export const isLanguage = (tag: unknown): tag is Language =>
  typeof tag === 'string' && ALL.has(tag) && ALL.get(tag)!.script in SCRIPTS;
addFormat('language', isLanguage);

/** What is known of a language. One that is not in the list is shown by its tag, from left to right. */
export const aboutLanguage = (tag: Language): LanguageAbout =>
  ALL.get(tag) ?? { tag, name: tag, own: tag, direction: 'ltr', script: 'Latn' };

const scriptNames = new Intl.DisplayNames(['en'], { type: 'script' });
/** Why a language cannot be added; undefined where it can. */
export function languageFault(tag: string): string | undefined {
  const found = ALL.get(tag);
  if (!found) return 'Choose a language from the list.';
  return found.script in SCRIPTS
    ? undefined
    : `${found.name} is written in ${scriptNames.of(found.script)!}, and no font here has that script: its sheets could not be printed.`;
}

/** The language that a person names: by its tag, its English or its own name, in any case. */
export function languageNamed(text: string): LanguageAbout | undefined {
  const wanted = text.trim().toLowerCase();
  return wanted
    ? [...ALL.values()].find(({ tag, name, own }) =>
        [tag, name, own].some((one) => one.toLowerCase() === wanted),
      )
    : undefined;
}

/** Languages that ship with wording; English is the source. */
export const SHIPPED_LANGUAGES: readonly Language[] = ['en', 'es', 'pt', 'ar', 'vi', 'zh-Hans'];
