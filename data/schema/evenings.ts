import { date, index, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
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
