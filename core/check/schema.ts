/** Building blocks for the schemas: each gives the static type, the check, and what a knob shows. */
import { Type, type TSchema, type TUnsafe } from '@sinclair/typebox';

interface About {
  title: string;
  description?: string;
  default?: unknown;
}

/** A whole number with its range. */
export const Whole = (minimum: number, maximum: number, about: About) =>
  Type.Integer({ minimum, maximum, ...about });

/** One of a few words; `labels` say each to a person. */
export const OneOf = <const T extends string>(labels: Record<T, string>, about: About): TUnsafe<T> =>
  Type.Unsafe<T>({ type: 'string', enum: Object.keys(labels), labels, ...about });

/** A line of text with something in it. */
export const Line = (maxLength: number, about: About) =>
  Type.String({ minLength: 1, maxLength, pattern: '\\S', ...about });

/** Text that may be left empty. */
export const Text = (maxLength: number, about: About) => Type.String({ maxLength, default: '', ...about });

/** A knob of a bench, read from a parameter's schema. */
export type Knob =
  | { kind: 'whole'; name: string; title: string; hint?: string; min: number; max: number }
  | {
      kind: 'choice';
      name: string;
      title: string;
      hint?: string;
      options: { value: string; label: string }[];
    };

/** The knobs of an object schema, in its order. Throws TypeError for a schema no knob fits. */
export function knobs(schema: { properties: Record<string, TSchema> }): Knob[] {
  return Object.entries(schema.properties).map(([name, property]): Knob => {
    const about = { name, title: property.title ?? name, hint: property.description };
    if (property.type === 'integer')
      return { kind: 'whole', ...about, min: property.minimum as number, max: property.maximum as number };
    const labels = property.labels as Record<string, string> | undefined;
    if (labels)
      return {
        kind: 'choice',
        ...about,
        options: Object.entries(labels).map(([value, label]) => ({ value, label })),
      };
    throw new TypeError(`${name}: no knob fits this schema`);
  });
}
