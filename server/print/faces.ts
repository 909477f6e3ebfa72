/** The font files of paper: each covers some characters, and every script that families read has one. */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { FontName } from '~/core/paper/sheet';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { sfntOf } from './sfnt';

/** One file of a font, with the characters it is meant for. */
export interface Face {
  /** Its file below node_modules. */
  file: string;
  family: string;
  weight: 400 | 700;
  /** The characters as a style sheet says them: "U+0600-06FF". */
  range: string;
  covers: (code: number) => boolean;
  /** Letters of it run from the right, and are shaped together. */
  rightToLeft: boolean;
  /** Every character is as wide as it is alone. */
  square: boolean;
}

interface Package {
  name: string;
  family: string;
  /** Of several parts only these; all of them, where nothing is said. */
  parts?: readonly string[];
  /** It has one weight only. */
  plain?: boolean;
}
const LATIN = ['latin', 'latin-ext'];
const ATKINSON: Package = {
  name: 'atkinson-hyperlegible-next',
  family: 'Atkinson Hyperlegible Next',
  parts: LATIN,
};
const SERIF: Package = { name: 'young-serif', family: 'Young Serif', parts: LATIN, plain: true };
const NOTO: Package = {
  name: 'noto-sans',
  family: 'Noto Sans',
  parts: [...LATIN, 'vietnamese', 'cyrillic', 'cyrillic-ext', 'greek', 'greek-ext'],
};
const noto = (script: string, parts?: readonly string[]): Package => ({
  name: `noto-sans-${script.toLowerCase()}`,
  family: `Noto Sans ${script}`,
  ...(parts ? { parts } : {}),
});
const SCRIPTS = ['Arabic', 'Hebrew', 'Devanagari', 'Bengali', 'Ethiopic'].map((script) =>
  noto(script, [script.toLowerCase()]),
);
const [SIMPLIFIED, TRADITIONAL] = [noto('SC'), noto('TC')];
const RIGHT_TO_LEFT = new Set(['Noto Sans Arabic', 'Noto Sans Hebrew']);

/** The fonts a text is set in, the first that has a character: letters of Vietnamese stand in one font with all others. */
function packagesFor(font: FontName, language: Language | undefined): readonly Package[] {
  const { script } = aboutLanguage(language ?? 'en');
  const latin =
    language === 'vi' || script === 'Cyrl' || script === 'Grek' ? [NOTO, ATKINSON] : [ATKINSON, NOTO];
  const han = script === 'Hant' ? [TRADITIONAL, SIMPLIFIED] : [SIMPLIFIED, TRADITIONAL];
  return [...(font === 'display' && latin[0] === ATKINSON ? [SERIF] : []), ...latin, ...SCRIPTS, ...han];
}

/** The characters of a style sheet's range. Source: CSS Fonts Module Level 4, unicode-range. */
function coverage(range: string): (code: number) => boolean {
  const spans = range.split(',').map((part) => {
    const [from, to] = part.trim().slice(2).split('-');
    return [parseInt(from!, 16), parseInt(to ?? from!, 16)] as const;
  });
  return (code) => spans.some(([from, to]) => code >= from && code <= to);
}

const faces = new Map<string, readonly Face[]>();
/** The files of a font in a weight. */
function facesOf({ name, family, parts, plain }: Package, bold: boolean): readonly Face[] {
  const weight = bold && !plain ? 700 : 400;
  const key = `${name} ${weight}`;
  const known = faces.get(key);
  if (known) return known;
  const folder = `@fontsource/${name}`;
  const ranges = JSON.parse(readFileSync(resolve('node_modules', folder, 'unicode.json'), 'utf8')) as Record<
    string,
    string
  >;
  const made = Object.entries(ranges)
    .map(([part, range]) => [part.replace(/[[\]]/g, ''), range] as const)
    .filter(([part]) => parts?.includes(part) ?? true)
    .map(([part, range]): Face => ({
      file: `${folder}/files/${name}-${part}-${weight}-normal.woff`,
      family,
      weight,
      range,
      covers: coverage(range),
      rightToLeft: RIGHT_TO_LEFT.has(family),
      square: family === SIMPLIFIED.family || family === TRADITIONAL.family,
    }))
    // Where ranges overlap the last one counts, as in a style sheet.
    .reverse();
  faces.set(key, made);
  return made;
}

/** Signs that steer the direction, join letters or choose their form: they have no picture of their own. */
export const isSteering = (code: number): boolean =>
  (code >= 0x200b && code <= 0x200f) ||
  (code >= 0x202a && code <= 0x202e) ||
  (code >= 0x2066 && code <= 0x2069) ||
  (code >= 0xfe00 && code <= 0xfe0f) ||
  code === 0x061c;

const chosen = new Map<string, Face>();
const MOST_CHOSEN = 20_000;
/** The font file that a letter with all its marks is set in: the first that has all of it, else the first of all. */
export function faceFor(letter: string, font: FontName, language?: Language): Face {
  const key = `${font} ${language ?? ''} ${letter}`;
  const known = chosen.get(key);
  if (known) return known;
  const codes = [...letter].map((sign) => sign.codePointAt(0)!).filter((code) => !isSteering(code));
  const all = packagesFor(font, language).flatMap((one) => facesOf(one, font !== 'body'));
  const face = all.find(({ covers }) => codes.every(covers)) ?? all[0]!;
  if (chosen.size >= MOST_CHOSEN) chosen.clear();
  chosen.set(key, face);
  return face;
}

const files = new Map<string, Buffer>();
/** A font file as OpenType. */
export function fontData({ file }: Pick<Face, 'file'>): Buffer {
  const known = files.get(file);
  if (known) return known;
  const data = sfntOf(readFileSync(resolve('node_modules', file)));
  files.set(file, data);
  return data;
}

/** The style rule with a font file inside, so that a page is whole wherever it is opened. */
export function faceRule({ family, weight, range, file }: Face): string {
  const data = readFileSync(resolve('node_modules', file)).toString('base64');
  return `@font-face{font-family:'${family}';font-weight:${weight};unicode-range:${range};src:url(data:font/woff;base64,${data}) format('woff')}`;
}
