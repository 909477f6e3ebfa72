/**
 * A message taken apart into whole sentences, one for each form that its numbers and choices take, and put together
 * again: whoever words it writes sentences, never the syntax of a message.
 */
import type { IntlMessageFormat } from 'intl-messageformat';
import { formsOf } from './inspect';
import type { Language } from './languages';
import { compile, pluralsOf } from './message';

/** A sentence with its places, such as {n}; or a choice between sentences by what an argument is. */
export type Branch =
  | { text: string }
  | {
      name: string;
      kind: 'plural' | 'select';
      options: readonly (readonly [option: string, branch: Branch])[];
    };

/** One sentence of a message, and when it is said. */
export interface Sentence {
  when: readonly { name: string; kind: 'plural' | 'select'; option: string }[];
  text: string;
}

type Ast = ReturnType<IntlMessageFormat['getAst']>;
type Element = Ast[number];
const [LITERAL, SELECT, PLURAL, POUND] = [0, 5, 6, 7];
type Chooses = Element & { value: string; options: Record<string, { value: Ast }> };
const chooses = (element: Element): element is Chooses => element.type === SELECT || element.type === PLURAL;

const FORMS = ['zero', 'one', 'two', 'few', 'many', 'other'];
/** Exact numbers first, then the forms from few to many, and all others last. */
const inOrder = (options: readonly string[]): string[] =>
  [...options].sort((a, b) => FORMS.indexOf(a) - FORMS.indexOf(b));

/** Takes a message apart. Throws SyntaxError when it is not well formed. */
export function branchesOf(message: string, language: Language): Branch {
  const rules = pluralsOf(language);
  /** The branch of a choice that is said for an option, which another choice of the same argument may have named. */
  const chosen = ({ options }: Chooses, option: string): Ast => {
    const exact = /^=(\d+)$/.exec(option);
    const form = exact ? rules.select(Number(exact[1])) : undefined;
    return (options[option] ?? (form && options[form]) ?? options.other!).value;
  };
  type Known = ReadonlyMap<string, string>;
  /** The first choice that is not made yet. */
  const open = (ast: Ast, known: Known): Chooses | undefined => {
    for (const element of ast) {
      if (!chooses(element)) continue;
      const option = known.get(element.value);
      if (option === undefined) return element;
      const inside = open(chosen(element, option), known);
      if (inside) return inside;
    }
    return undefined;
  };
  /** Every option of an argument, in the order in which they come. */
  const optionsOf = (ast: Ast, name: string, found: Set<string> = new Set()): Set<string> => {
    for (const element of ast) {
      if (!chooses(element)) continue;
      for (const [option, { value }] of Object.entries(element.options)) {
        if (element.value === name) found.add(option);
        optionsOf(value, name, found);
      }
    }
    return found;
  };
  const textOf = (ast: Ast, known: Known, counted: string): string =>
    ast
      .map((element): string => {
        if (element.type === LITERAL) return (element as { value: string }).value;
        if (element.type === POUND) return `{${counted}}`;
        if (!chooses(element)) return `{${(element as { value: string }).value}}`;
        const inside = chosen(element, known.get(element.value)!);
        return textOf(inside, known, element.type === PLURAL ? element.value : counted);
      })
      .join('');
  const ast = compile(message, 'en').getAst();
  const take = (known: Known): Branch => {
    const next = open(ast, known);
    if (!next) return { text: textOf(ast, known, '') };
    const { value: name } = next;
    return {
      name,
      kind: next.type === PLURAL ? 'plural' : 'select',
      options: inOrder([...optionsOf(ast, name)]).map((option) => [
        option,
        take(new Map([...known, [name, option]])),
      ]),
    };
  };
  return take(new Map());
}

/** Its sentences, in order. */
export const sentencesOf = (branch: Branch, when: Sentence['when'] = []): Sentence[] =>
  'text' in branch
    ? [{ when, text: branch.text }]
    : branch.options.flatMap(([option, inside]) =>
        sentencesOf(inside, [...when, { name: branch.name, kind: branch.kind, option }]),
      );

/** The same choices with other sentences, as many as there were. */
export function withSentences(branch: Branch, texts: readonly string[]): Branch {
  let at = 0;
  const fill = (one: Branch): Branch =>
    'text' in one
      ? { text: texts[at++] ?? '' }
      : { ...one, options: one.options.map(([option, inside]) => [option, fill(inside)] as const) };
  return fill(branch);
}

/**
 * Puts it together again. `counted` are the numbers whose forms are told apart already; "#" stands for the last of them,
 * unless a choice between words lies between.
 */
export function messageOf(branch: Branch, counted: readonly string[] = [], sign?: string): string {
  if ('text' in branch)
    return (
      branch.text
        // An apostrophe is text, also before a place: "l'{n}". Signs of a number that are text stand in one quotation with
        // the apostrophes beside them.
        .replace(/['#]+/g, (run) => {
          const doubled = run.replaceAll("'", "''");
          return sign !== undefined && run.includes('#') ? `'${doubled}'` : doubled;
        })
        .replace(/\{(\w+)\}/g, (place, name: string) =>
          name === sign ? '#' : counted.includes(name) ? `{${name}, number}` : place,
        )
    );
  const { name, kind, options } = branch;
  const inside = options.map(([option, one]) =>
    kind === 'plural'
      ? `${option} {${messageOf(one, [...counted, name], name)}}`
      : `${option} {${messageOf(one, counted)}}`,
  );
  return `{${name}, ${kind}, ${inside.join(' ')}}`;
}

/** The choices with a sentence for every form of the language; a form that was missing begins as all others are said. */
export function withForms(branch: Branch, language: Language): Branch {
  if ('text' in branch) return branch;
  const options = branch.options.map(([option, inside]) => [option, withForms(inside, language)] as const);
  const named = options.map(([option]) => option);
  const onlyExact = named.length > 1 && named.every((option) => option === 'other' || option.startsWith('='));
  if (branch.kind === 'select' || onlyExact) return { ...branch, options };
  const other = options.find(([option]) => option === 'other')![1];
  const missing = formsOf(language).filter(
    (form) => !named.includes(form) && !(form === 'one' && named.includes('=1')),
  );
  // A form that the language does not have is never said.
  const has = new Set<string>(pluralsOf(language).resolvedOptions().pluralCategories);
  const kept = new Map([
    ...options.filter(([option]) => option.startsWith('=') || option === 'other' || has.has(option)),
    ...missing.map((form) => [form, other] as const),
  ]);
  return {
    ...branch,
    options: inOrder([...kept.keys()]).map((option) => [option, kept.get(option)!] as const),
  };
}

/** The choices of the English line for a language that has no wording of it yet: its sentences are to be written. */
export const emptyBranches = (english: string, language: Language): Branch => {
  const branch = withForms(branchesOf(english, 'en'), language);
  return withSentences(
    branch,
    sentencesOf(branch).map(() => ''),
  );
};
