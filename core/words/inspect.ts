/** Questions about messages: what arguments they take, and whether a number is written in them. */
import type { IntlMessageFormat } from 'intl-messageformat';
import { compile } from './message';

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

/** Digits written into the text itself: every number in a sentence must come from an argument. */
export function digitsIn(message: string): string[] {
  const found: string[] = [];
  walk(compile(message, 'en').getAst(), (element) => {
    if (element.type === LITERAL)
      found.push(...((element as { value: string }).value.match(/\p{Nd}+/gu) ?? []));
  });
  return found;
}
