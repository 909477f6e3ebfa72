import { sql } from 'drizzle-orm';
import { index, integer, pgTable, primaryKey, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { LEVELS, type Level } from '~/core/pack/questions';
import { loan } from './lending';
import { oneOf } from './one-of';
import { ofSameSchool, schoolId } from './schools';

/** What a family answered. `sendKey` is made of the loan, the day and what was said: sent twice, it is one answer. */
export const answer = pgTable(
  'answer',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    sendKey: text().notNull(),
    loanId: uuid().notNull(),
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
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('answer_about_loan', table, table.loanId, loan),
    uniqueIndex('answer_was_sent').on(table.schoolId, table.sendKey),
    index('answer_by_day').on(table.schoolId, table.sentAt),
    oneOf('answer_says_a_known_level', table.level, Object.keys(LEVELS)),
    index('answer_by_loan').on(table.schoolId, table.loanId),
    index('answer_new')
      .on(table.schoolId, table.sentAt)
      .where(sql`${table.readAt} is null`),
  ],
);
