/** Building blocks for the schemas: each gives the static type, the check, and what a knob shows. */
import {
  Array as List,
  Boolean as Truth,
  Integer,
  Number as Decimal,
  Object as Fields,
  String as Words,
  Unsafe,
  type TUnsafe,
} from '@sinclair/typebox';

export interface About {
  title: string;
  description?: string;
  default?: unknown;
  /** Text of several lines. */
  lines?: boolean;
}

/** A whole number with its range. */
export const Whole = (minimum: number, maximum: number, about: About) =>
  Integer({ minimum, maximum, ...about });

/** A length in mm, to a tenth. */
export const Millimetres = (minimum: number, maximum: number, about: About) =>
  Decimal({ minimum, maximum, ...about });

/** A chance from 0 to 1. */
export const Chance = (minimum: number, maximum: number, about: About) =>
  Decimal({ minimum, maximum, multipleOf: 0.01, ...about });

/** One of a few words; `labels` say each to a person. */
export const OneOf = <const T extends string>(labels: Record<T, string>, about: About): TUnsafe<T> =>
  Unsafe<T>({ type: 'string', enum: Object.keys(labels), labels, ...about });

/** One of a few values, numbers among them; each has a label. */
export const OneValue = <const T extends string | number>(
  values: readonly (readonly [value: T, label: string])[],
  about: About,
): TUnsafe<T> =>
  Unsafe<T>({ enum: values.map(([value]) => value), labels: Object.fromEntries(values), ...about });

/** Some of a few words, at least one. */
export const SomeOf = <const T extends string>(labels: Record<T, string>, about: About) =>
  Unsafe<T[]>({
    type: 'array',
    items: { type: 'string', enum: Object.keys(labels), labels, title: about.title },
    minItems: 1,
    uniqueItems: true,
    ...about,
  });

/** A language by its tag; the module of languages knows which there are. */
export const Tongue = (about: About) => Words({ format: 'language', maxLength: 20, ...about });

/** Yes or no. */
export const YesNo = (about: About) => Truth(about);

/** A list of whole numbers. */
export const Numbers = (
  minimum: number,
  maximum: number,
  list: { minItems: number; maxItems: number; uniqueItems?: boolean },
  about: About,
) => List(Integer({ minimum, maximum, title: about.title }), { ...list, ...about });

/** A range of whole numbers, both ends in it. */
export const Span = (minimum: number, maximum: number, about: About) =>
  Fields(
    {
      from: Integer({ minimum, maximum, title: `${about.title}, from` }),
      to: Integer({ minimum, maximum, title: `${about.title}, to` }),
    },
    { additionalProperties: false, ...about },
  );

/** Width and height in mm. */
export const SizeMm = (minimum: number, maximum: number, about: About) =>
  Fields(
    {
      w: Integer({ minimum, maximum, title: `${about.title}, width` }),
      h: Integer({ minimum, maximum, title: `${about.title}, height` }),
    },
    { additionalProperties: false, ...about },
  );

/** A line of text with something in it. */
export const Line = (maxLength: number, about: About) =>
  Words({ minLength: 1, maxLength, pattern: '\\S', ...about });

/** Text that may be left empty, and may have several lines. */
export const LongText = (maxLength: number, about: About) =>
  Words({ maxLength, default: '', lines: true, ...about });
