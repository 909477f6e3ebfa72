import { sql } from 'drizzle-orm';
import { jsonb, pgTable, primaryKey, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import type { OwnGame } from '~/core/own/definition';
import { version } from './version';
import { person } from './people';
import { schoolId } from './schools';

/** A game that a coordinator made herself. */
export const ownGame = pgTable(
  'own_game',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    name: text().notNull(),
    definition: jsonb().$type<OwnGame>().notNull(),
    version: version(),
    createdBy: uuid().references(() => person.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    changedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    archivedAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('own_game_name_is_taken')
      .on(table.schoolId, sql`lower(${table.name})`)
      .where(sql`${table.archivedAt} is null`),
  ],
);
