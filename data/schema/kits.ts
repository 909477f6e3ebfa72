import { sql } from 'drizzle-orm';
import {
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
import { AGE_BANDS, type AgeBand, type Params } from '~/core/games/kit/types';
import type { KitPart, KitPlan } from '~/core/kits/recipe';
import { ASSURANCES, type Assurance } from '~/core/kits/assurance';
import type { OwnGame } from '~/core/own/definition';
import { version } from './changes';
import { oneOf } from './one-of';
import { person } from './people';

const PAPERS = ['letter', 'a4'] as const;

/** A game with its parameters set, saved under a name. */
export const variant = pgTable(
  'variant',
  {
    id: uuid().primaryKey().defaultRandom(),
    gameId: text().notNull(),
    name: text().notNull(),
    params: jsonb().$type<Params>().notNull(),
    /** For a game of the school's own: its rules as they were when the variant was saved. */
    own: jsonb().$type<OwnGame>(),
    ageBand: text().$type<AgeBand>().notNull(),
    createdBy: uuid().references(() => person.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    archivedAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    uniqueIndex('variant_name_is_taken')
      .on(sql`lower(${table.name})`)
      .where(sql`${table.archivedAt} is null`),
    oneOf('variant_is_for_a_grade_band', table.ageBand, Object.keys(AGE_BANDS)),
  ],
);

export const kit = pgTable(
  'kit',
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    ageBand: text().$type<AgeBand>().notNull(),
    players: integer().notNull(),
    paper: text({ enum: PAPERS }).notNull(),
    assurance: text().$type<Assurance>().notNull(),
    version: version(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('kit_name_is_taken').on(sql`lower(${table.name})`),
    check('kit_has_players', sql`${table.players} between 1 and 6`),
    oneOf('kit_is_for_a_grade_band', table.ageBand, Object.keys(AGE_BANDS)),
    oneOf('kit_is_on_a_paper', table.paper, PAPERS),
    oneOf('kit_has_an_assurance', table.assurance, Object.keys(ASSURANCES)),
  ],
);

export const kitVariant = pgTable(
  'kit_variant',
  {
    kitId: uuid()
      .notNull()
      .references(() => kit.id, { onDelete: 'cascade' }),
    variantId: uuid()
      .notNull()
      .references(() => variant.id),
    position: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.kitId, table.variantId] }),
    index('kit_variant_by_variant').on(table.variantId),
  ],
);

/** A batch of copies made together. `plan` and `parts` are as they were that day: later changes leave built copies alone. */
export const buildRun = pgTable('build_run', {
  id: uuid().primaryKey().defaultRandom(),
  kitId: uuid()
    .notNull()
    .references(() => kit.id),
  builtOn: date().notNull(),
  plan: jsonb().$type<KitPlan>().notNull(),
  parts: jsonb().$type<KitPart[]>().notNull(),
  builtBy: uuid().references(() => person.id),
  /** Made anew for each form that is shown: a form sent twice builds once. */
  formKey: uuid().unique('build_was_sent'),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
});

/** One physical basket of a kit. */
export const copy = pgTable(
  'copy',
  {
    id: uuid().primaryKey().defaultRandom(),
    kitId: uuid()
      .notNull()
      .references(() => kit.id),
    buildRunId: uuid()
      .notNull()
      .references(() => buildRun.id),
    tag: text().notNull().unique('copy_tag_is_taken'),
    /** The unguessable part of the family page's address. */
    linkKey: text().notNull().unique(),
    printedAt: timestamp({ withTimezone: true }),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('copy_by_kit').on(table.kitId), index('copy_by_build').on(table.buildRunId)],
);
