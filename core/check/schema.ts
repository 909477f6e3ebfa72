/** Building blocks for the schemas: each gives the static type, the check, and what a knob shows. */
import { Type, type TSchema, type TUnsafe } from '@sinclair/typebox';
import { DECK } from '~/core/cards/deck';

interface About {
  title: string;
  description?: string;
  default?: unknown;
  /** Text of several lines. */
  lines?: boolean;
  /** The knob matters only while another parameter has one of these values. */
  when?: { name: string; is: readonly (string | number | boolean)[] };
}

/** A whole number with its range. */
export const Whole = (minimum: number, maximum: number, about: About) =>
  Type.Integer({ minimum, maximum, ...about });

/** A length in mm, to a tenth. */
export const Millimetres = (minimum: number, maximum: number, about: About) =>
  Type.Number({ minimum, maximum, ...about });

/** A chance from 0 to 1. */
export const Chance = (minimum: number, maximum: number, about: About) =>
  Type.Number({ minimum, maximum, multipleOf: 0.01, ...about });

/** One of a few words; `labels` say each to a person. */
export const OneOf = <const T extends string>(labels: Record<T, string>, about: About): TUnsafe<T> =>
  Type.Unsafe<T>({ type: 'string', enum: Object.keys(labels), labels, ...about });

/** One of a few values, numbers among them; each has a label. */
export const OneValue = <const T extends string | number>(
  values: readonly (readonly [value: T, label: string])[],
  about: About,
): TUnsafe<T> =>
  Type.Unsafe<T>({ enum: values.map(([value]) => value), labels: Object.fromEntries(values), ...about });

/** Some of a few words, at least one. */
export const SomeOf = <const T extends string>(labels: Record<T, string>, about: About) =>
  Type.Unsafe<T[]>({
    type: 'array',
    items: { type: 'string', enum: Object.keys(labels), labels, title: about.title },
    minItems: 1,
    uniqueItems: true,
    ...about,
  });

/** Yes or no. */
export const YesNo = (about: About) => Type.Boolean(about);

/** A list of whole numbers. */
export const Numbers = (
  minimum: number,
  maximum: number,
  list: { minItems: number; maxItems: number; uniqueItems?: boolean },
  about: About,
) => Type.Array(Type.Integer({ minimum, maximum, title: about.title }), { ...list, ...about });

/** A range of whole numbers, both ends in it. */
export const Span = (minimum: number, maximum: number, about: About) =>
  Type.Object(
    {
      from: Type.Integer({ minimum, maximum, title: `${about.title}, from` }),
      to: Type.Integer({ minimum, maximum, title: `${about.title}, to` }),
    },
    { additionalProperties: false, ...about },
  );

/** Width and height in mm. */
export const SizeMm = (minimum: number, maximum: number, about: About) =>
  Type.Object(
    {
      w: Type.Integer({ minimum, maximum, title: `${about.title}, width` }),
      h: Type.Integer({ minimum, maximum, title: `${about.title}, height` }),
    },
    { additionalProperties: false, ...about },
  );

/** Cards of the usual deck, each at most once. */
export const Cards = (about: About) =>
  Type.Unsafe<string[]>({
    type: 'array',
    items: { type: 'string', enum: DECK, title: about.title, cards: true },
    uniqueItems: true,
    default: [],
    ...about,
  });

/** A line of text with something in it. */
export const Line = (maxLength: number, about: About) =>
  Type.String({ minLength: 1, maxLength, pattern: '\\S', ...about });

/** Text that may be left empty, and may have several lines. */
export const Text = (maxLength: number, about: About) =>
  Type.String({ maxLength, default: '', lines: true, ...about });

interface KnobAbout {
  name: string;
  title: string;
  hint?: string;
  when?: About['when'];
}
export interface KnobOption {
  value: string;
  label: string;
}

/** A knob of a bench, read from a parameter's schema. */
export type Knob = KnobAbout &
  (
    | { kind: 'whole' | 'chance' | 'span' | 'size'; min: number; max: number }
    | {
        kind: 'choice';
        options: KnobOption[];
        /** The values as they are meant, in the order of the options. */ values: (string | number)[];
      }
    | { kind: 'some'; options: KnobOption[] }
    | { kind: 'numbers'; min: number; max: number; least: number; most: number }
    | { kind: 'yes' | 'cards' }
  );

const optionsOf = (labels: Record<string, string>): KnobOption[] =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));

/** The knobs of an object schema, in its order. Throws TypeError for a schema no knob fits. */
export function knobs(schema: { properties: Record<string, TSchema> }): Knob[] {
  return Object.entries(schema.properties).map(([name, property]): Knob => {
    const about: KnobAbout = {
      name,
      title: property.title ?? name,
      hint: property.description,
      when: property.when as About['when'],
    };
    const range = (of: TSchema) => ({ min: of.minimum as number, max: of.maximum as number });
    const items = property.items as TSchema | undefined;
    const inner = property.properties as Record<string, TSchema> | undefined;
    if (property.type === 'integer') return { kind: 'whole', ...about, ...range(property) };
    if (property.type === 'number') return { kind: 'chance', ...about, ...range(property) };
    if (property.type === 'boolean') return { kind: 'yes', ...about };
    if (property.labels) {
      const values = property.enum as (string | number)[];
      const labels = property.labels as Record<string, string>;
      const options = values.map((value) => ({ value: String(value), label: labels[value]! }));
      return { kind: 'choice', ...about, options, values };
    }
    if (items?.cards) return { kind: 'cards', ...about };
    if (items?.labels) return { kind: 'some', ...about, options: optionsOf(items.labels) };
    if (items?.type === 'integer')
      return {
        kind: 'numbers',
        ...about,
        ...range(items),
        least: property.minItems as number,
        most: property.maxItems as number,
      };
    if (inner?.from) return { kind: 'span', ...about, ...range(inner.from) };
    if (inner?.w) return { kind: 'size', ...about, ...range(inner.w) };
    throw new TypeError(`${name}: no knob fits this schema`);
  });
}
