/** Days on which families come, and who came. */
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import { atSchool, installation, type SchoolHandle } from '../db';
import { attendance, family, gathering, school } from '../schema';
import { ours } from './ours';
import { boundTo, schoolColumns, type School } from './schools';

export type Gathering = Pick<
  typeof gathering.$inferSelect,
  'id' | 'name' | 'onDay' | 'expiresAt' | 'closedAt'
>;
const columns = {
  id: gathering.id,
  name: gathering.name,
  onDay: gathering.onDay,
  expiresAt: gathering.expiresAt,
  closedAt: gathering.closedAt,
};

export async function openGathering(
  at: SchoolHandle,
  input: { name: string; onDay: string; keyHash: string; expiresAt: Date; personId: string },
): Promise<string> {
  const [made] = await at.insert(gathering).values(input).returning({ id: gathering.id });
  return made!.id;
}

/** Gatherings, the newest first, with how many families came to each. */
export const listGatherings = (at: SchoolHandle): Promise<(Gathering & { came: number })[]> =>
  at
    .select({
      ...columns,
      came: sql<number>`(select count(*)::int from attendance a where a.school_id = ${at.schoolId} and a.gathering_id = ${gathering.id})`,
    })
    .from(gathering)
    .where(ours(at, gathering))
    .orderBy(desc(gathering.onDay), desc(gathering.createdAt))
    .limit(50);

export const findGathering = async (at: SchoolHandle, id: string): Promise<Gathering | undefined> =>
  (
    await at
      .select(columns)
      .from(gathering)
      .where(and(ours(at, gathering), eq(gathering.id, id)))
  )[0];

/** The table that a key opens, and its school. */
export async function gatheringOf(
  keyHash: string,
): Promise<{ at: SchoolHandle; school: School; gathering: Gathering } | undefined> {
  const [found] = await installation()
    .select(schoolColumns)
    .from(school)
    .where(sql`${school.id} = public.school_of_gathering(${keyHash})`);
  if (!found) return undefined;
  const at = atSchool(boundTo(found));
  const [one] = await at
    .select(columns)
    .from(gathering)
    .where(and(ours(at, gathering), eq(gathering.keyHash, keyHash)));
  return one && { at, school: found, gathering: one };
}

/** A new key for a table: the old one opens it no more. */
export const renewKey = async (
  at: SchoolHandle,
  id: string,
  keyHash: string,
  expiresAt: Date,
): Promise<void> => {
  await at
    .update(gathering)
    .set({ keyHash, expiresAt, closedAt: null })
    .where(and(ours(at, gathering), eq(gathering.id, id)));
};
export const closeGathering = async (at: SchoolHandle, id: string): Promise<void> => {
  await at
    .update(gathering)
    .set({ closedAt: new Date() })
    .where(and(ours(at, gathering), eq(gathering.id, id), isNull(gathering.closedAt)));
};

/** A family is here; ticked in twice it is here once. */
export const tickIn = async (
  at: SchoolHandle,
  gatheringId: string,
  familyId: string,
  byFamily: boolean,
): Promise<void> => {
  await at.insert(attendance).values({ gatheringId, familyId, byFamily }).onConflictDoNothing();
};
export const tickOut = async (at: SchoolHandle, gatheringId: string, familyId: string): Promise<void> => {
  await at
    .delete(attendance)
    .where(
      and(ours(at, attendance), eq(attendance.gatheringId, gatheringId), eq(attendance.familyId, familyId)),
    );
};

export interface Guest {
  id: string;
  name: string;
  language: string;
  group: string;
  children: string;
  /** When it was ticked in, and by whom; null for those that did not come. */
  at: Date | null;
  byFamily: boolean | null;
}
/** All families, class by class, with whether they came. */
export const guestsOf = (at: SchoolHandle, gatheringId: string): Promise<Guest[]> =>
  at
    .select({
      id: family.id,
      name: family.name,
      language: family.language,
      group: family.group,
      children: family.children,
      at: attendance.at,
      byFamily: attendance.byFamily,
    })
    .from(family)
    .leftJoin(
      attendance,
      and(ours(at, attendance), eq(attendance.familyId, family.id), eq(attendance.gatheringId, gatheringId)),
    )
    .where(and(ours(at, family), isNull(family.forgottenAt)))
    .orderBy(asc(family.group), asc(family.searchName));
