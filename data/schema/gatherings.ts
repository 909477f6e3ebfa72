import {
  boolean,
  date,
  index,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { family } from './lending';
import { person } from './people';
import { ofSameSchool, schoolId } from './schools';

/** A day on which families come: they tick themselves in at a table, on a tablet with this key or on paper. */
export const gathering = pgTable(
  'gathering',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    name: text().notNull(),
    onDay: date().notNull(),
    keyHash: text().notNull(),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
    closedAt: timestamp({ withTimezone: true }),
    personId: uuid().references(() => person.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('gathering_key').on(table.keyHash),
    index('gathering_by_day').on(table.schoolId, table.onDay),
  ],
);

/** A family that came. */
export const attendance = pgTable(
  'attendance',
  {
    schoolId: schoolId(),
    gatheringId: uuid().notNull(),
    familyId: uuid().notNull(),
    /** It ticked itself in; otherwise somebody of the school did. */
    byFamily: boolean().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.gatheringId, table.familyId] }),
    ofSameSchool('attendance_of_gathering', table, table.gatheringId, gathering).onDelete('cascade'),
    ofSameSchool('attendance_of_family', table, table.familyId, family),
  ],
);
