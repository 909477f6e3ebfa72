import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core';
import type { Shared } from '~/core/kits/shared';
import type { Printing } from '~/core/pack/cost';
import { version } from './version';
import { oneOf } from './one-of';

export const PAPERS = ['letter', 'a4'] as const;
export const SHARED_KINDS = ['kit', 'own game', 'wording'] as const;

/** Schools that share kits, games and wording, and between which copies move. */
export const district = pgTable('district', {
  id: uuid().primaryKey().defaultRandom(),
  name: text().notNull(),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
});

/** A place that lends. */
export const school = pgTable(
  'school',
  {
    id: uuid().primaryKey().defaultRandom(),
    districtId: uuid()
      .notNull()
      .references(() => district.id),
    name: text().notNull(),
    paper: text({ enum: PAPERS }).notNull(),
    languages: text().array().notNull(),
    /** How families reach it, in its own words. */
    contact: text().notNull().default(''),
    /** Where it lies, as the IANA names it: there it is decided what day it is. */
    timeZone: text().notNull(),
    /** The school's own picture for its labels, as a data address. */
    mark: text(),
    /** Its own prices and times of printing, where they differ from the usual ones. */
    printing: jsonb().$type<Partial<Printing>>().notNull().default({}),
    version: version(),
    printingVersion: version(),
    markVersion: version(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('school_name_is_taken').on(table.districtId, sql`lower(${table.name})`),
    oneOf('school_prints_on_a_paper', table.paper, PAPERS),
  ],
);

/** The school a row belongs to: the one that the handle it is written through is bound to. */
export const schoolId = () =>
  uuid()
    .notNull()
    .default(sql`public.school_now()`)
    .references(() => school.id);

/** A reference to a row of the same school: no row can name one of another. */
export const ofSameSchool = (
  name: string,
  from: { schoolId: AnyPgColumn },
  column: AnyPgColumn,
  to: { schoolId: AnyPgColumn; id: AnyPgColumn },
) =>
  foreignKey({
    name,
    columns: [from.schoolId, column] as [AnyPgColumn, AnyPgColumn],
    foreignColumns: [to.schoolId, to.id] as [AnyPgColumn, AnyPgColumn],
  });

/** What a school shows the others of its district: as it is now, whole, so that they need to see nothing else of it. */
export const shared = pgTable(
  'shared',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    /** By whom it is seen. */
    districtId: uuid()
      .notNull()
      .references(() => district.id),
    /** The name of the school, for those that do not see its row. */
    schoolName: text().notNull(),
    kind: text({ enum: SHARED_KINDS }).notNull(),
    /** The kit, the game, or the language of the wording. */
    thingId: text().notNull(),
    name: text().notNull(),
    content: jsonb().$type<Shared>().notNull(),
    version: version(),
    changedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('shared_already').on(table.schoolId, table.kind, table.thingId),
    index('shared_by_district').on(table.districtId, table.kind, table.name),
    oneOf('shared_is_of_a_kind', table.kind, SHARED_KINDS),
  ],
);

/** What a school took from another one of its district. What it follows is changed there, not here. */
export const taken = pgTable(
  'taken',
  {
    schoolId: schoolId(),
    kind: text({ enum: SHARED_KINDS }).notNull(),
    /** What it became here. */
    thingId: text().notNull(),
    sharedId: uuid().notNull(),
    /** The name of the school that shared it. */
    fromSchool: text().notNull(),
    follows: boolean().notNull(),
    /** The version of what was shared that stands here. */
    version: integer().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.kind, table.thingId] }),
    uniqueIndex('follows_already')
      .on(table.schoolId, table.sharedId)
      .where(sql`${table.follows}`),
    index('taken_by_shared').on(table.sharedId),
    oneOf('taken_is_of_a_kind', table.kind, SHARED_KINDS),
  ],
);

/** What a school settled was changed: a row for each change, by which what is kept of it is known to hold (`data/settled.ts`). */
export const settledChange = pgTable(
  'settled_change',
  {
    serial: bigint({ mode: 'number' }).primaryKey().generatedAlwaysAsIdentity(),
    ofSchool: uuid().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('settled_by_school').on(table.ofSchool, table.serial),
    index('settled_by_time').on(table.at),
  ],
);
