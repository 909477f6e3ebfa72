import { bigint, index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { oneOf } from './one-of';
import { person } from './people';
import { schoolId } from './schools';

const KINDS = ['added', 'changed', 'removed', 'brought back', 'forgotten', 'did'] as const;

/**
 * Who changed what, written in the transaction that changes it. `before` and `after` hold the fields that a form
 * shows; a version is what stands before the entry of the next one. Forgetting somebody empties their entries.
 */
export const change = pgTable(
  'change',
  {
    schoolId: schoolId(),
    id: bigint({ mode: 'number' }).primaryKey().generatedAlwaysAsIdentity(),
    /** What kind of thing was changed: "family", "kit" … */
    thing: text().notNull(),
    thingId: text().notNull(),
    /** The version that the change led to. */
    version: integer().notNull(),
    kind: text({ enum: KINDS }).notNull(),
    before: jsonb().$type<Record<string, unknown>>(),
    after: jsonb().$type<Record<string, unknown>>(),
    /** A person who has left stays as a row: what they did keeps their name. */
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('change_by_thing').on(table.schoolId, table.thing, table.thingId, table.id),
    oneOf('change_is_of_a_kind', table.kind, KINDS),
  ],
);
