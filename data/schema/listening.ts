import { sql } from 'drizzle-orm';
import { index, integer, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { LEVELS, type Level } from '~/core/pack/questions';
import { loan } from './lending';
import { oneOf } from './one-of';

/** What a family answered. `sendKey` is made of the loan, the day and what was said: sent twice, it is one answer. */
export const answer = pgTable(
  'answer',
  {
    id: uuid().primaryKey().defaultRandom(),
    sendKey: text().notNull().unique('answer_was_sent'),
    loanId: uuid()
      .notNull()
      .references(() => loan.id),
    language: text().notNull(),
    children: integer(),
    grownUps: integer(),
    times: integer(),
    minutes: integer(),
    level: text().$type<Level>(),
    childDid: text().notNull().default(''),
    missing: text().notNull().default(''),
    anythingElse: text().notNull().default(''),
    sentAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    readAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    oneOf('answer_says_a_known_level', table.level, Object.keys(LEVELS)),
    index('answer_by_loan').on(table.loanId),
    index('answer_new')
      .on(table.sentAt)
      .where(sql`${table.readAt} is null`),
  ],
);
