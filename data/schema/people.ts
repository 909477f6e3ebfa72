import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
  uniqueIndex,
  uuid,
  varchar,
} from 'drizzle-orm/pg-core';
import type { Printing } from '~/core/pack/cost';
import { ROLES } from '~/core/people/role';
import { version } from './changes';
import { oneOf } from './one-of';

const PAPERS = ['letter', 'a4'] as const;

/** The one school this server is for. */
export const school = pgTable(
  'school',
  {
    id: integer().primaryKey().default(1),
    name: text().notNull(),
    paper: text({ enum: PAPERS }).notNull(),
    languages: text().array().notNull(),
    /** The school's own picture for its labels, as a data address. */
    mark: text(),
    /** Its own prices and times of printing, where they differ from the usual ones. */
    printing: jsonb().$type<Partial<Printing>>().notNull().default({}),
    printingVersion: version(),
    markVersion: version(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    check('there_is_one_school', sql`${table.id} = 1`),
    oneOf('school_prints_on_a_paper', table.paper, PAPERS),
  ],
);

export const person = pgTable(
  'person',
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    /** The name as names are compared: see `nameKey`. */
    nameKey: text().notNull(),
    passwordHash: text().notNull(),
    role: text({ enum: ROLES }).notNull(),
    active: boolean().notNull().default(true),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    oneOf('person_has_a_role', table.role, ROLES),
    uniqueIndex('person_name_is_taken')
      .on(table.nameKey)
      .where(sql`${table.active}`),
  ],
);

/** A signed-in browser. Only the hash of its cookie is kept. */
export const session = pgTable(
  'session',
  {
    tokenHash: text().primaryKey(),
    /** By this its owner ends it, without the token being told. */
    id: uuid().notNull().unique().defaultRandom(),
    personId: uuid()
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
    /** The browser, in a few words. */
    browser: text().notNull().default(''),
    usedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('session_by_expiry').on(table.expiresAt), index('session_by_person').on(table.personId)],
);

/** A link with which a person sets a new password, once. Only the hash of its key is kept. */
export const passwordLink = pgTable(
  'password_link',
  {
    keyHash: text().primaryKey(),
    personId: uuid()
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
    createdBy: uuid().references(() => person.id),
  },
  (table) => [index('password_link_by_person').on(table.personId)],
);

/** A browser in which somebody has signed in before: strangers who try passwords cannot lock it out. */
export const knownBrowser = pgTable('known_browser', {
  tokenHash: text().primaryKey(),
  personId: uuid()
    .notNull()
    .references(() => person.id, { onDelete: 'cascade' }),
  expiresAt: timestamp({ withTimezone: true }).notNull(),
});

/** Work that is done once a day, by whichever server comes first. */
export const dailyJob = pgTable('daily_job', {
  name: text().primaryKey(),
  lastOn: date().notNull(),
  /** What became of it. */
  told: text().notNull().default(''),
});

/** Tries counted by the rate limiter, shared by all server processes. The columns are the limiter's own. */
export const rateLimit = pgTable('rate_limit', {
  key: varchar({ length: 255 }).primaryKey(),
  points: integer().notNull().default(0),
  expire: bigint({ mode: 'number' }),
});
