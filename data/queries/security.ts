/** What happened at the doors of a school. */
import { and, desc, eq, gt, sql } from 'drizzle-orm';
import type { SecurityCount, SecurityKind } from '~/core/people/security';
import { atSchool, installation, type SchoolHandle } from '../db';
import { membership, person, school, securityEvent } from '../schema';
import { ours } from './ours';
import { boundTo, schoolColumns } from './schools';

/** Keeps that something happened. */
export const addSecurityEvent = async (
  at: SchoolHandle,
  kind: SecurityKind,
  personId: string | null,
): Promise<void> => {
  await at
    .insert(securityEvent)
    .values({ schoolId: at.schoolId, kind, personId, hour: sql`date_trunc('hour', now())` })
    .onConflictDoUpdate({
      target: [securityEvent.schoolId, securityEvent.kind, securityEvent.personId, securityEvent.hour],
      set: { times: sql`${securityEvent.times} + 1` },
    });
};

/** The ways to all schools of a person. */
export const schoolsAround = async (personId: string): Promise<SchoolHandle[]> =>
  (
    await installation()
      .select({ school: schoolColumns })
      .from(membership)
      .innerJoin(school, eq(school.id, membership.schoolId))
      .where(and(eq(membership.personId, personId), eq(membership.active, true)))
  ).map((row) => atSchool(boundTo(row.school)));

/** What happened, the newest first. */
export const securityEvents = (
  at: SchoolHandle,
  most = 60,
): Promise<(SecurityCount & { id: string; hour: Date })[]> =>
  at
    .select({
      id: securityEvent.id,
      kind: securityEvent.kind,
      who: person.name,
      times: securityEvent.times,
      hour: securityEvent.hour,
    })
    .from(securityEvent)
    .leftJoin(person, eq(person.id, securityEvent.personId))
    .where(ours(at, securityEvent))
    .orderBy(desc(securityEvent.hour), securityEvent.kind)
    .limit(most);

/** What happened in the last day, counted by what and who. */
export const securityOfADay = (at: SchoolHandle): Promise<SecurityCount[]> =>
  at
    .select({
      kind: securityEvent.kind,
      who: person.name,
      times: sql<number>`sum(${securityEvent.times})::int`,
    })
    .from(securityEvent)
    .leftJoin(person, eq(person.id, securityEvent.personId))
    .where(and(ours(at, securityEvent), gt(securityEvent.hour, sql`now() - interval '25 hours'`)))
    .groupBy(securityEvent.kind, person.id);

/** What happened more than half a year ago is of no use to anybody. */
export const dropOldSecurity = async (at: SchoolHandle): Promise<void> => {
  await at
    .delete(securityEvent)
    .where(and(ours(at, securityEvent), sql`${securityEvent.hour} < now() - interval '180 days'`));
};
