/** What helpers do of a build run, copy by copy. */
import { sql } from 'drizzle-orm';
import {
  check,
  doublePrecision,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { OUTCOMES } from '~/core/kits/making';
import { copy } from './kits';
import { oneOf } from './one-of';
import { person } from './people';
import { ofSameSchool, schoolId } from './schools';

/** One thing that was written down about a step of a copy; never changed afterwards. The last of a step is how it stands. */
export const copyStep = pgTable(
  'copy_step',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    copyId: uuid().notNull(),
    step: text().notNull(),
    outcome: text({ enum: OUTCOMES }).notNull(),
    /** How many there were, of too few; how many broke. */
    quantity: integer(),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    serial: integer().notNull().generatedAlwaysAsIdentity(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('copy_step_of_copy', table, table.copyId, copy).onDelete('cascade'),
    oneOf('copy_step_has_an_outcome', table.outcome, OUTCOMES),
    index('copy_step_by_copy').on(table.schoolId, table.copyId, table.serial),
    check('copy_step_quantity_is_possible', sql`${table.quantity} >= 0`),
  ],
);

/** What lies on the scale that stands in for a real one, as it showed last. */
export const scaleReading = pgTable(
  'scale_reading',
  {
    schoolId: schoolId(),
    grams: doublePrecision().notNull(),
    /** The step in which it shows grams. */
    resolutionG: doublePrecision().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId] }),
    check('scale_is_possible', sql`${table.resolutionG} > 0`),
  ],
);

const CARE = ['dirty', 'foreign', 'cleaned', 'reprinted', 'seen'] as const;

/** What a bag needs beside its parts, and what was done about it. */
export const copyCare = pgTable(
  'copy_care',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    copyId: uuid().notNull(),
    kind: text({ enum: CARE }).notNull(),
    note: text().notNull().default(''),
    /** What this settles: something that was found, or what a family told. */
    settles: uuid(),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('copy_care_of_copy', table, table.copyId, copy).onDelete('cascade'),
    oneOf('copy_care_is_of_a_kind', table.kind, CARE),
    uniqueIndex('copy_care_settles_once').on(table.schoolId, table.settles),
    index('copy_care_by_copy').on(table.schoolId, table.copyId, table.at),
  ],
);
