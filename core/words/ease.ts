/** How easily a text reads: words, sentences, syllables, and the score that is usual in its language. */
import { Type, type Static } from '@sinclair/typebox';
import { syllable } from 'syllable';
import { Line } from '~/core/check/schema';

/** Longer texts than this are not asked about. */
const MOST_TEXT = 100_000;
export const readingSchema = Type.Object(
  {
    language: Line(35, { title: 'Language' }),
    text: Type.String({ minLength: 1, maxLength: MOST_TEXT, title: 'Text' }),
  },
  { additionalProperties: false },
);

export interface Ease {
  words: number;
  /** Words in the longest sentence. */
  longestSentence: number;
  /** Only where the language has a score. */
  sentences?: number;
  syllables?: number;
  score?: number;
  /** The name of the score. English: a school year, more is harder. Spanish and Portuguese: 0 to 100, more is easier. */
  scale?: string;
}

interface Scale {
  name: string;
  syllables: (word: string) => number;
  score: (perSentence: number, perWord: number) => number;
}

/** Source: Kincaid and others, 1975; Barrio-Cantalejo and others, 2008; Martins and others, 1996. */
const SCALES: Readonly<Record<string, Scale>> = {
  en: {
    name: 'Flesch–Kincaid grade',
    syllables: syllable,
    score: (perSentence, perWord) => 0.39 * perSentence + 11.8 * perWord - 15.59,
  },
  es: {
    name: 'INFLESZ',
    syllables: syllablesInSpanish,
    score: (perSentence, perWord) => 206.835 - 62.3 * perWord - perSentence,
  },
  pt: {
    name: 'Flesch for Portuguese',
    syllables: syllablesInPortuguese,
    score: (perSentence, perWord) => 248.835 - 84.6 * perWord - 1.015 * perSentence,
  },
};

function isTag(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}

const segmenters = new Map<string, Intl.Segmenter>();
/** Making one takes longer than its work on a line. */
function segmenter(language: string, granularity: 'word' | 'sentence'): Intl.Segmenter {
  const key = `${language} ${granularity}`;
  const found = segmenters.get(key) ?? new Intl.Segmenter(language, { granularity });
  segmenters.set(key, found);
  return found;
}

const wordsIn = (text: string, language: string): string[] =>
  [...segmenter(language, 'word').segment(text)].flatMap(({ segment, isWordLike }) =>
    isWordLike ? [segment] : [],
  );

/** How easily a text reads. Throws RangeError where it has no word, and for what is no tag of a language. */
export function reading({ language, text }: Static<typeof readingSchema>): Ease {
  if (!isTag(language)) throw new RangeError(`language: "${language}" is not the tag of a language.`);
  const sentences = [...segmenter(language, 'sentence').segment(text)]
    .map(({ segment }) => wordsIn(segment, language))
    .filter((words) => words.length > 0);
  if (sentences.length === 0) throw new RangeError('text: there is no word in it.');
  const words = sentences.flat();
  const counted = {
    words: words.length,
    longestSentence: Math.max(...sentences.map(({ length }) => length)),
  };
  const scale = SCALES[language.split('-')[0]!.toLowerCase()];
  if (!scale) return counted;
  // A number, or letters that spell nothing, is said as one syllable at the least.
  const syllables = words.reduce((sum, word) => sum + Math.max(1, scale.syllables(word)), 0);
  return {
    ...counted,
    sentences: sentences.length,
    syllables,
    score: scale.score(words.length / sentences.length, syllables / words.length),
    scale: scale.name,
  };
}

/** Whether two vowels that follow each other are said apart. */
type Apart = (before: string, after: string, rest: string, start: string) => boolean;
/** Syllables of a word: its groups of vowels, and once more wherever two of them are said apart. */
function nuclei(word: string, vowel: RegExp, apart: Apart): number {
  let count = 0;
  for (let at = 0; at < word.length; at++) {
    if (!vowel.test(word[at]!)) continue;
    const before = word[at - 1];
    if (before === undefined || !vowel.test(before)) count++;
    else if (apart(before, word[at]!, word.slice(at + 1), word.slice(0, at - 1))) count++;
  }
  return count;
}

/** Source: the rules of spelling of Spanish, on diphthongs and hiatus. */
function syllablesInSpanish(written: string): number {
  const word = written
    .normalize('NFC')
    .toLowerCase()
    .replace(/qu(?=[eiéí])/g, 'q')
    .replace(/gu(?=[eiéí])/g, 'g')
    // At the start of a syllable "hu" is said like a consonant; any other h is silent.
    .replace(/hu(?=[aeoiáéóí])/g, 'w')
    .replace(/(?<!c)h/g, '')
    .replace(/y(?![a-záéíóúü])/g, 'i');
  const strong = /[aeoáéó]/;
  const stressed = /[íú]/;
  return nuclei(
    word,
    /[aeiouáéíóúü]/,
    (before, after, _, start) =>
      before === after ||
      (strong.test(before) && (strong.test(after) || stressed.test(after))) ||
      (stressed.test(before) && strong.test(after)) ||
      // Between two strong vowels a weak one begins the next syllable.
      (strong.test(after) && /[aeoáéó]$/.test(start)),
  );
}

/** Source: the rules of spelling of Brazilian Portuguese, on diphthongs and hiatus. */
function syllablesInPortuguese(written: string): number {
  const word = written
    .normalize('NFC')
    .toLowerCase()
    .replace(/([qg])u(?=[eiéêí])/g, '$1')
    .replace(/y/g, 'i');
  const strong = /[aeoáàâãéêóôõ]/;
  return nuclei(word, /[aeiouáàâãéêíóôõúü]/, (before, after, rest, start) => {
    if (/ã[oe]|õe/.test(before + after)) return false;
    if (strong.test(after)) {
      if (strong.test(before)) return true;
      // "água", "quatro": said in one after q and g; "história": at the end of a word stressed before.
      if (/[uü]/.test(before) && /[qg]$/.test(start)) return false;
      return !(/^[iu]$/.test(before) && /^s?$/.test(rest) && /[áâéêíóôú]/.test(start));
    }
    // "saída", "rainha", "ainda", "sair": a weak vowel stands alone under its accent, and before these.
    return before === after || /[íú]/.test(after) || /^(nh|[lrmnz]([^aeiouáàâãéêíóôõú]|$))/.test(rest);
  });
}

/** What a score means, as a word; undefined where the language has none. */
export function easeWord({ score, scale }: Ease): string | undefined {
  if (score === undefined) return undefined;
  if (scale === SCALES.en!.name)
    return score < 3 ? 'easy' : score < 6 ? 'plain' : score < 9 ? 'rather hard' : 'hard';
  const [easy, plain, rather] = scale === SCALES.es!.name ? [80, 65, 55] : [75, 50, 25];
  return score >= easy ? 'easy' : score >= plain ? 'plain' : score >= rather ? 'rather hard' : 'hard';
}
