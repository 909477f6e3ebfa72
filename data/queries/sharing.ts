/**
 * What the schools of a district show each other, and what they take. A school takes a copy, which is its own from then
 * on, or follows: then every change there is made here in the same transaction, and the thing is not changed here.
 */
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { same } from '~/core/check/merge';
import type { SharedKind } from '~/core/kits/shared';
import { aboutLanguage } from '~/core/words/languages';
import { alsoAt, transaction, type SchoolHandle } from '../db';
import { kit, ownGame, school, shared, taken, wordingCheck } from '../schema';
import { log } from './changes';
import { ours } from './ours';
import { contentOf, putThere } from './shareable';

type SharedRow = typeof shared.$inferSelect;

/** Shows a thing to the district from now on. False when it is not there, or was taken from elsewhere and follows it. */
export function share(
  at: SchoolHandle,
  kind: SharedKind,
  thingId: string,
  personId: string,
): Promise<boolean> {
  return transaction(at, async (tx) => {
    const found = await contentOf(tx, kind, thingId);
    if (!found || (await followed(tx, kind, thingId))) return false;
    const [{ schoolName } = { schoolName: '' }] = await tx
      .select({ schoolName: school.name })
      .from(school)
      .where(eq(school.id, tx.schoolId));
    const added = await tx
      .insert(shared)
      .values({ districtId: tx.districtId, schoolName, kind, thingId, ...found })
      .onConflictDoNothing()
      .returning({ id: shared.id });
    if (added.length)
      await log(tx, {
        thing: 'sharing',
        thingId: added[0]!.id,
        kind: 'added',
        after: { name: found.name },
        personId,
      });
    return true;
  });
}

/** Shows a thing no more. Who followed it keeps it as it is, as their own. */
export function unshare(at: SchoolHandle, id: string, personId: string): Promise<boolean> {
  return transaction(at, async (tx) => {
    const [gone] = await tx
      .select()
      .from(shared)
      .where(and(ours(tx, shared), eq(shared.id, id)))
      .for('update');
    if (!gone) return false;
    await withdraw(tx, gone);
    await log(tx, { thing: 'sharing', thingId: id, kind: 'removed', after: { name: gone.name }, personId });
    return true;
  });
}

async function withdraw(tx: SchoolHandle, { id }: Pick<SharedRow, 'id'>): Promise<void> {
  for (const there of await followersOf(tx, id))
    await there
      .update(taken)
      .set({ follows: false })
      .where(and(ours(there, taken), eq(taken.sharedId, id)));
  await tx.delete(shared).where(and(ours(tx, shared), eq(shared.id, id)));
}

/** The schools that follow something of this one, in the same transaction. */
async function followersOf(tx: SchoolHandle, sharedId: string): Promise<SchoolHandle[]> {
  const { rows } = await tx.execute<{ id: string }>(
    sql`select public.followers_of(${sharedId}) as id order by 1`,
  );
  return rows.map(({ id }) => alsoAt(tx, { schoolId: id, districtId: tx.districtId, timeZone: tx.timeZone }));
}

/**
 * Brings what is shown of a thing up to date, and whoever follows it, in the transaction that changed it. A thing that
 * is not there any more is shown no more.
 */
export async function passOn(
  tx: SchoolHandle,
  kind: SharedKind,
  thingId: string,
  personId: string | null,
): Promise<void> {
  const [row] = await tx
    .select()
    .from(shared)
    .where(and(ours(tx, shared), eq(shared.kind, kind), eq(shared.thingId, thingId)))
    .for('update');
  if (!row) return;
  const found = await contentOf(tx, kind, thingId);
  if (!found) return withdraw(tx, row);
  if (same(found.content, row.content)) return;
  const version = row.version + 1;
  await tx
    .update(shared)
    .set({ ...found, version, changedAt: new Date() })
    .where(and(ours(tx, shared), eq(shared.id, row.id)));
  for (const there of await followersOf(tx, row.id)) {
    const [mine] = await there
      .select({ thingId: taken.thingId })
      .from(taken)
      .where(and(ours(there, taken), eq(taken.sharedId, row.id), taken.follows))
      .for('update');
    if (!mine) continue;
    await putThere(there, found.content, row.schoolName, personId, mine.thingId);
    await there
      .update(taken)
      .set({ version })
      .where(and(ours(there, taken), eq(taken.kind, kind), eq(taken.thingId, mine.thingId)));
    // What a school has taken into its own wording is shown by it too; where nothing is new, it ends.
    if (kind === 'wording') await passOn(there, kind, mine.thingId, personId);
  }
}

/** From whom a thing was taken, and whether it follows them; undefined for one of the school's own. */
export interface Taken {
  fromSchool: string;
  follows: boolean;
}
export async function takenFrom(
  at: SchoolHandle,
  kind: SharedKind,
  thingId: string,
): Promise<Taken | undefined> {
  const [found] = await at
    .select({ fromSchool: taken.fromSchool, follows: taken.follows })
    .from(taken)
    .where(and(ours(at, taken), eq(taken.kind, kind), eq(taken.thingId, thingId)));
  return found;
}

/** The school that this thing follows; undefined when it may be changed here. */
export const followed = async (
  tx: SchoolHandle,
  kind: SharedKind,
  thingId: string,
): Promise<string | undefined> => {
  const found = await takenFrom(tx, kind, thingId);
  return found?.follows ? found.fromSchool : undefined;
};

/** Makes a thing that followed another school one of this school's own. */
export function stopFollowing(
  at: SchoolHandle,
  kind: SharedKind,
  thingId: string,
  personId: string,
): Promise<boolean> {
  return transaction(at, async (tx) => {
    const [stopped] = await tx
      .update(taken)
      .set({ follows: false })
      .where(and(ours(tx, taken), eq(taken.kind, kind), eq(taken.thingId, thingId), taken.follows))
      .returning({ fromSchool: taken.fromSchool });
    if (!stopped) return false;
    const after = { follows: `no longer ${stopped.fromSchool}` };
    await log(tx, { thing: kind, thingId, kind: 'did', after, personId });
    return true;
  });
}

export type Took = { ok: true; thingId: string } | { ok: false; reason: 'gone' | 'follows' };

/** Takes what a sister school shows: a copy of one's own, or with `follows` one that changes with it. */
export function take(
  at: SchoolHandle,
  sharedId: string,
  follows: boolean,
  personId: string | null,
): Promise<Took> {
  return transaction(at, async (tx): Promise<Took> => {
    const [row] = await tx.select().from(shared).where(eq(shared.id, sharedId)).limit(1);
    if (!row || row.schoolId === tx.schoolId) return { ok: false, reason: 'gone' };
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`${tx.schoolId} ${sharedId}`}))`);
    const { kind, content, schoolName: fromSchool, version } = row;
    const before = await tx
      .select({ thingId: taken.thingId })
      .from(taken)
      .where(and(ours(tx, taken), eq(taken.sharedId, sharedId), taken.follows));
    if (before.length) return { ok: false, reason: 'follows' };
    const thingId = await putThere(
      tx,
      content,
      fromSchool,
      personId,
      kind === 'wording' ? row.thingId : undefined,
    );
    const values = { kind, thingId, sharedId, fromSchool, follows, version };
    await tx
      .insert(taken)
      .values(values)
      .onConflictDoUpdate({ target: [taken.schoolId, taken.kind, taken.thingId], set: values });
    return { ok: true, thingId };
  });
}

export interface Offer {
  id: string;
  kind: SharedKind;
  name: string;
  schoolName: string;
  changedAt: Date;
  /** What it became here, where it was taken. */
  takenAs: string | null;
  follows: boolean;
}

/** What sister schools show, by kind and name. */
export const offers = (at: SchoolHandle): Promise<Offer[]> =>
  at
    .select({
      id: shared.id,
      kind: shared.kind,
      name: shared.name,
      schoolName: shared.schoolName,
      changedAt: shared.changedAt,
      takenAs: sql<
        string | null
      >`coalesce(max(${taken.thingId}) filter (where ${taken.follows}), max(${taken.thingId}))`,
      follows: sql<boolean>`coalesce(bool_or(${taken.follows}), false)`,
    })
    .from(shared)
    .leftJoin(taken, and(ours(at, taken), eq(taken.sharedId, shared.id)))
    .where(and(eq(shared.districtId, at.districtId), sql`${shared.schoolId} <> ${at.schoolId}`))
    .groupBy(shared.schoolId, shared.id)
    .orderBy(asc(shared.kind), asc(shared.name));

export interface Shown {
  id: string;
  kind: SharedKind;
  thingId: string;
  name: string;
  changedAt: Date;
  followers: number;
}

/** What this school shows, by kind and name. */
export const shownByUs = (at: SchoolHandle): Promise<Shown[]> =>
  at
    .select({
      id: shared.id,
      kind: shared.kind,
      thingId: shared.thingId,
      name: shared.name,
      changedAt: shared.changedAt,
      followers: sql<number>`(select count(*)::int from public.followers_of(${shared.id}))`,
    })
    .from(shared)
    .where(ours(at, shared))
    .orderBy(asc(shared.kind), asc(shared.name));

/** What this school could show and does not yet: nothing that itself follows another school. */
export async function toShow(
  at: SchoolHandle,
): Promise<{ kind: SharedKind; thingId: string; name: string }[]> {
  const [kits, games, worded, there, following] = await Promise.all([
    at
      .select({ thingId: sql<string>`${kit.id}::text`, name: kit.name })
      .from(kit)
      .where(ours(at, kit))
      .orderBy(asc(kit.name)),
    at
      .select({ thingId: sql<string>`${ownGame.id}::text`, name: ownGame.name })
      .from(ownGame)
      .where(and(ours(at, ownGame), isNull(ownGame.archivedAt)))
      .orderBy(asc(ownGame.name)),
    at
      .selectDistinct({ thingId: wordingCheck.language })
      .from(wordingCheck)
      .where(ours(at, wordingCheck))
      .orderBy(wordingCheck.language),
    at.select({ kind: shared.kind, thingId: shared.thingId }).from(shared).where(ours(at, shared)),
    at
      .select({ kind: taken.kind, thingId: taken.thingId })
      .from(taken)
      .where(and(ours(at, taken), taken.follows)),
  ]);
  const all = [
    ...kits.map((one) => ({ kind: 'kit' as const, ...one })),
    ...games.map((one) => ({ kind: 'own game' as const, ...one })),
    ...worded.map(({ thingId }) => ({
      kind: 'wording' as const,
      thingId,
      name: aboutLanguage(thingId).name,
    })),
  ];
  return all.filter(
    (one) =>
      ![...there, ...following].some(({ kind, thingId }) => kind === one.kind && thingId === one.thingId),
  );
}
