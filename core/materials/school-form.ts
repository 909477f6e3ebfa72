/** What a form of a material may hold. Only what checks it needs this: pages that show materials do without. */
import { Type } from '@sinclair/typebox';
import { OneOf } from '~/core/check/schema';
import { ALLERGENS, FLAGS, FORMS, KINDS, type Names } from './school';
import type { Body } from './tube';

const LARGEST_MM = 2000;
const size = (title: string) => Type.Number({ minimum: 0.1, maximum: LARGEST_MM, title });
const set = <const T extends string>(labels: Record<T, string>, title: string) =>
  Type.Array(OneOf<T>(labels, { title }), { uniqueItems: true, default: [], title });

/** A name of a part: braces and number signs would be read as places for a count. */
export const partName = (title: string) =>
  Type.String({
    minLength: 1,
    maxLength: 40,
    pattern: '^[^{}#]*[^{}#\\s][^{}#]*$',
    description: 'write a name, without { } and #.',
    title,
  });

/** What a school says of a kind of part. */
export const schoolMaterialSchema = Type.Object({
  name: partName('Name of one'),
  plural: partName('Name of several'),
  kind: OneOf<keyof typeof KINDS>(KINDS, { title: 'Does it last', default: 'durable' }),
  form: OneOf<Body['form']>(FORMS, { title: 'Form', default: 'box' }),
  smallestMm: size('Smallest dimension (mm)'),
  middleMm: size('Middle dimension (mm)'),
  largestMm: size('Largest dimension (mm)'),
  allergens: set(ALLERGENS, 'What it is made of'),
  otherAllergens: Type.String({ maxLength: 80, default: '', title: 'Other allergens' }),
  flags: set(FLAGS, 'What else can hurt'),
  washable: Type.Boolean({ default: false, title: 'It can be wiped or washed' }),
  /** A shipped kind that it can stand in for beside those it does as it ships; empty for none. */
  standsInFor: Type.String({ maxLength: 40, default: '', title: 'It can also stand in for' }),
  changes: Type.String({ maxLength: 160, default: '', title: 'What changes' }),
});
/** The same with the names in other languages, by plural form. */
export const materialFormSchema = Type.Object({
  ...schoolMaterialSchema.properties,
  names: Type.Unsafe<Names>(
    Type.Record(Type.String(), Type.Record(Type.String(), partName('A name in another language'))),
  ),
});
