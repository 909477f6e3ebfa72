import { sql } from 'drizzle-orm';
import {
  check,
  customType,
  date,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { AGAIN, VIA, type Again, type How, type Via } from '~/core/listening/answer';
import { LEVELS, type Level } from '~/core/pack/questions';
import { family, loan } from './lending';
import { oneOf } from './one-of';
import { person } from './people';
import { ofSameSchool, schoolId } from './schools';

/** What a family answered, however it came. `sendKey` is made of the loan, the day and what was said: sent twice, it is one answer. */
export const answer = pgTable(
  'answer',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    sendKey: text().notNull(),
    loanId: uuid().notNull(),
    language: text().notNull(),
    via: text().$type<Via>().notNull().default('page'),
    children: integer(),
    grownUps: integer(),
    times: integer(),
    minutes: integer(),
    again: text().$type<Again>(),
    childDid: text().notNull().default(''),
    missing: text().notNull().default(''),
    anythingElse: text().notNull().default(''),
    /** Who typed it in, where the family did not send it itself. */
    personId: uuid().references(() => person.id),
    sentAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    readAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('answer_about_loan', table, table.loanId, loan),
    uniqueIndex('answer_was_sent').on(table.schoolId, table.sendKey),
    index('answer_by_day').on(table.schoolId, table.sentAt),
    oneOf('answer_came_in_a_known_way', table.via, Object.keys(VIA)),
    oneOf('answer_wants_something_known_next', table.again, Object.keys(AGAIN)),
    index('answer_by_loan').on(table.schoolId, table.loanId),
    index('answer_new')
      .on(table.schoolId, table.sentAt)
      .where(sql`${table.readAt} is null`),
    check(
      'answer_counts_are_possible',
      sql`${table.children} >= 0 and ${table.grownUps} >= 0 and ${table.times} >= 0 and ${table.minutes} >= 0`,
    ),
  ],
);

/** What an answer says of one game of the bag, by its place in the plan of the copy. */
export const answerGame = pgTable(
  'answer_game',
  {
    schoolId: schoolId(),
    answerId: uuid().notNull(),
    position: integer().notNull(),
    said: text().$type<Level>(),
    times: integer(),
    minutes: integer(),
    /** The nickname of the child that played, as the family wrote it. */
    child: text().notNull().default(''),
    how: text()
      .array()
      .$type<How[]>()
      .notNull()
      .default(sql`'{}'::text[]`),
    childSaid: text().notNull().default(''),
    changed: text().notNull().default(''),
    /** The message of the step that was unclear. */
    unclear: text().notNull().default(''),
    /** When that was taken to the words desk, or set aside. */
    unclearSeenAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.answerId, table.position] }),
    ofSameSchool('answer_game_of_answer', table, table.answerId, answer).onDelete('cascade'),
    oneOf('answer_game_says_a_known_level', table.said, Object.keys(LEVELS)),
    check('a_game_has_a_place', sql`${table.position} between 0 and 99`),
    check('a_game_is_played_some_times', sql`${table.times} >= 0 and ${table.minutes} >= 0`),
  ],
);

/** A theme by which a school marks what children said and did. */
export const theme = pgTable(
  'theme',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    name: text().notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('theme_name_is_taken').on(table.schoolId, sql`lower(${table.name})`),
  ],
);

export const answerTheme = pgTable(
  'answer_theme',
  {
    schoolId: schoolId(),
    answerId: uuid().notNull(),
    themeId: uuid().notNull(),
    personId: uuid().references(() => person.id),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.answerId, table.themeId] }),
    ofSameSchool('answer_theme_of_answer', table, table.answerId, answer).onDelete('cascade'),
    ofSameSchool('answer_theme_of_theme', table, table.themeId, theme).onDelete('cascade'),
    index('answer_by_theme').on(table.schoolId, table.themeId),
  ],
);

const REPLIES = ['read', 'waiting', 'aside'] as const;

/** A line of text that came in, as the service that carries messages hands it over; the same one again is the same row. */
export const textReply = pgTable(
  'text_reply',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    /** What the service calls it. */
    carriedAs: text().notNull(),
    reach: text().notNull(),
    text: text().notNull(),
    /** Null where the number belongs to no family, or to several. */
    familyId: uuid(),
    state: text({ enum: REPLIES }).notNull(),
    /** Why a person has to look at it. */
    why: text().notNull().default(''),
    answerId: uuid(),
    personId: uuid().references(() => person.id),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('text_reply_came').on(table.schoolId, table.carriedAs),
    ofSameSchool('text_reply_of_family', table, table.familyId, family),
    foreignKey({
      name: 'text_reply_became_answer',
      columns: [table.schoolId, table.answerId],
      foreignColumns: [answer.schoolId, answer.id],
    }),
    oneOf('text_reply_is_in_a_known_state', table.state, REPLIES),
    index('text_reply_waiting')
      .on(table.schoolId, table.receivedAt)
      .where(sql`${table.state} = 'waiting'`),
  ],
);

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** A picture of a child's work, made small and without the place it was taken at. It goes on its day. */
export const workPicture = pgTable(
  'work_picture',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    answerId: uuid().notNull(),
    image: bytes().notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    goesOn: date().notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('work_picture_of_answer', table, table.answerId, answer).onDelete('cascade'),
    index('work_picture_by_answer').on(table.schoolId, table.answerId),
    index('work_picture_goes').on(table.goesOn),
  ],
);
