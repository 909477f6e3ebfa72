import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
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
import type { Printing } from '~/core/print/cost';
import { ROLES } from '~/core/people/role';

/** The one school this server is for. */
export const school = pgTable(
  'school',
  {
    id: integer().primaryKey().default(1),
    name: text().notNull(),
    paper: text({ enum: ['letter', 'a4'] }).notNull(),
    languages: text().array().notNull(),
    /** The school's own picture for its labels, as a data address. */
    mark: text(),
    /** Its own prices and times of printing, where they differ from the usual ones. */
    printing: jsonb().$type<Partial<Printing>>().notNull().default({}),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [check('there_is_one_school', sql`${table.id} = 1`)],
);

export const person = pgTable(
  'person',
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    passwordHash: text().notNull(),
    role: text({ enum: ROLES }).notNull(),
    active: boolean().notNull().default(true),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [uniqueIndex('person_name_is_taken').on(sql`lower(${table.name})`)],
);

/** A signed-in browser. Only the hash of its cookie is kept. */
export const session = pgTable(
  'session',
  {
    tokenHash: text().primaryKey(),
    personId: uuid()
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('session_by_expiry').on(table.expiresAt)],
);

/** Tries counted by the rate limiter, shared by all server processes. The columns are the limiter's own. */
export const rateLimit = pgTable('rate_limit', {
  key: varchar({ length: 255 }).primaryKey(),
  points: integer().notNull().default(0),
  expire: bigint({ mode: 'number' }),
});
