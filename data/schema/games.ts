import { sql } from 'drizzle-orm';
import { jsonb, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import type { OwnGame } from '~/core/own/definition';
import { version } from './changes';
import { person } from './people';

/** A game that a coordinator made herself. */
export const ownGame = pgTable(
  'own_game',
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    definition: jsonb().$type<OwnGame>().notNull(),
    version: version(),
    createdBy: uuid().references(() => person.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    changedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    archivedAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    uniqueIndex('own_game_name_is_taken')
      .on(sql`lower(${table.name})`)
      .where(sql`${table.archivedAt} is null`),
  ],
);

/** A material that the school's store has: what is not named here has to be bought or borrowed first. */
export const materialAtHand = pgTable('material_at_hand', {
  material: text().primaryKey(),
  since: timestamp({ withTimezone: true }).notNull().defaultNow(),
});
