import { date, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import type { EveningPlan, Solved } from '~/core/evening/plan';
import { person } from './people';
import { schoolId } from './schools';
import { version } from './version';

/** An evening on which families come and play: its plan as it stands. */
export const evening = pgTable(
  'evening',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    name: text().notNull(),
    onDay: date().notNull(),
    /** "17:30", on the clock of the school. */
    startsAt: text().notNull(),
    plan: jsonb().$type<EveningPlan>().notNull(),
    /** The plan as it was solved when it was saved: where there is none, what there is not yet or why it cannot be. */
    solved: jsonb().$type<Solved>(),
    /** Pieces of the store that are spoken for until they are counted back, by material. */
    setAside: jsonb().$type<Record<string, number>>(),
    personId: uuid().references(() => person.id),
    version: version(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    index('evening_by_day').on(table.schoolId, table.onDay),
  ],
);

/** A game that a helper has rehearsed: the last time counts, and how often it went well. */
export const rehearsal = pgTable(
  'rehearsal',
  {
    schoolId: schoolId(),
    /** As the plan of an evening names the helper. */
    helper: text().notNull(),
    gameId: text().notNull(),
    /** How many turns, and in how many of them the first word chosen was a good one. */
    turns: integer().notNull(),
    well: integer().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.schoolId, table.helper, table.gameId] })],
);
