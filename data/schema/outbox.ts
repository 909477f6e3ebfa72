import { sql } from 'drizzle-orm';
import {
  boolean,
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
import type { Channel } from '~/core/lending/families';
import { ANSWERS, MESSAGE_STATES, type MessageKind } from '~/core/lending/reminders';
import { family } from './lending';
import { oneOf } from './one-of';
import { ofSameSchool, schoolId } from './schools';

/** What the school says to a family, as it was said: the text stays as it went out. */
export const message = pgTable(
  'message',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    familyId: uuid().notNull(),
    kind: text().$type<MessageKind>().notNull(),
    /** What it is said of, so that it is said once: the day of a reminder, the bag that is set aside. */
    once: text().notNull(),
    onDay: date().notNull(),
    language: text().notNull(),
    /** Its wording was not checked by a fluent reader: it was held back for that, or says so. */
    unchecked: boolean().notNull(),
    channel: text().$type<Channel>().notNull(),
    reach: text().notNull().default(''),
    /** What it says of which loan: it is not said again. */
    said: text()
      .array()
      .notNull()
      .default(sql`'{}'::text[]`),
    text: text().notNull(),
    /** The unguessable part of the address at which it is answered. */
    linkKey: text().notNull(),
    state: text({ enum: MESSAGE_STATES }).notNull(),
    tries: integer().notNull().default(0),
    /** Why it has not gone out. */
    problem: text().notNull().default(''),
    sentAt: timestamp({ withTimezone: true }),
    answered: text({ enum: ANSWERS }),
    /** The day a family says it comes. */
    answeredDay: date(),
    answeredAt: timestamp({ withTimezone: true }),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('message_to_family', table, table.familyId, family),
    uniqueIndex('message_is_said_once').on(table.schoolId, table.familyId, table.once),
    uniqueIndex('message_link_is_taken').on(table.linkKey),
    oneOf('message_is_in_a_known_state', table.state, MESSAGE_STATES),
    oneOf('message_is_answered_in_a_known_way', table.answered, ANSWERS),
    index('message_by_day').on(table.schoolId, table.createdAt),
    index('message_waiting')
      .on(table.schoolId, table.state)
      .where(sql`${table.state} in ('waiting', 'held', 'paper')`),
  ],
);

/** The outbox that stands in for a service that carries messages: what it has taken, once for each message. */
export const carried = pgTable(
  'carried',
  {
    schoolId: schoolId(),
    messageId: uuid().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.messageId] }),
    ofSameSchool('carried_message', table, table.messageId, message),
  ],
);
