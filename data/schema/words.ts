import { boolean, index, integer, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
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
    /** The English line that it was held against; of the time before that was kept, nobody knows. */
    english: text(),
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

/** A line as the school words it, one change after the other; never changed afterwards. Nothing stands for what ships. */
export const wordingLine = pgTable(
  'wording_line',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    /** What the line belongs to: a game, or the sheets, labels and pages themselves. */
    sourceId: text().notNull(),
    messageId: text().notNull(),
    language: text().notNull(),
    message: text(),
    /** The English line that it says. */
    english: text().notNull(),
    personId: uuid().references(() => person.id),
    /** Who worded it in another school, where it was taken from there. */
    elsewhere: text(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    serial: integer().notNull().generatedAlwaysAsIdentity(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    index('wording_line_by_line').on(
      table.schoolId,
      table.language,
      table.sourceId,
      table.messageId,
      table.serial,
    ),
  ],
);
