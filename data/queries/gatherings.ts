/** Days on which families come, and who came. */
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Said } from '~/core/listening/level';
import { atSchool, installation, transaction, type SchoolHandle } from '../db';
import {
  attendance,
  family,
  gathering,
  message,
  school,
  tableDevice,
  tableTap,
  type TappedGame,
} from '../schema';
import { ours } from './ours';
import { boundTo, schoolColumns, type School } from './schools';

export type Gathering = Pick<
  typeof gathering.$inferSelect,
  'id' | 'name' | 'onDay' | 'expiresAt' | 'closedAt' | 'eveningId'
>;
const columns = {
  id: gathering.id,
  name: gathering.name,
  onDay: gathering.onDay,
  expiresAt: gathering.expiresAt,
  closedAt: gathering.closedAt,
  eveningId: gathering.eveningId,
};

/** Sets a table up; undefined where the evening has one already. */
export async function openGathering(
  at: SchoolHandle,
  input: {
    name: string;
    onDay: string;
    keyHash: string;
    expiresAt: Date;
    personId: string;
    eveningId?: string;
  },
): Promise<string | undefined> {
  const [made] = await at
    .insert(gathering)
    .values(input)
    .onConflictDoNothing({ target: [gathering.schoolId, gathering.eveningId] })
    .returning({ id: gathering.id });
  return made?.id;
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

/** A new key for a table: the old one opens it no more, and neither do the devices that had it. */
export const renewKey = (at: SchoolHandle, id: string, keyHash: string, expiresAt: Date): Promise<void> =>
  transaction(at, async (tx) => {
    await tx
      .update(gathering)
      .set({ keyHash, expiresAt, closedAt: null })
      .where(and(ours(tx, gathering), eq(gathering.id, id)));
    await tx.delete(tableDevice).where(and(ours(tx, tableDevice), eq(tableDevice.gatheringId, id)));
  });
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
  /** The day since which the school knows it. */
  knownSince: string;
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
      knownSince: sql<string>`(${family.createdAt} at time zone ${at.timeZone})::date::text`,
    })
    .from(family)
    .leftJoin(
      attendance,
      and(ours(at, attendance), eq(attendance.familyId, family.id), eq(attendance.gatheringId, gatheringId)),
    )
    .where(and(ours(at, family), isNull(family.forgottenAt)))
    .orderBy(asc(family.group), asc(family.searchName));

/** The door of an evening. */
export const doorOf = async (at: SchoolHandle, eveningId: string): Promise<Gathering | undefined> =>
  (
    await at
      .select(columns)
      .from(gathering)
      .where(and(ours(at, gathering), eq(gathering.eveningId, eveningId)))
  )[0];

/** What a family says of a table when it leaves. */
export interface Tap {
  tableName: string;
  game: TappedGame;
  said: Said;
  again: boolean | null;
}
/** Keeps what a family says of the tables it was at; said anew, the last word counts. It was there, so it is ticked in. */
export const keepTaps = (
  at: SchoolHandle,
  gatheringId: string,
  familyId: string,
  taps: readonly Tap[],
): Promise<void> =>
  transaction(at, async (tx) => {
    await tickIn(tx, gatheringId, familyId, true);
    if (taps.length === 0) return;
    await tx
      .insert(tableTap)
      .values(taps.map((tap) => ({ ...tap, gatheringId, familyId })))
      .onConflictDoUpdate({
        target: [tableTap.schoolId, tableTap.gatheringId, tableTap.familyId, tableTap.tableName],
        set: {
          game: sql`excluded.game`,
          said: sql`excluded.said`,
          again: sql`excluded.again`,
          at: new Date(),
        },
      });
  });

/** A word on a table, with of whom it is. */
export interface TapWord extends Tap {
  gatheringId: string;
  familyId: string;
  children: string;
  at: Date;
}
const taps = (at: SchoolHandle) =>
  at
    .select({
      gatheringId: tableTap.gatheringId,
      familyId: tableTap.familyId,
      children: family.children,
      tableName: tableTap.tableName,
      game: tableTap.game,
      said: tableTap.said,
      again: tableTap.again,
      at: tableTap.at,
    })
    .from(tableTap)
    .innerJoin(family, and(ours(at, family), eq(family.id, tableTap.familyId)));
/** What was said at one door. */
export const tapsAt = (at: SchoolHandle, gatheringId: string): Promise<TapWord[]> =>
  taps(at)
    .where(and(ours(at, tableTap), eq(tableTap.gatheringId, gatheringId)))
    .orderBy(asc(tableTap.tableName));
/** What was said of tables since a moment, in the order in which it was said. */
export const tapsSince = (at: SchoolHandle, since: Date): Promise<TapWord[]> =>
  taps(at)
    .where(and(ours(at, tableTap), sql`${tableTap.at} >= ${since}`))
    .orderBy(asc(tableTap.at));

/** Families that were asked to come to an evening (or thanked for coming), and what they answered. */
export const invitedTo = (
  at: SchoolHandle,
  eveningId: string,
  kind: 'invitation' | 'thanks' = 'invitation',
): Promise<{ familyId: string; answered: string | null; state: string }[]> =>
  at
    .select({ familyId: message.familyId, answered: message.answered, state: message.state })
    .from(message)
    .where(and(ours(at, message), eq(message.once, `${kind} ${eveningId}`)));

/** Who came to a gathering. */
export const cameTo = async (at: SchoolHandle, gatheringId: string): Promise<Set<string>> =>
  new Set(
    (
      await at
        .select({ id: attendance.familyId })
        .from(attendance)
        .where(and(ours(at, attendance), eq(attendance.gatheringId, gatheringId)))
    ).map(({ id }) => id),
  );
