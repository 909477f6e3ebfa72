import { sql } from 'drizzle-orm';
import {
  bigint,
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
  varchar,
} from 'drizzle-orm/pg-core';
import { ROLES } from '~/core/people/role';
import { oneOf } from './one-of';
import { district, school, schoolId } from './schools';

/** Somebody who signs in, to one school or to several. */
export const person = pgTable(
  'person',
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    /** The name as names are compared: see `nameKey`. It is taken in all schools of the installation. */
    nameKey: text().notNull(),
    passwordHash: text().notNull(),
    /** Somebody else chose it: it is changed at the first sign-in. */
    passwordGiven: boolean().notNull().default(false),
    /** Whether there is any school that they may still sign in to. */
    active: boolean().notNull().default(true),
    /** The district whose schools they all see and coordinate. */
    districtId: uuid().references(() => district.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('person_by_district').on(table.districtId),
    uniqueIndex('person_name_is_taken')
      .on(table.nameKey)
      .where(sql`${table.active}`),
  ],
);

/** What a person is in a school. When they have left, the row stays: what they did there keeps their name. */
export const membership = pgTable(
  'membership',
  {
    schoolId: schoolId(),
    personId: uuid()
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    role: text({ enum: ROLES }).notNull(),
    active: boolean().notNull().default(true),
    /** They are here because they coordinate the district. */
    byDistrict: boolean().notNull().default(false),
    /** When they opened this school last: it is the one they come to at the next sign-in. */
    openedAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.personId] }),
    index('membership_by_person').on(table.personId),
    oneOf('member_has_a_role', table.role, ROLES),
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
    /** The school that is open in it. */
    schoolId: uuid()
      .notNull()
      .references(() => school.id),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
    /** The browser, in a few words. */
    browser: text().notNull().default(''),
    usedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** When its password was typed last. */
    provenAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
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

/** A browser whose person asks for a new password; the number is what they tell a coordinator. */
export const passwordAsk = pgTable(
  'password_ask',
  {
    tokenHash: text().primaryKey(),
    personId: uuid()
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    number: text().notNull(),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [
    index('password_ask_by_person').on(table.personId),
    check('password_ask_number', sql`${table.number} ~ '^[0-9]{6}$'`),
  ],
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
  /** What became of it; nothing while it is being done. */
  told: text().notNull().default(''),
  /** When it was begun: one that was never ended is begun again. */
  begunAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
});

/** Tries counted by the rate limiter, shared by all server processes. The columns are the limiter's own. */
export const rateLimit = pgTable('rate_limit', {
  key: varchar({ length: 255 }).primaryKey(),
  points: integer().notNull().default(0),
  expire: bigint({ mode: 'number' }),
});

/** A form that was sent, as a digest: what is sent twice is done once. It holds nothing of what was sent. */
export const sentForm = pgTable(
  'sent_form',
  {
    digest: text().primaryKey(),
    sentAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** It was done; while it is not, nobody knows yet. */
    done: boolean().notNull().default(false),
  },
  (table) => [index('sent_form_by_time').on(table.sentAt)],
);

/** The mark of a transaction: it is there when the transaction is in, whether or not anybody heard of its end. */
export const landed = pgTable(
  'landed',
  {
    id: uuid().primaryKey(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('landed_by_time').on(table.at)],
);
