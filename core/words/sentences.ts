/** The sentences of a line as people read them: with which numbers each is said, and how what people say becomes a line. */
import {
  branchesOf,
  messageOf,
  sentencesOf,
  withForms,
  withSentences,
  type Branch,
  type Sentence,
} from './branches';
import { samplesOf } from './inspect';
import type { Language } from './languages';
import { format, pluralsOf, type Args } from './message';

/** A form that no whole number takes is never said; it is worded as the one before it. */
export const neverSaid = ({ when }: Sentence, language: Language): boolean =>
  when.some(
    ({ kind, option }) =>
      kind === 'plural' && !option.startsWith('=') && !samplesOf(language, option, 1).length,
  );

/** Numbers and words with which a sentence is said. */
export const saidWith = ({ when }: Sentence, language: Language, args: Args): Args => ({
  ...args,
  ...Object.fromEntries(
    when.map(({ name, kind, option }) => [
      name,
      kind === 'select'
        ? option
        : option.startsWith('=')
          ? Number(option.slice(1))
          : (samplesOf(language, option, 2).at(-1) ?? args[name] ?? 0),
    ]),
  ),
});

/** Whether a sentence is the one that is said with these numbers and words. */
export function isSaid(
  sentence: Sentence,
  all: readonly Sentence[],
  language: Language,
  args: Args,
): boolean {
  const rules = pluralsOf(language);
  return sentence.when.every(({ name, kind, option }, i) => {
    const value = args[name];
    const before = sentence.when.slice(0, i);
    // The other ways on from the same choices.
    const options = all
      .filter(({ when }) => before.every((one, j) => when[j]?.option === one.option))
      .map(({ when }) => when[i]?.option);
    if (kind === 'select')
      return option === value || (option === 'other' && !options.includes(String(value)));
    if (options.includes(`=${value}`)) return option === `=${value}`;
    const form = rules.select(Number(value));
    return option === (options.includes(form) ? form : 'other');
  });
}

/**
 * The sentence of a line that is said with the same numbers as a sentence of another language; where that one does not
 * tell apart what this line does, the last one, which is said of all others.
 */
export function besides(
  line: readonly Sentence[],
  language: Language,
  sentence: Sentence,
  other: Language,
): Sentence {
  if (line.length === 1) return line[0]!;
  const args = saidWith(sentence, other, {});
  const among = line.map(({ when, text }) => ({ when: when.filter(({ name }) => name in args), text }));
  return among.findLast((one) => isSaid(one, among, language, args)) ?? line.at(-1)!;
}

/** Places that the game fills in, each once: {counters}. */
export const placesIn = (text: string): string[] => [
  ...new Set([...text.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!)),
];

/** Whether a sentence is said of one single number of an argument, which it may then say in words. */
const ofOneNumber = ({ when }: Sentence, name: string, language: Language): boolean =>
  when.some(
    (one) =>
      one.name === name &&
      (one.kind === 'select' || one.option.startsWith('=') || samplesOf(language, one.option, 2).length < 2),
  );

/** Places of the English line that a sentence of its wording lacks, although it is said of several numbers. */
export function lostPlaces(message: string, english: string, language: Language): string[] {
  const source = sentencesOf(branchesOf(english, 'en'));
  const lost = sentencesOf(withForms(branchesOf(message, language), language))
    .filter((one) => !neverSaid(one, language))
    .flatMap((one) => {
      const has = placesIn(one.text);
      return placesIn(besides(source, 'en', one, language).text).filter(
        (name) => !has.includes(name) && !ofOneNumber(one, name, language),
      );
    });
  return [...new Set(lost)];
}

/** A line as it is read with some numbers. */
export interface AsRead {
  args: Args;
  english: string;
  said: string;
}
/** More ways than these are not read one after the other. */
const MOST_WAYS = 6;
/** A line with its own numbers, and then once for every other form that its sentences take. */
export function waysToRead(english: string, message: string, language: Language, args: Args): AsRead[] {
  const as = (with_: Args): AsRead => ({
    args: with_,
    english: format(english, 'en', with_),
    said: format(message, language, with_),
  });
  const all = sentencesOf(branchesOf(message, language)).filter((one) => !neverSaid(one, language));
  const others = all.filter((one) => !isSaid(one, all, language, args));
  const ways = [as(args), ...others.map((one) => as(saidWith(one, language, args)))];
  return ways.filter((one, i) => ways.findIndex(({ said }) => said === one.said) === i).slice(0, MOST_WAYS);
}

/**
 * The line in which what somebody would say stands in place of what is said with these numbers: each number that the
 * game fills in is found again where it stands once. Undefined where that cannot be told.
 */
export function lineFromSaid(
  better: string,
  message: string,
  language: Language,
  args: Args,
): string | undefined {
  const branch: Branch = withForms(branchesOf(message, language), language);
  const all = sentencesOf(branch);
  const at = all.findIndex((one) => isSaid(one, all, language, args));
  const sentence = all[at];
  if (!sentence) return undefined;
  let text = better.trim();
  if (/[{}]/.test(text)) return undefined;
  const names = placesIn(sentence.text);
  const values = names.map((name) => format(`{${name}}`, language, { [name]: args[name] ?? '' }));
  if (values.some((value, i) => value === '' || values.some((other, j) => j !== i && other.includes(value))))
    return undefined;
  for (const [i, name] of names.entries()) {
    const pieces = text.split(values[i]!);
    const wanted = sentence.text.split(`{${name}}`).length;
    if (pieces.length !== wanted) return undefined;
    if (
      pieces.some(
        (piece, k) => (k > 0 && /^\p{N}/u.test(piece)) || (k < pieces.length - 1 && /\p{N}$/u.test(piece)),
      )
    )
      return undefined;
    text = pieces.join(`{${name}}`);
  }
  const texts = all.map((one) => one.text);
  texts[at] = text;
  for (let i = at + 1; i < all.length && neverSaid(all[i]!, language); i++) texts[i] = text;
  return messageOf(withSentences(branch, texts));
}
