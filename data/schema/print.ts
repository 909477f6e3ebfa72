import {
  boolean,
  customType,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { oneOf } from './one-of';
import { person } from './people';
import { schoolId } from './schools';

const STATES = ['drawing', 'done', 'failed', 'stopped'] as const;

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** A PDF that is being drawn, or was. `query` is the address part of what was asked for. */
export const printJob = pgTable(
  'print_job',
  {
    schoolId: schoolId(),
    id: uuid().notNull().defaultRandom(),
    query: text().notNull(),
    title: text().notNull(),
    /** A list of families, and not a pack. */
    namesFamilies: boolean().notNull().default(false),
    /** What is drawn, as plain data: any server can begin it, or begin it again. */
    task: jsonb(),
    state: text({ enum: STATES }).notNull().default('drawing'),
    pagesDone: integer().notNull().default(0),
    pages: integer(),
    /** What to change, when it could not be printed. */
    problem: text(),
    pdf: bytea(),
    createdBy: uuid().references(() => person.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** The server that draws it tells of itself here; a job nobody tells of has been abandoned. */
    aliveAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.schoolId, table.id] }),
    index('print_job_by_day').on(table.schoolId, table.createdAt),
    oneOf('print_job_is_in_a_known_state', table.state, STATES),
  ],
);
