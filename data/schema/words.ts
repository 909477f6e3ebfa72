import { boolean, index, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { person } from './people';
import { schoolId } from './schools';

/** A fluent reader's word on one line. It holds for the wording it was given for: `message` is the line as it was read. */
export const wordingCheck = pgTable(
  'wording_check',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    gameId: text().notNull(),
    messageId: text().notNull(),
    language: text().notNull(),
    message: text().notNull(),
    right: boolean().notNull(),
    note: text().notNull().default(''),
    personId: uuid().references(() => person.id),
    /** Who said so in another school, where this word was taken from there. */
    elsewhere: text(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    index('wording_check_by_game').on(
      table.schoolId,
      table.gameId,
      table.language,
      table.messageId,
      table.at,
    ),
  ],
);
