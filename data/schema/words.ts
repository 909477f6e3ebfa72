import { sql } from 'drizzle-orm';
import {
  boolean,
  customType,
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
} from 'drizzle-orm/pg-core';
import type { ProofLine } from '~/core/words/proof';
import { kit } from './kits';
import { person } from './people';
import { ofSameSchool, schoolId } from './schools';

/** A link with which a fluent reader reads without a password, for some days. Only the hash of its key is kept. */
export const readerLink = pgTable(
  'reader_link',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    keyHash: text().notNull(),
    /** As the school calls the reader. */
    reader: text().notNull(),
    language: text().notNull(),
    /** What is read: a kit as it is played, or a game with its ordinary settings. */
    kitId: uuid(),
    gameId: text(),
    /** Lines that were found right already are read again. */
    again: boolean().notNull().default(false),
    personId: uuid().references(() => person.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
    closedAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('reader_link_of_kit', table, table.kitId, kit),
    uniqueIndex('reader_link_key').on(table.keyHash),
  ],
);

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
    /** The reader could not tell. */
    unsure: boolean().notNull().default(false),
    personId: uuid().references(() => person.id),
    /** Said by whoever has this link. */
    readerId: uuid(),
    /** Who said so in another school, where this word was taken from there. */
    elsewhere: text(),
    /** When it is written, and not when its transaction began: one that waited for another comes after it. */
    at: timestamp({ withTimezone: true })
      .notNull()
      .default(sql`clock_timestamp()`),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    foreignKey({
      name: 'wording_check_of_reader',
      columns: [table.schoolId, table.readerId],
      foreignColumns: [readerLink.schoolId, readerLink.id],
    }),
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

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/**
 * A line said aloud by a fluent reader. It belongs to the words that were spoken, numbers and all: it is played where
 * exactly these are said, and nowhere else.
 */
export const lineVoice = pgTable(
  'line_voice',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    sourceId: text().notNull(),
    messageId: text().notNull(),
    language: text().notNull(),
    said: text().notNull(),
    /** The kind of sound, such as "audio/webm". */
    kind: text().notNull(),
    sound: bytes().notNull(),
    personId: uuid().references(() => person.id),
    readerId: uuid(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Families hear it from then on: somebody at the school has listened to it. */
    letOutAt: timestamp({ withTimezone: true }),
    letOutBy: uuid().references(() => person.id),
    /** Taken away, or spoken anew. */
    endedAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    foreignKey({
      name: 'line_voice_of_reader',
      columns: [table.schoolId, table.readerId],
      foreignColumns: [readerLink.schoolId, readerLink.id],
    }),
    index('line_voice_by_line').on(table.schoolId, table.language, table.sourceId, table.messageId),
  ],
);

/** The wording of a kit as it was printed to be corrected on paper: its numbers stay, whatever changes afterwards. */
export const proof = pgTable(
  'proof',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    kitId: uuid().notNull(),
    kit: text().notNull(),
    language: text().notNull(),
    /** Line 1 first. */
    lines: jsonb().$type<ProofLine[]>().notNull(),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('proof_of_kit', table, table.kitId, kit),
  ],
);
