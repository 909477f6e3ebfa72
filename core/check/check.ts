/**
 * The one place where a value from outside (a form, a file, a command line) is held against its schema and
 * Ajv's findings become one friendly sentence per field.
 */
import type { Static, TSchema } from '@sinclair/typebox';
import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';
import formats from 'ajv-formats';
import { knownFormats } from './formats';
import { unkeepable, visible } from './keepable';

/** One sentence per field; the key is the field's path with dots, or '' for the whole. */
export type FieldErrors = Record<string, string>;

export type Checked<T> = { ok: true; value: T } | { ok: false; errors: FieldErrors };

const make = (coerceTypes: boolean): Ajv => {
  // Steps of a hundredth are told apart in whole numbers: 0.07 is seven of them, though 0.07 ÷ 0.01 is not 7.
  const steps = { multipleOfPrecision: 9 };
  const ajv = new Ajv({ allErrors: true, useDefaults: true, verbose: true, coerceTypes, ...steps });
  formats.default(ajv);
  return ajv.addKeyword('labels').addKeyword('cards').addKeyword('when').addKeyword('lines');
};
const forJson = make(false);
const forForms = make(true);
const compiled = new WeakMap<TSchema, Map<Ajv, ValidateFunction>>();

function validator(ajv: Ajv, schema: TSchema): ValidateFunction {
  const known = compiled.get(schema) ?? new Map<Ajv, ValidateFunction>();
  compiled.set(schema, known);
  for (const [name, fits] of knownFormats()) if (!(name in ajv.formats)) ajv.addFormat(name, fits);
  const check = known.get(ajv) ?? ajv.compile(schema);
  known.set(ajv, check);
  return check;
}

/** The first sentence of each field, whatever a field is called. */
export function firstOfEach(told: readonly (readonly [field: string, sentence: string])[]): FieldErrors {
  const errors = new Map<string, string>();
  for (const [field, said] of told) if (!errors.has(field)) errors.set(field, said);
  return Object.fromEntries(errors);
}

function checkWith<S extends TSchema>(ajv: Ajv, schema: S, input: unknown): Checked<Static<S>> {
  const unfit = unkeepable(input);
  if (unfit) return { ok: false, errors: { [unfit.path]: unfit.sentence } };
  const value: unknown = structuredClone(input);
  const check = validator(ajv, schema);
  if (check(value)) return { ok: true, value: value as Static<S> };
  return { ok: false, errors: firstOfEach((check.errors ?? []).map((one) => [fieldOf(one), sentence(one)])) };
}

/** Checks JSON: types must be right as they are. Missing fields take their defaults. */
export const checkJson = <S extends TSchema>(schema: S, input: unknown): Checked<Static<S>> =>
  checkWith(forJson, schema, input);

/** A number as a person writes it: no "1e999", no "Infinity", no hexadecimals. */
const NUMBER = /^[+-]?\d{1,15}(\.\d{1,15})?$/;

/**
 * Checks the fields of a form, which are all text: "6" is accepted for a number. Surrounding blanks, and characters
 * nobody can see, are dropped. Takes time in the fields of the schema, however many the form has.
 */
export function checkForm<S extends TSchema>(
  schema: S,
  form: FormData | Record<string, unknown>,
): Checked<Static<S>> {
  const properties = (schema.properties ?? {}) as Record<string, TSchema>;
  const known: Record<string, unknown> = {};
  for (const [key, property] of Object.entries(properties)) {
    const raw = form instanceof FormData ? form.get(key) : Object.hasOwn(form, key) ? form[key] : undefined;
    const value = typeof raw === 'string' ? visible(raw, Boolean(property.lines)) : raw;
    // An empty box is a missing number, not zero.
    if (value === undefined || value === null || (value === '' && property.type !== 'string')) continue;
    const counts = property.type === 'integer' || property.type === 'number';
    // What is no number fails as such, instead of being turned into one.
    known[key] = counts && typeof value === 'string' && !NUMBER.test(value) ? `${value}?` : value;
  }
  return checkWith(forForms, schema, known);
}

function fieldOf(error: ErrorObject): string {
  const path = error.instancePath.split('/').filter(Boolean).join('.');
  const extra =
    error.keyword === 'required'
      ? String(error.params.missingProperty)
      : error.keyword === 'additionalProperties'
        ? String(error.params.additionalProperty)
        : '';
  return [path, extra].filter(Boolean).join('.');
}

const KINDS: Record<string, string> = {
  integer: 'a whole number',
  number: 'a number',
  array: 'a list',
  boolean: 'true or false',
  string: 'text',
  object: 'an object',
};

function sentence(error: ErrorObject): string {
  const schema = (error.parentSchema ?? {}) as TSchema;
  const properties = (schema.properties ?? {}) as Record<string, TSchema>;
  const missing = error.keyword === 'required' ? String(error.params.missingProperty) : '';
  const title = missing
    ? (properties[missing]?.title ?? missing)
    : (schema.title ?? fieldOf(error)) || 'This';
  const range =
    schema.minimum !== undefined && schema.maximum !== undefined
      ? ` from ${schema.minimum} to ${schema.maximum}`
      : '';
  switch (error.keyword) {
    case 'required':
      return `${title} is missing.`;
    case 'minimum':
    case 'maximum':
      return range
        ? `${title} must be${range}.`
        : `${title} must be ${error.keyword === 'minimum' ? 'at least' : 'at most'} ${error.params.limit}.`;
    case 'type':
      if (error.params.type === 'object')
        return error.instancePath
          ? `${title} must be given as an object.`
          : 'The settings must be an object such as {"counters": 6}.';
      return `${title} must be ${KINDS[error.params.type as string] ?? `of type ${error.params.type}`}${range}.`;
    case 'enum': {
      const labels = schema.labels as Record<string, string> | undefined;
      const allowed = error.params.allowedValues as (string | number)[];
      if (allowed.length > 30) return `${title}: “${String(error.data)}” is none of them.`;
      const told = allowed.map((value) => {
        const label = labels?.[value];
        return label && label !== String(value) ? `${value} (${label})` : value;
      });
      return `${title} must be one of: ${told.join('; ')}.`;
    }
    case 'minLength':
    case 'pattern':
      return schema.description ? `${title}: ${schema.description}` : `${title} must not be empty.`;
    case 'maxLength':
      return `${title} has room for ${error.params.limit} characters.`;
    case 'minItems':
      return `Choose at least ${error.params.limit} for ${title.toLowerCase()}.`;
    case 'maxItems':
      return `${title} has room for ${error.params.limit}.`;
    case 'uniqueItems':
      return `${title} must not name the same twice.`;
    case 'multipleOf':
      return `${title} must be${range}, in steps of ${error.params.multipleOf}.`;
    case 'format':
      return `${title} is not a valid ${error.params.format}.`;
    case 'additionalProperties':
      return `There is no setting called “${error.params.additionalProperty}”.`;
    default:
      return `${title} ${error.message ?? 'is not right'}.`;
  }
}
