import { sql } from 'drizzle-orm';
import {
  check,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import type { DueMove } from '~/core/lending/touched';
import { oneOf } from './one-of';
import { person } from './people';
import { schoolId } from './schools';
import { version } from './version';

const BREAKS = ['over', 'before'] as const;
const KINDS = ['closed', 'term'] as const;

/** How a school counts the days of a loan. Without a row it has school from Monday to Friday. */
export const schoolCalendar = pgTable(
  'school_calendar',
  {
    schoolId: schoolId().primaryKey(),
    /** 1 for Monday to 7 for Sunday. */
    weekdays: integer().array().notNull(),
    /** The day of the week on which bags come back; nothing where it is any school day. */
    backOn: integer(),
    breaks: text({ enum: BREAKS }).notNull().default('over'),
    longBreakDays: integer().notNull(),
    version: version(),
  },
  (table) => [
    oneOf('breaks_are_kept_in_a_known_way', table.breaks, BREAKS),
    check(
      'a_week_has_days',
      sql`cardinality(${table.weekdays}) between 1 and 7 and ${table.weekdays} <@ '{1,2,3,4,5,6,7}'`,
    ),
    check(
      'bags_come_back_on_a_school_day',
      sql`${table.backOn} is null or ${table.backOn} = any(${table.weekdays})`,
    ),
  ],
);

/** Days without school, or a term, both ends among them. */
export const calendarEntry = pgTable(
  'calendar_entry',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    kind: text({ enum: KINDS }).notNull(),
    name: text().notNull(),
    fromOn: date().notNull(),
    toOn: date().notNull(),
    /** What a calendar file calls it, so that it comes in once. */
    uid: text(),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    oneOf('entry_is_of_a_kind', table.kind, KINDS),
    check('entry_ends_after_it_begins', sql`${table.toOn} >= ${table.fromOn}`),
    uniqueIndex('entry_came_in_once')
      .on(table.schoolId, table.kind, table.uid)
      .where(sql`${table.uid} is not null`),
    index('entry_by_day').on(table.schoolId, table.fromOn),
  ],
);

/** Due days that were moved together, so that they can be moved back together. */
export const dueMove = pgTable(
  'due_move',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    moves: jsonb().$type<DueMove[]>().notNull(),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    undoneAt: timestamp({ withTimezone: true }),
  },
  (table) => [primaryKey({ columns: [table.schoolId, table.id] })],
);
