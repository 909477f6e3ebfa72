import { sql } from 'drizzle-orm';
import {
  date,
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
import type { RoundChoices } from '~/core/lending/choices';
import { copy } from './kits';
import { family, loan } from './lending';
import { oneOf } from './one-of';
import { person } from './people';
import { ofSameSchool, schoolId } from './schools';
import { version } from './version';

const STATES = ['planned', 'promised', 'ended'] as const;

/** One hand-out of many copies: what was chosen for it. Bags are promised once it is settled. */
export const round = pgTable(
  'round',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    name: text().notNull(),
    onDay: date().notNull(),
    choices: jsonb().$type<RoundChoices>().notNull(),
    state: text({ enum: STATES }).notNull().default('planned'),
    personId: uuid().references(() => person.id),
    version: version(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    oneOf('round_is_in_a_known_state', table.state, STATES),
    index('round_by_day').on(table.schoolId, table.onDay),
  ],
);

/** A bag that is promised to a family in a round; handed over when there is a loan. */
export const promise = pgTable(
  'promise',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    roundId: uuid().notNull(),
    familyId: uuid().notNull(),
    copyId: uuid().notNull(),
    score: integer().notNull(),
    why: text().notNull(),
    loanId: uuid(),
    /** When it was over: handed over, undone with its round, or left behind by it. */
    endedAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('promise_of_round', table, table.roundId, round).onDelete('cascade'),
    ofSameSchool('promise_to_family', table, table.familyId, family),
    ofSameSchool('promise_of_copy', table, table.copyId, copy),
    ofSameSchool('promise_became_loan', table, table.loanId, loan),
    uniqueIndex('copy_is_promised_already')
      .on(table.schoolId, table.copyId)
      .where(sql`${table.endedAt} is null`),
    uniqueIndex('one_bag_in_a_round').on(table.schoolId, table.roundId, table.familyId),
    index('promise_by_loan').on(table.schoolId, table.loanId),
  ],
);
