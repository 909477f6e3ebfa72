import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  date,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { UNCHECKED, type Unchecked } from '~/core/lending/rules';
import { copy, kit } from './kits';
import { family, loan } from './lending';
import { oneOf } from './one-of';
import { person } from './people';
import { ofSameSchool, schoolId } from './schools';
import { version } from './version';

const ENDS = ['lent', 'passed', 'withdrawn'] as const;

/** What a school holds to when it lends and reminds. Without a row nothing is limited. */
export const lendingRule = pgTable(
  'lending_rule',
  {
    schoolId: schoolId().primaryKey(),
    /** Null where there is no limit. */
    bagsAtOnce: integer(),
    renewals: integer(),
    backFirst: boolean().notNull(),
    setAsideDays: integer().notNull(),
    daysBefore: integer().notNull(),
    daysAfter: integer().notNull(),
    unchecked: text().$type<Unchecked>().notNull(),
    version: version(),
  },
  (table) => [
    oneOf('unchecked_wording_is_held_or_marked', table.unchecked, Object.keys(UNCHECKED)),
    check(
      'lending_rules_are_possible',
      sql`${table.bagsAtOnce} > 0 and ${table.renewals} >= 0 and ${table.setAsideDays} > 0`,
    ),
  ],
);

/** A class that brings its bags back on a day of its own. */
export const classDay = pgTable(
  'class_day',
  {
    schoolId: schoolId(),
    group: text().notNull(),
    /** 1 for Monday to 7 for Sunday. */
    backOn: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.group] }),
    check('a_class_comes_on_a_day', sql`${table.backOn} between 1 and 7`),
  ],
);

/** A family waits for a kit. The copy that is set aside for it stands here with the last day it is kept. */
export const hold = pgTable(
  'hold',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    familyId: uuid().notNull(),
    kitId: uuid().notNull(),
    /** Who asks first is first. */
    serial: integer().notNull().generatedAlwaysAsIdentity(),
    askedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Nobody of the school where the family asked itself. */
    personId: uuid().references(() => person.id),
    copyId: uuid(),
    keptUntil: date(),
    /** Null while the family waits. */
    closedAs: text({ enum: ENDS }),
    closedAt: timestamp({ withTimezone: true }),
    /** The loan that came of it. */
    loanId: uuid(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('hold_of_family', table, table.familyId, family),
    ofSameSchool('hold_of_kit', table, table.kitId, kit),
    ofSameSchool('hold_of_copy', table, table.copyId, copy),
    ofSameSchool('hold_became_loan', table, table.loanId, loan),
    oneOf('hold_ended_in_a_known_way', table.closedAs, ENDS),
    uniqueIndex('family_waits_already')
      .on(table.schoolId, table.familyId, table.kitId)
      .where(sql`${table.closedAs} is null`),
    uniqueIndex('copy_is_set_aside_already')
      .on(table.schoolId, table.copyId)
      .where(sql`${table.closedAs} is null`),
    index('hold_in_order')
      .on(table.schoolId, table.kitId, table.serial)
      .where(sql`${table.closedAs} is null`),
    index('hold_by_loan').on(table.schoolId, table.loanId),
    check('set_aside_until_a_day', sql`(${table.copyId} is null) = (${table.keptUntil} is null)`),
  ],
);
