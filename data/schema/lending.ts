import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  date,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Language } from '~/core/words/languages';
import { version } from './changes';
import { copy } from './kits';
import { oneOf } from './one-of';
import { person } from './people';

const CAUSES = ['return', 'mend', 'undone'] as const;

const EVENTS = ['lent', 'dueChanged', 'returned', 'undone', 'reopened'] as const;

const ENDS = ['returned', 'undone'] as const;

/** A family as the school knows it: little, and only what changes a decision. */
export const family = pgTable(
  'family',
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    /** Its name as it is looked for: without accents and case. */
    searchName: text()
      .notNull()
      .generatedAlwaysAs(sql`public.searchable(name)`),
    language: text().$type<Language>().notNull(),
    reach: text().notNull().default(''),
    underThree: boolean().notNull().default(false),
    allergens: text().notNull().default(''),
    version: version(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Set when the family asked to be forgotten: nothing personal is left in the row. */
    forgottenAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    uniqueIndex('family_name_is_taken')
      .on(sql`lower(${table.name})`)
      .where(sql`${table.forgottenAt} is null`),
  ],
);

export const loan = pgTable(
  'loan',
  {
    id: uuid().primaryKey().defaultRandom(),
    copyId: uuid()
      .notNull()
      .references(() => copy.id),
    familyId: uuid()
      .notNull()
      .references(() => family.id),
    lentOn: date().notNull(),
    dueOn: date().notNull(),
    returnedOn: date(),
    /** Null while the copy is out. */
    closedAs: text({ enum: ENDS }),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    oneOf('loan_ended_in_a_known_way', table.closedAs, ENDS),
    uniqueIndex('copy_is_out_already')
      .on(table.copyId)
      .where(sql`${table.closedAs} is null`),
    index('loan_by_copy').on(table.copyId),
    index('loan_ended')
      .on(table.returnedOn, table.createdAt)
      .where(sql`${table.closedAs} is not null`),
    index('loan_out_by_family')
      .on(table.familyId)
      .where(sql`${table.closedAs} is null`),
    index('loan_by_family').on(table.familyId),
    index('loan_by_due').on(table.dueOn),
    check('due_after_lent', sql`${table.dueOn} >= ${table.lentOn}`),
    check(
      'returned_has_a_day',
      sql`(${table.closedAs} is not distinct from 'returned') = (${table.returnedOn} is not null)`,
    ),
  ],
);

/** What happened to a loan, in order; never changed afterwards. */
export const loanEvent = pgTable(
  'loan_event',
  {
    id: uuid().primaryKey().defaultRandom(),
    loanId: uuid()
      .notNull()
      .references(() => loan.id),
    kind: text({ enum: EVENTS }).notNull(),
    note: text().notNull().default(''),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    oneOf('loan_event_is_of_a_kind', table.kind, EVENTS),
    index('loan_event_by_loan').on(table.loanId),
  ],
);

/** One counting of a part of a copy, at a return or after mending. The latest of a part is what the copy holds. */
export const partCount = pgTable(
  'part_count',
  {
    id: uuid().primaryKey().defaultRandom(),
    copyId: uuid()
      .notNull()
      .references(() => copy.id),
    loanId: uuid().references(() => loan.id),
    cause: text({ enum: CAUSES }).notNull(),
    material: text().notNull(),
    expected: integer().notNull(),
    counted: integer().notNull(),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Order of entry, for counts made at the same instant. */
    serial: integer().notNull().generatedAlwaysAsIdentity(),
  },
  (table) => [
    oneOf('part_count_has_a_cause', table.cause, CAUSES),
    index('part_count_latest').on(table.copyId, table.material, table.serial),
    index('part_count_short')
      .on(table.copyId, table.material)
      .where(sql`${table.counted} < ${table.expected}`),
    index('part_count_by_loan').on(table.loanId),
    check('counts_are_possible', sql`${table.counted} >= 0 and ${table.expected} >= 0`),
  ],
);
