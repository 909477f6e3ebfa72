/** Evenings and their plans. */
import { and, asc, desc, eq, gte, isNull, sql } from 'drizzle-orm';
import type { Rehearsed, Solved } from '~/core/evening/plan';
import type { MoveKind } from '~/core/kits/store';
import type { Language } from '~/core/words/languages';
import { type SchoolHandle, transaction } from '../db';
import { evening, family, rehearsal } from '../schema';
import { ours } from './ours';
import { lockItems, moveAll, type TooFew } from './store';

export type EveningRow = typeof evening.$inferSelect;

/** Evenings, the latest first. */
export const listEvenings = (
  at: SchoolHandle,
): Promise<Pick<EveningRow, 'id' | 'name' | 'onDay' | 'startsAt'>[]> =>
  at
    .select({ id: evening.id, name: evening.name, onDay: evening.onDay, startsAt: evening.startsAt })
    .from(evening)
    .where(ours(at, evening))
    .orderBy(desc(evening.onDay), desc(evening.createdAt))
    .limit(100);

/** The evening that comes next, from a day on. */
export const nextEvening = async (at: SchoolHandle, day: string): Promise<EveningRow | undefined> =>
  (
    await at
      .select()
      .from(evening)
      .where(and(ours(at, evening), gte(evening.onDay, day)))
      .orderBy(asc(evening.onDay))
      .limit(1)
  )[0];

export const findEvening = async (at: SchoolHandle, id: string): Promise<EveningRow | undefined> =>
  (
    await at
      .select()
      .from(evening)
      .where(and(ours(at, evening), eq(evening.id, id)))
  )[0];

export const createEvening = async (
  at: SchoolHandle,
  made: Pick<EveningRow, 'name' | 'onDay' | 'startsAt' | 'plan'> & {
    solved?: Solved | undefined;
    personId: string;
  },
): Promise<string> => (await at.insert(evening).values(made).returning({ id: evening.id }))[0]!.id;

/** Saves a plan that was opened on a version. False when somebody else has changed it meanwhile, or it is gone. */
export const saveEvening = async (
  at: SchoolHandle,
  id: string,
  openedOn: number,
  change: Partial<Pick<EveningRow, 'name' | 'onDay' | 'startsAt' | 'plan' | 'solved' | 'setAside'>>,
): Promise<boolean> =>
  (
    await at
      .update(evening)
      .set({ ...change, version: sql`${evening.version} + 1` })
      .where(and(ours(at, evening), eq(evening.id, id), eq(evening.version, openedOn)))
      .returning({ id: evening.id })
  ).length > 0;

export const removeEvening = async (at: SchoolHandle, id: string): Promise<boolean> =>
  (
    await at
      .delete(evening)
      .where(and(ours(at, evening), eq(evening.id, id)))
      .returning({ id: evening.id })
  ).length > 0;

/** What did not come back of what was set aside: `kind` says how it went. */
export interface Missing {
  material: string;
  pieces: number;
  kind: Extract<MoveKind, 'lost' | 'worn'>;
}
/**
 * Counts back what was set aside: what is missing leaves the store, the rest is free again. `stale` when somebody else
 * has changed the evening meanwhile. What nobody has ever counted in the store cannot become less.
 */
export const countBack = (
  at: SchoolHandle,
  id: string,
  openedOn: number,
  missing: readonly Missing[],
  personId: string,
): Promise<{ ok: true } | TooFew | 'stale'> =>
  transaction(at, async (tx) => {
    const [found] = await tx
      .select({ name: evening.name, setAside: evening.setAside })
      .from(evening)
      .where(and(ours(tx, evening), eq(evening.id, id), eq(evening.version, openedOn)))
      .for('update');
    if (!found?.setAside) return 'stale';
    const items = await lockItems(
      tx,
      missing.map(({ material }) => material),
    );
    const moved = await moveAll(
      tx,
      missing
        .filter(({ material, pieces }) => pieces > 0 && items.get(material)!.onHand !== null)
        .map(({ material, pieces, kind }) => ({ material, kind, quantity: -pieces, note: found.name })),
      personId,
    );
    if (!moved.ok) return moved;
    await tx
      .update(evening)
      .set({ setAside: null, version: sql`${evening.version} + 1` })
      .where(and(ours(tx, evening), eq(evening.id, id)));
    return { ok: true };
  });

/** Families that can be invited: what is counted of each is its language and its children. */
export const toInvite = (at: SchoolHandle): Promise<{ language: Language; children: string }[]> =>
  at
    .select({ language: family.language, children: family.children })
    .from(family)
    .where(and(ours(at, family), isNull(family.forgottenAt)));

/** Which helpers have rehearsed which games, and when last. */
export const rehearsals = (
  at: SchoolHandle,
): Promise<(Rehearsed & { turns: number; well: number; at: Date })[]> =>
  at
    .select({
      helper: rehearsal.helper,
      gameId: rehearsal.gameId,
      turns: rehearsal.turns,
      well: rehearsal.well,
      at: rehearsal.at,
    })
    .from(rehearsal)
    .where(ours(at, rehearsal))
    .orderBy(desc(rehearsal.at));

/** Keeps that a helper has rehearsed a game; the last time counts. */
export const keepRehearsal = async (
  at: SchoolHandle,
  done: Rehearsed & { turns: number; well: number },
): Promise<void> => {
  await at
    .insert(rehearsal)
    .values(done)
    .onConflictDoUpdate({
      target: [rehearsal.schoolId, rehearsal.helper, rehearsal.gameId],
      set: { turns: done.turns, well: done.well, at: new Date() },
    });
};

/** Somebody is not of the school any more: what they rehearsed is not kept. */
export const dropRehearsals = async (at: SchoolHandle, helper: string): Promise<void> => {
  await at.delete(rehearsal).where(and(ours(at, rehearsal), eq(rehearsal.helper, helper)));
};
