/** Knobs that only games have, and how a bench reads the knobs of a game. */
import { Type, type TSchema } from '@sinclair/typebox';
import { DECK } from '~/core/cards/deck';
import type { About } from '~/core/check/schema';

/** Cards of the usual deck, each at most once. */
export const Cards = (about: About) =>
  Type.Unsafe<string[]>({
    type: 'array',
    items: { type: 'string', enum: DECK, title: about.title, cards: true },
    uniqueItems: true,
    default: [],
    ...about,
  });

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
