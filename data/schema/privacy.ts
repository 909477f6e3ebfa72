import { check, index, integer, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { sql } from 'drizzle-orm';
import { LOOKS, type Look } from '~/core/people/looks';
import { oneOf } from './one-of';
import { person } from './people';
import { schoolId } from './schools';
import { version } from './version';

/** How long a school keeps families after their last loan. Without a row nobody is proposed for forgetting. */
export const keepingRule = pgTable(
  'keeping_rule',
  {
    schoolId: schoolId().primaryKey(),
    months: integer(),
    version: version(),
  },
  (table) => [check('families_are_kept_for_months', sql`${table.months} between 1 and 120`)],
);

/**
 * Who looked at what about a family; within an hour the same look is one. It names the family without a lock on it: to
 * look waits for nobody who changes something. A trigger asks whether the family is known.
 */
export const familyLook = pgTable(
  'family_look',
  {
    schoolId: schoolId(),
    familyId: uuid().notNull(),
    personId: uuid()
      .notNull()
      .references(() => person.id),
    what: text().$type<Look>().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.familyId, table.personId, table.what, table.at] }),
    oneOf('family_look_is_of_a_kind', table.what, Object.keys(LOOKS)),
    index('family_look_by_day').on(table.schoolId, table.at),
  ],
);
