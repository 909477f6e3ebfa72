/** Parameters from outside, in whatever form: a form, a file, the command line, an address. */
import type { TSchema } from '@sinclair/typebox';
import { readCards } from '~/core/cards/deck';
import { checkJson, firstOfEach, type Checked } from '~/core/check/check';
import { faultsOf, settle, type Game, type Variant } from './game';
import type { Params } from './types';

/** No list of a setting is longer: a deck has fifty-two cards, and two of them are named at most. */
const MOST_ITEMS = 200;
const MOST_CHARS = 2000;

/** Signs as they are found on keyboards. */
const KEYBOARD_SIGNS: Record<string, string> = { '-': '−', '*': '×', x: '×', X: '×', '/': '÷', ':': '÷' };

/**
 * Checks parameters against the game's schema and its own rules: one sentence per parameter. A single value is
 * accepted where a list is meant, signs and cards as they are typed.
 */
export function check(game: Game, input: unknown): Checked<Variant> {
  const properties = game.schema.properties as Record<string, TSchema>;
  const known = (name: string): TSchema | undefined =>
    Object.hasOwn(properties, name) ? properties[name] : undefined;
  const long = Object.entries(typeof input === 'object' && input !== null ? input : {}).find(
    ([, value]: [string, unknown]) =>
      (typeof value === 'string' && value.length > MOST_CHARS) ||
      (Array.isArray(value) && value.length > MOST_ITEMS),
  );
  if (long)
    return {
      ok: false,
      errors: { [long[0]]: `${known(long[0])?.title ?? 'This'} is too long to be read.` },
    };
  const eased =
    typeof input === 'object' && input !== null && !Array.isArray(input)
      ? Object.fromEntries(
          Object.entries(input).map(([name, value]) => {
            const schema = known(name);
            return [name, schema ? ease(schema, value) : value];
          }),
        )
      : input;
  const checked = checkJson(game.schema, eased);
  if (!checked.ok) {
    const errors = Object.entries(checked.errors).map(([path, sentence]) => {
      const field = path.split('.')[0]!;
      return [field, wantsList(known(field), (input as Params | null)?.[field]) ?? sentence] as const;
    });
    return { ok: false, errors: firstOfEach(errors) };
  }
  const params = checked.value as Params;
  const errors = faultsOf(game, params);
  return Object.keys(errors).length ? { ok: false, errors } : { ok: true, value: settle(game, params) };
}

/** What to say where one value stands for a list of several. */
function wantsList(schema: TSchema | undefined, value: unknown): string | undefined {
  const least = schema?.type === 'array' ? ((schema.minItems as number | undefined) ?? 0) : 0;
  return least > 1 && value !== undefined && !Array.isArray(value)
    ? `${schema!.title} is a list of at least ${least}, such as [1, 2].`
    : undefined;
}

function ease(schema: TSchema, value: unknown): unknown {
  const items = schema.items as TSchema | undefined;
  const values = schema.enum as (string | number)[] | undefined;
  if (values) return values.find((one) => String(one) === String(value)) ?? value;
  if (schema.type !== 'array' || !items) return value;
  if (items.cards) {
    const text = Array.isArray(value) ? value.join(' ') : value;
    if (typeof text !== 'string') return value;
    const { cards, unread } = readCards(text);
    return [...cards, ...unread];
  }
  if (items.labels) {
    const labels = items.labels as Record<string, string>;
    const list = typeof value === 'string' ? (value in labels ? [value] : value.split(/[\s,]*/)) : value;
    return Array.isArray(list)
      ? list.map((one) => (String(one) in labels ? one : (KEYBOARD_SIGNS[String(one)] ?? one)))
      : value;
  }
  return typeof value === 'number' ? [value] : value;
}
