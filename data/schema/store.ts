import { sql } from 'drizzle-orm';
import {
  check,
  doublePrecision,
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
import type { AnyMaterialId } from '~/core/materials/catalogue';
import type { Names, SchoolMaterialFields } from '~/core/materials/school';
import { MOVES, type MoveKind } from '~/core/kits/store';
import { version } from './version';
import { oneOf } from './one-of';
import { person } from './people';
import { schoolId } from './schools';

/** A material of the school's store. What is on hand is the sum of its moves, kept in step with them. */
export const stockItem = pgTable(
  'stock_item',
  {
    schoolId: schoolId(),
    material: text().notNull(),
    /** Null while there is some that nobody has counted. */
    onHand: integer(),
    /** Where it stands, in the school's own words: room, shelf, color of the box. */
    place: text().notNull().default(''),
    reorderAt: integer().notNull().default(0),
    /** What one piece weighs, mean and standard deviation in grams, found from a sample of so many; null before. */
    unitG: doublePrecision(),
    unitSdG: doublePrecision(),
    weighed: integer(),
    version: version(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.material] }),
    check('stock_is_never_below_zero', sql`${table.onHand} >= 0`),
    check(
      'a_piece_weighs_something',
      sql`(${table.unitG} > 0 and ${table.unitSdG} >= 0 and ${table.weighed} > 0) or (${table.unitG} is null and ${table.unitSdG} is null and ${table.weighed} is null)`,
    ),
    check('reorder_level_is_possible', sql`${table.reorderAt} >= 0`),
  ],
);

/** A kind of part as the school has it: one that ships, written over, or one of its own. */
export const schoolMaterial = pgTable(
  'school_material',
  {
    schoolId: schoolId(),
    material: text().$type<AnyMaterialId>().notNull(),
    fields: jsonb().$type<SchoolMaterialFields>().notNull(),
    names: jsonb().$type<Names>().notNull().default({}),
    /** Not chosen for anything new since then. */
    putAwayAt: timestamp({ withTimezone: true }),
    version: version(),
  },
  (table) => [primaryKey({ columns: [table.schoolId, table.material] })],
);

/** One move of stock; never changed afterwards. What was wrong is undone by its opposite. */
export const stockMove = pgTable(
  'stock_move',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    material: text().notNull(),
    kind: text().$type<MoveKind>().notNull(),
    /** Above zero when something came in, below when it went. */
    quantity: integer().notNull(),
    /** What was on hand after it. */
    leaves: integer().notNull(),
    note: text().notNull().default(''),
    /** The build run or the copy it was for; they may be gone when it was undone. */
    forId: uuid(),
    /** The move that this one undoes. */
    undoes: uuid(),
    personId: uuid().references(() => person.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    serial: integer().notNull().generatedAlwaysAsIdentity(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    foreignKey({
      name: 'stock_move_of_item',
      columns: [table.schoolId, table.material],
      foreignColumns: [stockItem.schoolId, stockItem.material],
    }),
    oneOf('stock_move_is_of_a_kind', table.kind, Object.keys(MOVES)),
    foreignKey({
      name: 'stock_move_undoes_a_move',
      columns: [table.schoolId, table.undoes],
      foreignColumns: [table.schoolId, table.id],
    }),
    uniqueIndex('stock_move_is_undone_once').on(table.schoolId, table.undoes),
    index('stock_move_by_item').on(table.schoolId, table.material, table.serial),
    index('stock_move_by_purpose').on(table.schoolId, table.forId),
    check('stock_left_is_possible', sql`${table.leaves} >= 0`),
  ],
);

/** A pack of a material as it is sold to the school. */
export const stockOffer = pgTable(
  'stock_offer',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    material: text().notNull(),
    name: text().notNull(),
    size: integer().notNull(),
    priceCents: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('stock_offer_name_is_taken').on(table.schoolId, table.material, sql`lower(${table.name})`),
    check('a_pack_holds_something', sql`${table.size} > 0 and ${table.priceCents} >= 0`),
  ],
);
