import { boolean, index, jsonb, pgTable, primaryKey, timestamp, uuid } from 'drizzle-orm/pg-core';
import type { HallAct, Heard } from '~/core/lending/hall';
import { person } from './people';
import { schoolId } from './schools';

/** What was done at a desk in the hall, under the id that the desk gave it: sent twice, it is done once. */
export const hallAct = pgTable(
  'hall_act',
  {
    schoolId: schoolId(),
    id: uuid().notNull(),
    act: jsonb().$type<HallAct>().notNull(),
    heard: jsonb().$type<Heard>().notNull(),
    /** It was done without network and could not be kept as it was: a person looks at it. */
    clash: boolean().notNull(),
    /** The families that are named in what was heard: it goes when one of them is forgotten. */
    about: uuid().array().notNull(),
    settledAt: timestamp({ withTimezone: true }),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    index('hall_act_by_day').on(table.schoolId, table.at),
  ],
);
