import { check, index, integer, pgTable, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';
import { sql } from 'drizzle-orm';
import { SECURITY, type SecurityKind } from '~/core/people/security';
import { oneOf } from './one-of';
import { person } from './people';
import { schoolId } from './schools';

/** What happened at the doors of a school: within an hour the same of the same person is one row, and counted. */
export const securityEvent = pgTable(
  'security_event',
  {
    id: uuid().primaryKey().defaultRandom(),
    schoolId: schoolId(),
    kind: text().$type<SecurityKind>().notNull(),
    /** Whose name it was, or who did it. */
    personId: uuid().references(() => person.id, { onDelete: 'cascade' }),
    hour: timestamp({ withTimezone: true }).notNull(),
    times: integer().notNull().default(1),
  },
  (table) => [
    unique('security_event_once_an_hour')
      .on(table.schoolId, table.kind, table.personId, table.hour)
      .nullsNotDistinct(),
    index('security_event_by_time').on(table.schoolId, table.hour),
    oneOf('security_event_is_known', table.kind, Object.keys(SECURITY)),
    check('security_event_happened', sql`${table.times} > 0`),
  ],
);
