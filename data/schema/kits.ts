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
import type { KitPart, KitPlan, Swaps } from '~/core/kits/recipe';
import { LOAN_DAYS, USUAL_PLAYS } from '~/core/kits/loan';
import type { MakingStep } from '~/core/kits/making';
import { ASSURANCES, type Assurance } from '~/core/kits/assurance';
import { FINISHES, type Finish } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import type { OwnGame } from '~/core/own/definition';
import { version } from './version';
import { oneOf } from './one-of';
import { person } from './people';
import { ofSameSchool, PAPERS, school, schoolId } from './schools';

/** A game with its parameters set, saved under a name. */
export const variant = pgTable(
  'variant',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
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
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('variant_name_is_taken')
      .on(table.schoolId, sql`lower(${table.name})`)
      .where(sql`${table.archivedAt} is null`),
    oneOf('variant_is_for_a_grade_band', table.ageBand, Object.keys(AGE_BANDS)),
  ],
);

export const kit = pgTable(
  'kit',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    name: text().notNull(),
    ageBand: text().$type<AgeBand>().notNull(),
    players: integer().notNull(),
    paper: text({ enum: PAPERS }).notNull(),
    assurance: text().$type<Assurance>().notNull(),
    finish: text().$type<Finish>().notNull().default('plain'),
    /** How long a loan lasts, and how often a week a family is taken to play: what is used up is reckoned for it. */
    daysOut: integer().notNull().default(LOAN_DAYS),
    playsAWeek: integer().notNull().default(USUAL_PLAYS),
    /** Languages beside English in which its packs are printed; all of the school where none is said. */
    languages: text().array().$type<Language[]>().notNull().default([]),
    /** What stands in for a part, by the part it stands in for. */
    swaps: jsonb().$type<Swaps>().notNull().default({}),
    version: version(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('kit_name_is_taken').on(table.schoolId, sql`lower(${table.name})`),
    check(
      'kit_is_lent_for_days',
      sql`${table.daysOut} between 1 and 120 and ${table.playsAWeek} between 1 and 21`,
    ),
    oneOf('kit_has_a_finish', table.finish, Object.keys(FINISHES)),
    check('kit_has_players', sql`${table.players} between 1 and 6`),
    oneOf('kit_is_for_a_grade_band', table.ageBand, Object.keys(AGE_BANDS)),
    oneOf('kit_is_on_a_paper', table.paper, PAPERS),
    oneOf('kit_has_an_assurance', table.assurance, Object.keys(ASSURANCES)),
  ],
);

export const kitVariant = pgTable(
  'kit_variant',
  {
    schoolId: schoolId(),
    kitId: uuid().notNull(),
    variantId: uuid().notNull(),
    position: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.kitId, table.variantId] }),
    ofSameSchool('kit_variant_in_kit', table, table.kitId, kit).onDelete('cascade'),
    ofSameSchool('kit_variant_of_variant', table, table.variantId, variant),
    index('kit_variant_by_variant').on(table.schoolId, table.variantId),
  ],
);

/** Batches that are made together. It is over when every copy is made, or what was left was given up. */
export const making = pgTable(
  'making',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    startedOn: date().notNull(),
    helpers: integer().notNull(),
    laminators: integer().notNull(),
    cutters: integer().notNull(),
    startedBy: uuid().references(() => person.id),
    endedAt: timestamp({ withTimezone: true }),
    /** Made anew for each form that is shown: a form sent twice starts once. */
    formKey: uuid(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    uniqueIndex('making_was_sent').on(table.schoolId, table.formKey),
    check('making_has_hands', sql`${table.helpers} > 0 and ${table.laminators} > 0 and ${table.cutters} > 0`),
  ],
);

/** A batch of copies made together. `plan` and `parts` are as they were that day: later changes leave built copies alone. */
export const buildRun = pgTable(
  'build_run',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    kitId: uuid().notNull(),
    builtOn: date().notNull(),
    plan: jsonb().$type<KitPlan>().notNull(),
    parts: jsonb().$type<KitPart[]>().notNull(),
    /** The build run it belongs to; without one its copies are made elsewhere, and can be lent at once. */
    makingId: uuid(),
    finish: text().$type<Finish>().notNull().default('plain'),
    /** The steps of making one copy, with what it takes. */
    steps: jsonb().$type<MakingStep[]>().notNull().default([]),
    builtBy: uuid().references(() => person.id),
    /** Made anew for each form that is shown: a form sent twice builds once. */
    formKey: uuid(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('build_run_of_kit', table, table.kitId, kit),
    ofSameSchool('build_run_in_making', table, table.makingId, making),
    oneOf('build_run_has_a_finish', table.finish, Object.keys(FINISHES)),
    index('build_run_by_making').on(table.schoolId, table.makingId),
    index('build_run_by_kit').on(table.schoolId, table.kitId),
    uniqueIndex('build_was_sent').on(table.schoolId, table.formKey),
  ],
);

/**
 * One physical basket of a kit. When it moves to another school, a row of its own begins there and this one stays for
 * what happened to it here.
 */
export const copy = pgTable(
  'copy',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    kitId: uuid().notNull(),
    buildRunId: uuid().notNull(),
    tag: text().notNull(),
    /** The unguessable part of the family page's address. */
    linkKey: text().notNull(),
    printedAt: timestamp({ withTimezone: true }),
    /** When it was made and checked; until then it is not lent. */
    readyAt: timestamp({ withTimezone: true }),
    /** The language beside English in which its pack is printed, or is to be; null where nobody said. */
    language: text().$type<Language>(),
    /** When it left for another school, and for which. */
    movedAt: timestamp({ withTimezone: true }),
    movedTo: uuid().references(() => school.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    ofSameSchool('copy_of_kit', table, table.kitId, kit),
    ofSameSchool('copy_of_build_run', table, table.buildRunId, buildRun),
    // A tag and a link are read where nobody knows yet whose they are.
    uniqueIndex('copy_tag_is_taken')
      .on(table.tag)
      .where(sql`${table.movedAt} is null`),
    uniqueIndex('copy_link_is_taken')
      .on(table.linkKey)
      .where(sql`${table.movedAt} is null`),
    index('copy_by_tag').on(table.schoolId, table.tag),
    index('copy_by_kit').on(table.schoolId, table.kitId),
    index('copy_by_build').on(table.schoolId, table.buildRunId),
    index('copy_half_made')
      .on(table.schoolId, table.buildRunId)
      .where(sql`${table.readyAt} is null`),
    check('moved_somewhere', sql`(${table.movedAt} is null) = (${table.movedTo} is null)`),
  ],
);
