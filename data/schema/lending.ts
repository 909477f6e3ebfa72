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
import type { Language } from '~/core/words/languages';
import { version } from './version';
import { copy } from './kits';
import { oneOf } from './one-of';
import { person } from './people';
import { ofSameSchool, schoolId } from './schools';

const CAUSES = ['return', 'mend', 'undone', 'moved', 'built'] as const;

const EVENTS = [
  'lent',
  'dueChanged',
  'renewed',
  'returned',
  'undone',
  'reopened',
  'safetyDecided',
  'ruleDecided',
  'arrived',
] as const;

const ENDS = ['returned', 'undone'] as const;

const CHANNELS = ['paper', 'message', 'mail', 'never'] as const;

/** A family as the school knows it: little, and only what changes a decision. */
export const family = pgTable(
  'family',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    name: text().notNull(),
    /** Its name as it is looked for: without accents and case. */
    searchName: text()
      .notNull()
      .generatedAlwaysAs(sql`public.searchable(name)`),
    language: text().$type<Language>().notNull(),
    /** Other languages they speak, by name. */
    speaks: text().notNull().default(''),
    /** A line for each child: a nickname or an initial, and the grade. */
    children: text().notNull().default(''),
    /** The class or group in which bags are carried home. */
    group: text().notNull().default(''),
    reach: text().notNull().default(''),
    channel: text({ enum: CHANNELS }).notNull().default('paper'),
    /** They would be written to once a week at the most. */
    weekly: boolean().notNull().default(false),
    /** What stands on their card: it names nobody. None until a card is wanted. */
    card: text(),
    underThree: boolean().notNull().default(false),
    allergens: text().notNull().default(''),
    /** They allow pictures of their children's work. */
    pictures: boolean().notNull().default(false),
    version: version(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Set when the family asked to be forgotten: nothing personal is left in the row. */
    forgottenAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    oneOf('family_is_reached_in_a_known_way', table.channel, CHANNELS),
    uniqueIndex('family_card_is_taken').on(table.schoolId, table.card),
    index('family_by_name').on(table.schoolId, table.searchName),
    uniqueIndex('family_name_is_taken')
      .on(table.schoolId, sql`lower(${table.name})`)
      .where(sql`${table.forgottenAt} is null`),
  ],
);

export const loan = pgTable(
  'loan',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    copyId: uuid().notNull(),
    familyId: uuid().notNull(),
    lentOn: date().notNull(),
    dueOn: date().notNull(),
    /** The bag lies at school and waits to be counted. */
    arrivedOn: date(),
    returnedOn: date(),
    /** Null while the copy is out. */
    closedAs: text({ enum: ENDS }),
    /** Told to the family when it borrows: typed once, a browser may ask for the family. Empty when it was used. */
    code: text().notNull().default(''),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('loan_of_copy', table, table.copyId, copy),
    ofSameSchool('loan_to_family', table, table.familyId, family),
    oneOf('loan_ended_in_a_known_way', table.closedAs, ENDS),
    uniqueIndex('copy_is_out_already')
      .on(table.schoolId, table.copyId)
      .where(sql`${table.closedAs} is null`),
    index('loan_by_copy').on(table.schoolId, table.copyId),
    index('loan_ended')
      .on(table.schoolId, table.returnedOn, table.createdAt)
      .where(sql`${table.closedAs} is not null`),
    index('loan_out_by_family')
      .on(table.schoolId, table.familyId)
      .where(sql`${table.closedAs} is null`),
    index('loan_by_family').on(table.schoolId, table.familyId),
    index('loan_by_due').on(table.schoolId, table.dueOn),
    check('loan_code_is_five_digits', sql`${table.code} ~ '^([0-9]{5})?$'`),
    check('due_after_lent', sql`${table.dueOn} >= ${table.lentOn}`),
    check(
      'home_after_lent',
      sql`${table.returnedOn} >= ${table.lentOn} and ${table.arrivedOn} >= ${table.lentOn}`,
    ),
    check(
      'returned_has_a_day',
      sql`(${table.closedAs} is not distinct from 'returned') = (${table.returnedOn} is not null)`,
    ),
  ],
);

/** A browser that may ask for a family while it has this bag: by its message, or by the number of the loan. */
export const loanBrowser = pgTable(
  'loan_browser',
  {
    schoolId: schoolId(),
    tokenHash: text().notNull(),
    loanId: uuid().notNull(),
    /** Opened by its message or the number of the loan: it asks for the family. */
    mayAsk: boolean().notNull().default(true),
    /** It was the first to answer by the label, which no other browser does without being opened. */
    byLabel: boolean().notNull().default(false),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.tokenHash, table.loanId] }),
    uniqueIndex('one_browser_by_label')
      .on(table.schoolId, table.loanId)
      .where(sql`${table.byLabel}`),
    ofSameSchool('browser_of_loan', table, table.loanId, loan).onDelete('cascade'),
    index('browser_by_loan').on(table.schoolId, table.loanId),
  ],
);

/** What happened to a loan, in order; never changed afterwards. */
export const loanEvent = pgTable(
  'loan_event',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    loanId: uuid().notNull(),
    kind: text({ enum: EVENTS }).notNull(),
    note: text().notNull().default(''),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** In the order in which they are written: one that waited for another comes after it, whenever it began. */
    serial: integer().notNull().generatedAlwaysAsIdentity(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('loan_event_of_loan', table, table.loanId, loan),
    oneOf('loan_event_is_of_a_kind', table.kind, EVENTS),
    index('loan_event_by_loan').on(table.schoolId, table.loanId),
  ],
);

/** One counting of a part of a copy, at a return or after mending. The latest of a part is what the copy holds. */
export const partCount = pgTable(
  'part_count',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    copyId: uuid().notNull(),
    loanId: uuid(),
    cause: text({ enum: CAUSES }).notNull(),
    material: text().notNull(),
    expected: integer().notNull(),
    counted: integer().notNull(),
    /** Of a deck of cards: which cards it lacks, as the deck names them. */
    lacks: text()
      .array()
      .notNull()
      .default(sql`'{}'::text[]`),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Order of entry, for counts made at the same instant. */
    serial: integer().notNull().generatedAlwaysAsIdentity(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('part_count_of_copy', table, table.copyId, copy),
    ofSameSchool('part_count_at_loan', table, table.loanId, loan),
    oneOf('part_count_has_a_cause', table.cause, CAUSES),
    index('part_count_latest').on(table.schoolId, table.copyId, table.material, table.serial),
    index('part_count_short')
      .on(table.schoolId, table.copyId, table.material)
      .where(sql`${table.counted} < ${table.expected} or ${table.lacks} <> '{}'`),
    index('part_count_by_loan').on(table.schoolId, table.loanId),
    check('counts_are_possible', sql`${table.counted} >= 0 and ${table.expected} >= 0`),
  ],
);
