import type { AgeBand, Params } from '~/core/games/kit/types';
import type { Said } from '~/core/listening/level';
import {
  boolean,
  check,
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
import { sql } from 'drizzle-orm';
import { family } from './lending';
import { LEVELS } from '~/core/pack/questions';
import { oneOf } from './one-of';
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
    /** The evening whose door this is; its tables are what families say a word on when they leave. */
    eveningId: uuid(),
    personId: uuid().references(() => person.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('gathering_key').on(table.keyHash),
    index('gathering_by_day').on(table.schoolId, table.onDay),
  ],
);

/**
 * A device on which a table was opened: the first one, and others that somebody of the school let in. Of its cookie only
 * the hash is kept.
 */
export const tableDevice = pgTable(
  'table_device',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    gatheringId: uuid().notNull(),
    tokenHash: text().notNull(),
    /** By this it is told from others: it stands on its screen. */
    number: integer().notNull(),
    letIn: boolean().notNull(),
    /** The family that signed in there last, and when: a bag is taken by nobody else. */
    familyId: uuid(),
    familyAt: timestamp({ withTimezone: true }),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('table_device_token').on(table.schoolId, table.tokenHash),
    uniqueIndex('table_device_number').on(table.schoolId, table.gatheringId, table.number),
    ofSameSchool('device_of_gathering', table, table.gatheringId, gathering).onDelete('cascade'),
    ofSameSchool('device_of_family', table, table.familyId, family),
    check('table_device_has_a_number', sql`${table.number} > 0`),
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

/** The game that stood at a table. */
export interface TappedGame {
  gameId: string;
  name: string;
  params: Params;
  ageBand: AgeBand;
}
/** What a family said of a table of an evening when it left: two taps. */
export const tableTap = pgTable(
  'table_tap',
  {
    schoolId: schoolId(),
    gatheringId: uuid().notNull(),
    familyId: uuid().notNull(),
    tableName: text().notNull(),
    game: jsonb().$type<TappedGame>().notNull(),
    said: text().$type<Said>().notNull(),
    /** Whether they would like to play it again; null where that was not tapped. */
    again: boolean(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.gatheringId, table.familyId, table.tableName] }),
    ofSameSchool('tap_at_gathering', table, table.gatheringId, gathering).onDelete('cascade'),
    ofSameSchool('tap_of_family', table, table.familyId, family),
    index('tap_by_family').on(table.schoolId, table.familyId),
    oneOf('tap_says_a_known_level', table.said, Object.keys(LEVELS)),
  ],
);
