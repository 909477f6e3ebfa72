/** Questions about messages: what arguments they take, and whether a number is written in them. */
import type { IntlMessageFormat } from 'intl-messageformat';
import type { Language } from './languages';
import { compile, pluralsOf } from './message';

type Ast = ReturnType<IntlMessageFormat['getAst']>;

const LITERAL = 0;
const ARGUMENT_TYPES = new Set([1, 2, 3, 4, 5, 6]);

function walk(ast: Ast, visit: (element: Ast[number]) => void): void {
  for (const element of ast) {
    visit(element);
    if ('options' in element) for (const option of Object.values(element.options)) walk(option.value, visit);
  }
}

/** Names of the arguments a message takes, sorted. Throws SyntaxError when it is not well formed. */
export function argumentsOf(message: string): string[] {
  const names = new Set<string>();
  walk(compile(message, 'en').getAst(), (element) => {
    if (ARGUMENT_TYPES.has(element.type)) names.add((element as { value: string }).value);
  });
  return [...names].sort();
}

/** An argument of a message: what its branches are for. */
export interface Argument {
  name: string;
  kind: 'plain' | 'plural' | 'select';
  /** The branches of a plural or a choice, each once. */
  options: string[];
}

const SELECT = 5;
const PLURAL = 6;

/** The arguments of a message in the order in which they come. Throws SyntaxError when it is not well formed. */
export function argumentsIn(message: string): Argument[] {
  const found = new Map<string, Argument>();
  walk(compile(message, 'en').getAst(), (element) => {
    if (!ARGUMENT_TYPES.has(element.type)) return;
    const { value: name } = element as { value: string };
    const kind = element.type === PLURAL ? 'plural' : element.type === SELECT ? 'select' : 'plain';
    const options = 'options' in element ? Object.keys(element.options) : [];
    const before = found.get(name);
    if (!before) found.set(name, { name, kind, options });
    else if (kind !== 'plain')
      found.set(name, { name, kind, options: [...new Set([...before.options, ...options])] });
  });
  return [...found.values()];
}

/** The plural forms that counts of a language take, from one to some hundreds: one and several in English, five in Arabic. */
export function formsOf(language: Language): Intl.LDMLPluralRule[] {
  const rules = pluralsOf(language);
  return [...new Set(Array.from({ length: 200 }, (_, i) => rules.select(i + 1)))];
}
/** The smallest count that takes a plural form. */
export const sampleOf = (language: Language, form: Intl.LDMLPluralRule): number => {
  const rules = pluralsOf(language);
  return Array.from({ length: 200 }, (_, i) => i + 1).find((n) => rules.select(n) === form) ?? 1;
};

/** Of each language, the counts up to some hundreds by the plural form that they take. */
const counts = new Map<Language, Map<string, number[]>>();
function countsOf(language: Language): Map<string, number[]> {
  const known = counts.get(language);
  if (known) return known;
  const rules = pluralsOf(language);
  const found = new Map<string, number[]>();
  for (let n = 0; n < 200; n++) {
    const form = rules.select(n);
    found.set(form, [...(found.get(form) ?? []), n]);
  }
  counts.set(language, found);
  return found;
}
/** The first few counts that take a plural form; none where no whole number takes it. */
export const samplesOf = (language: Language, form: string, most = 3): number[] =>
  (countsOf(language).get(form) ?? []).slice(0, most);

/**
 * Plural forms of a language that a message has no words for, by argument. The exact number one stands for its form; what
 * only tells exact numbers from all others needs no forms.
 */
export function missingForms(message: string, language: Language): { argument: string; form: string }[] {
  const missing: { argument: string; form: string }[] = [];
  walk(compile(message, 'en').getAst(), (element) => {
    if (element.type !== PLURAL) return;
    const { value: argument, options } = element as { value: string; options: Record<string, unknown> };
    const named = Object.keys(options);
    if (named.length > 1 && named.every((form) => form === 'other' || form.startsWith('='))) return;
    for (const form of formsOf(language))
      if (!(form in options) && !(form === 'one' && '=1' in options)) missing.push({ argument, form });
  });
  return missing;
}

/** What a message says itself, piece by piece, without what its arguments say. Throws SyntaxError when it is not well formed. */
export function literalsOf(message: string): string[] {
  const found: string[] = [];
  walk(compile(message, 'en').getAst(), (element) => {
    if (element.type === LITERAL) found.push((element as { value: string }).value);
  });
  return found;
}

/** Digits written into the text itself: every number in a sentence must come from an argument. */
export const digitsIn = (message: string): string[] =>
  literalsOf(message).flatMap((text) => text.match(/\p{Nd}+/gu) ?? []);
