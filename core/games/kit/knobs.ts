/** Knobs that only games have, and how a bench reads the knobs of a game. */
import { Unsafe, type TObject, type TSchema } from '@sinclair/typebox';
import { DECK } from '~/core/cards/deck';
import { SIGNS, type Sign } from '~/core/cards/facts';
import { OneOf, SomeOf, type About } from '~/core/check/schema';
import type { Params, ParamValue } from './types';

/** Cards of the usual deck, each at most once. */
export const Cards = (about: About) =>
  Unsafe<string[]>({
    type: 'array',
    items: { type: 'string', enum: DECK, title: about.title, cards: true },
    uniqueItems: true,
    default: [],
    ...about,
  });

/** All four signs, in the order in which they are learned. */
export const ALL_SIGNS = Object.keys(SIGNS) as Sign[];

/** Some of the four signs. */
export const Signs = (byDefault: readonly Sign[]) =>
  SomeOf(Object.fromEntries(ALL_SIGNS.map((sign) => [sign, sign])) as Record<Sign, string>, {
    title: 'Signs',
    default: byDefault,
  });

/** Who begins, where dice are rolled. */
export const BEGINS = OneOf(
  { any: 'the youngest, or anybody', highest: 'whoever rolls the most' },
  { title: 'Who begins', description: 'Both ways are played.', default: 'any' },
);

interface KnobAbout {
  name: string;
  title: string;
  hint?: string;
  byDefault: unknown;
  /** It matters only while every other knob named here has one of these values. */
  when?: Readonly<Record<string, readonly unknown[] | undefined>>;
  /** Values of note other than the default, for what has to be chosen by nobody. */
  others?: readonly ParamValue[];
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
        /** The values as they are meant, in the order of the options. */
        values: (string | number)[];
      }
    | { kind: 'some'; options: KnobOption[] }
    | { kind: 'numbers'; min: number; max: number; least: number; most: number; unique: boolean }
    | { kind: 'yes' | 'cards' }
  );

const optionsOf = (labels: Record<string, string>): KnobOption[] =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));

/** The knobs of an object schema, in its order. Throws TypeError for a schema no knob fits. */
export function knobsOf(schema: TObject, when: Readonly<Record<string, KnobAbout['when']>> = {}): Knob[] {
  return Object.entries(schema.properties).map(([name, property]): Knob => {
    const about: KnobAbout = {
      name,
      title: property.title ?? name,
      byDefault: property.default as unknown,
      ...(property.description === undefined ? {} : { hint: property.description }),
      ...(when[name] ? { when: when[name] } : {}),
    };
    const range = (of: TSchema) => ({ min: of.minimum as number, max: of.maximum as number });
    const items = property.items as TSchema | undefined;
    const inner = property.properties as Record<string, TSchema> | undefined;
    if (property.type === 'integer' || property.type === 'number') {
      const { min, max } = range(property);
      const kind = property.type === 'integer' ? 'whole' : 'chance';
      return { kind, ...about, min, max, others: [min, max] };
    }
    if (property.type === 'boolean') return { kind: 'yes', ...about, others: [false, true] };
    if (property.labels) {
      const values = property.enum as (string | number)[];
      const labels = property.labels as Record<string, string>;
      const options = values.map((value) => ({ value: String(value), label: labels[value]! }));
      return { kind: 'choice', ...about, options, values, others: values };
    }
    if (items?.cards) return { kind: 'cards', ...about, others: [[]] };
    if (items?.labels) {
      const options = optionsOf(items.labels);
      return { kind: 'some', ...about, options, others: [options.map(({ value }) => value)] };
    }
    if (items?.type === 'integer')
      return {
        kind: 'numbers',
        ...about,
        ...range(items),
        least: property.minItems as number,
        most: property.maxItems as number,
        unique: property.uniqueItems === true,
      };
    if (inner?.from) {
      const { min, max } = range(inner.from);
      return { kind: 'span', ...about, min, max, others: [{ from: min, to: max }] };
    }
    if (inner?.w) {
      const { min, max } = range(inner.w);
      return { kind: 'size', ...about, min, max, others: [max, min].map((side) => ({ w: side, h: side })) };
    }
    throw new TypeError(`${name}: no knob fits this schema`);
  });
}

const isWhole = (value: unknown, min: number, max: number): boolean =>
  Number.isInteger(value) && (value as number) >= min && (value as number) <= max;
const isListOf = (value: unknown, fits: (item: unknown) => boolean, unique: boolean): boolean =>
  Array.isArray(value) && value.every(fits) && (!unique || new Set(value).size === value.length);
const hasOnly = (value: unknown, names: readonly string[], fits: (item: unknown) => boolean): boolean =>
  typeof value === 'object' &&
  value !== null &&
  Object.keys(value).length === names.length &&
  names.every((name) => fits((value as Record<string, unknown>)[name]));

/** Whether a knob can stand at a value: what its schema says, where no compiled schema may run (in a browser). */
export function suits(knob: Knob, value: unknown): boolean {
  switch (knob.kind) {
    case 'whole':
      return isWhole(value, knob.min, knob.max);
    case 'chance':
      return (
        typeof value === 'number' &&
        value >= knob.min &&
        value <= knob.max &&
        // A whole number of hundredths, up to what a fraction loses.
        Math.abs(Math.round(value * 100) - value * 100) < 1e-9
      );
    case 'yes':
      return typeof value === 'boolean';
    case 'choice':
      return knob.values.includes(value as string);
    case 'some':
      return (
        isListOf(value, (item) => knob.options.some((option) => option.value === item), true) &&
        (value as unknown[]).length > 0
      );
    case 'cards':
      return isListOf(value, (item) => (DECK as readonly unknown[]).includes(item), true);
    case 'numbers':
      return (
        isListOf(value, (item) => isWhole(item, knob.min, knob.max), knob.unique) &&
        isWhole((value as unknown[]).length, knob.least, knob.most)
      );
    case 'span':
      return hasOnly(value, ['from', 'to'], (item) => isWhole(item, knob.min, knob.max));
    case 'size':
      return hasOnly(value, ['w', 'h'], (item) => isWhole(item, knob.min, knob.max));
  }
}

/** Parameters of unknown age, knob by knob: those that fit stand, the others as they are set otherwise. */
export const fitted = (knobs: readonly Knob[], kept: unknown, otherwise: Params): Params =>
  Object.fromEntries(
    knobs.map((knob) => {
      const value = (kept as Params | null | undefined)?.[knob.name];
      return [knob.name, suits(knob, value) ? value! : otherwise[knob.name]!];
    }),
  );
