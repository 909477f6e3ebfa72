import { boolean, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { person } from './people';

/** A fluent reader's word on one line. It holds for the wording it was given for: `message` is the line as it was read. */
export const wordingCheck = pgTable(
  'wording_check',
  {
    id: uuid().primaryKey().defaultRandom(),
    gameId: text().notNull(),
    messageId: text().notNull(),
    language: text().notNull(),
    message: text().notNull(),
    right: boolean().notNull(),
    note: text().notNull().default(''),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('wording_check_by_game').on(table.gameId, table.language)],
);
