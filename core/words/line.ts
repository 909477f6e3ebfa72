/** Whether a line that somebody words says the same as the English one, as far as that can be told without reading it. */
import { argumentsOf, digitsIn, missingForms } from './inspect';
import type { Language } from './languages';
import { listed } from './numbers';
import { lostPlaces } from './sentences';

/** Longer lines than this are no sentence any more. */
export const MOST_LINE = 2000;

const FORM_NAMES: Readonly<Record<string, string>> = {
  zero: 'none',
  one: 'one',
  two: 'two',
  few: 'a few',
  many: 'many',
  other: 'all others',
};

/** What is wrong with a line, a sentence each; none where it can be said. */
export function faultsOfLine(message: string, english: string, language: Language): string[] {
  if (message.trim() === '') return ['Write the line, or go back to what ships.'];
  if (message.length > MOST_LINE) return [`A line has room for ${MOST_LINE} characters.`];
  let has: string[];
  try {
    has = argumentsOf(message);
  } catch {
    return ['It cannot be read: look whether every { has its }, and every choice its “other”.'];
  }
  const wants = argumentsOf(english);
  const named = (list: readonly string[]): string => listed(list.map((name) => `{${name}}`));
  const [lost, strange] = [
    wants.filter((name) => !has.includes(name)),
    has.filter((name) => !wants.includes(name)),
  ];
  const forms = missingForms(message, language);
  const unsaid = lost.length + strange.length ? [] : lostPlaces(message, english, language);
  const digits = digitsIn(message);
  return [
    ...(lost.length ? [`${named(lost)} is missing: the number or word would not be said.`] : []),
    ...(unsaid.length
      ? [`${named(unsaid)} is missing in one of its sentences: the number would not be said.`]
      : []),
    ...(strange.length ? [`The English line has no ${named(strange)}.`] : []),
    ...(digits.length
      ? [
          `“${digits[0]!}” is typed by hand: a number comes from a place such as {a}, so that it is never wrong.`,
        ]
      : []),
    ...[...new Set(forms.map(({ argument }) => argument))].map(
      (argument) =>
        `{${argument}} needs words for ${listed(
          forms.filter((one) => one.argument === argument).map(({ form }) => FORM_NAMES[form] ?? form),
        )}, as this language counts.`,
    ),
  ];
}
