/** Hand-outs of many copies: what is chosen, what is promised, and what was handed over. */
import { and, asc, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { RoundChoices } from '~/core/lending/choices';
import { dayIn } from '~/core/lending/due';
import type { Match } from '~/core/lending/round';
import { type SchoolHandle, transaction } from '../db';
import { refusedBy } from '../trouble';
import { copy, family, hold, kit, loan, promise, round } from '../schema';
import { log } from './changes';
import { fillHolds } from './holds';
import { lockCopy, lockFamily } from './locks';
import { ours } from './ours';
import { shortCopies } from './short';

export type RoundRow = typeof round.$inferSelect;

export async function createRound(
  at: SchoolHandle,
  input: { name: string; onDay: string; choices: RoundChoices; personId: string },
): Promise<string> {
  const [made] = await at.insert(round).values(input).returning({ id: round.id });
  return made!.id;
}

/** Hand-outs, the newest first, with how many bags are promised in each and how many have gone. */
export const listRounds = (
  at: SchoolHandle,
): Promise<(Pick<RoundRow, 'id' | 'name' | 'onDay' | 'state'> & { waiting: number; gone: number })[]> =>
  at
    .select({
      id: round.id,
      name: round.name,
      onDay: round.onDay,
      state: round.state,
      waiting: sql<number>`count(${promise.id}) filter (where ${promise.endedAt} is null)::int`,
      gone: sql<number>`count(${promise.loanId})::int`,
    })
    .from(round)
    .leftJoin(promise, and(ours(at, promise), eq(promise.roundId, round.id)))
    .where(ours(at, round))
    .groupBy(round.schoolId, round.id)
    .orderBy(desc(round.onDay), desc(round.createdAt))
    .limit(100);

export const findRound = async (at: SchoolHandle, id: string): Promise<RoundRow | undefined> =>
  (
    await at
      .select()
      .from(round)
      .where(and(ours(at, round), eq(round.id, id)))
  )[0];

/** Changes what is chosen for a hand-out that is still planned. False when it was changed or settled meanwhile. */
export const saveChoices = async (
  at: SchoolHandle,
  id: string,
  choices: RoundChoices,
  openedOn: number,
): Promise<boolean> =>
  (
    await at
      .update(round)
      .set({ choices, version: openedOn + 1 })
      .where(and(ours(at, round), eq(round.id, id), eq(round.version, openedOn), eq(round.state, 'planned')))
      .returning({ id: round.id })
  ).length > 0;

export interface FreeCopy {
  id: string;
  tag: string;
  kitId: string;
  kitName: string;
  buildRunId: string;
}

/** Copies that can go out now: at school, printed, complete, not set aside and not promised. */
export const copiesForRound = (at: SchoolHandle): Promise<FreeCopy[]> =>
  at
    .select({
      id: copy.id,
      tag: copy.tag,
      kitId: copy.kitId,
      kitName: kit.name,
      buildRunId: copy.buildRunId,
    })
    .from(copy)
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .where(
      and(
        ours(at, copy),
        isNull(copy.movedAt),
        isNotNull(copy.readyAt),
        isNotNull(copy.printedAt),
        sql`not exists (select from loan l where l.school_id = ${at.schoolId} and l.copy_id = ${copy.id} and l.closed_as is null)`,
        sql`not exists (select from hold h where h.school_id = ${at.schoolId} and h.copy_id = ${copy.id} and h.closed_as is null)`,
        sql`not exists (select from promise p where p.school_id = ${at.schoolId} and p.copy_id = ${copy.id} and p.ended_at is null)`,
        sql`${copy.id} not in (${shortCopies(at)})`,
      ),
    )
    .orderBy(asc(kit.name), asc(copy.tag));

/** Of which kit each of these copies is. */
export const kitOfCopies = async (at: SchoolHandle, ids: readonly string[]): Promise<Map<string, string>> =>
  new Map(
    ids.length
      ? (
          await at
            .select({ id: copy.id, kitId: copy.kitId })
            .from(copy)
            .where(and(ours(at, copy), inArray(copy.id, [...ids])))
        ).map(({ id, kitId }) => [id, kitId])
      : [],
  );

export interface RoundFamilyRow {
  id: string;
  name: string;
  language: string;
  children: string;
  group: string;
  underThree: boolean;
  allergens: string;
  /** Kits it had, whenever. */
  had: string[];
  /** The days on which the bags that it has now were lent. */
  out: string[];
  /** The day on which it last had a bag; null when it has not had one. */
  lastOn: string | null;
  wishes: string[];
  /** A bag is promised to it in another hand-out. */
  promised: boolean;
}

/** Families with what decides which bag they get. */
export async function familiesForRound(at: SchoolHandle): Promise<RoundFamilyRow[]> {
  const { rows } = await at.execute<RoundFamilyRow & Record<string, unknown>>(sql`
    select f.id, f.name, f.language, f.children, f."group", f.under_three as "underThree", f.allergens,
      coalesce(l.had, '{}') as had, coalesce(l.out, '{}') as out, l.last_on as "lastOn",
      coalesce((select array_agg(h.kit_id::text) from hold h where h.school_id = f.school_id and h.family_id = f.id and h.closed_as is null and h.copy_id is null), '{}') as wishes,
      exists (select from promise p where p.school_id = f.school_id and p.family_id = f.id and p.ended_at is null) as promised
    from family f
    left join lateral (
      select array_agg(distinct c.kit_id::text) as had,
        array_agg(l.lent_on::text) filter (where l.closed_as is null and l.arrived_on is null) as out,
        max(coalesce(l.returned_on, l.lent_on))::text as last_on
      from loan l join copy c on c.school_id = l.school_id and c.id = l.copy_id
      where l.school_id = f.school_id and l.family_id = f.id and l.closed_as is distinct from 'undone') l on true
    where f.school_id = ${at.schoolId} and f.forgotten_at is null
    order by f."group", f.search_name`);
  return rows;
}

/** Settles a hand-out: from now on its bags are promised. Answers why not, when something has changed meanwhile. */
export async function promiseRound(
  at: SchoolHandle,
  id: string,
  matches: readonly Match[],
  personId: string,
): Promise<'done' | 'changed' | 'taken'> {
  try {
    return await transaction(at, async (tx) => {
      const [row] = await tx
        .update(round)
        .set({ state: 'promised', version: sql`${round.version} + 1` })
        .where(and(ours(tx, round), eq(round.id, id), eq(round.state, 'planned')))
        .returning({ name: round.name });
      if (!row) return 'changed';
      for (const { copy: copyId } of [...matches].sort((a, b) => (a.copy < b.copy ? -1 : 1)))
        if (
          !(await lockCopy(tx, copyId)) ||
          (await tx.$count(loan, and(ours(tx, loan), eq(loan.copyId, copyId), isNull(loan.closedAs)))) ||
          (await tx.$count(hold, and(ours(tx, hold), eq(hold.copyId, copyId), isNull(hold.closedAs))))
        )
          throw new Taken();
      for (const { family: familyId } of [...matches].sort((a, b) => (a.family < b.family ? -1 : 1)))
        if (!(await lockFamily(tx, familyId))) throw new Taken();
      if (matches.length)
        await tx.insert(promise).values(
          matches.map(({ family: familyId, copy: copyId, score, why }) => ({
            roundId: id,
            familyId,
            copyId,
            score,
            why,
          })),
        );
      await log(tx, {
        thing: 'round',
        thingId: id,
        kind: 'did',
        after: { promised: matches.length },
        personId,
      });
      return 'done';
    });
  } catch (error) {
    if (error instanceof Taken || refusedBy(error) === 'copy_is_promised_already') return 'taken';
    throw error;
  }
}
/** A bag or a family of a hand-out is not free any more: the transaction is given up. */
class Taken extends Error {}

export interface PromiseRow {
  id: string;
  familyId: string;
  familyName: string;
  language: string;
  group: string;
  card: string | null;
  copyId: string;
  tag: string;
  kitName: string;
  daysOut: number;
  why: string;
  loanId: string | null;
  endedAt: Date | null;
}

/** What was promised in a hand-out, class by class. */
export const promisesOf = (at: SchoolHandle, roundId: string): Promise<PromiseRow[]> =>
  at
    .select({
      id: promise.id,
      familyId: family.id,
      familyName: family.name,
      language: family.language,
      group: family.group,
      card: family.card,
      copyId: copy.id,
      tag: copy.tag,
      kitName: kit.name,
      daysOut: kit.daysOut,
      why: promise.why,
      loanId: promise.loanId,
      endedAt: promise.endedAt,
    })
    .from(promise)
    .innerJoin(family, and(ours(at, family), eq(family.id, promise.familyId)))
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, promise.copyId)))
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .where(and(ours(at, promise), eq(promise.roundId, roundId)))
    .orderBy(asc(family.group), asc(family.searchName));

/**
 * Takes a settled hand-out back as a whole: it is planned again, and nothing is promised. Answers false once a bag has
 * gone, or when it is over.
 */
export const undoRound = (at: SchoolHandle, id: string, personId: string): Promise<boolean> =>
  transaction(at, async (tx) => {
    const [row] = await tx
      .select()
      .from(round)
      .where(and(ours(tx, round), eq(round.id, id)))
      .for('update');
    if (row?.state !== 'promised') return false;
    // Whoever hands a bag of it over at this moment has locked its promise, and is waited for.
    const held = await tx
      .select({ loanId: promise.loanId })
      .from(promise)
      .where(and(ours(tx, promise), eq(promise.roundId, id)))
      .for('update');
    if (held.some(({ loanId }) => loanId !== null)) return false;
    await tx.delete(promise).where(and(ours(tx, promise), eq(promise.roundId, id)));
    await tx
      .update(round)
      .set({ state: 'planned', version: row.version + 1 })
      .where(and(ours(tx, round), eq(round.id, id)));
    await fillHolds(tx, dayIn(tx.timeZone, new Date()));
    await log(tx, { thing: 'round', thingId: id, kind: 'did', after: { undone: held.length }, personId });
    return true;
  });

/** Ends a hand-out: what was not fetched stays at school and is nobody's. */
export const endRound = (at: SchoolHandle, id: string, personId: string): Promise<boolean> =>
  transaction(at, async (tx) => {
    const [row] = await tx
      .update(round)
      .set({ state: 'ended', version: sql`${round.version} + 1` })
      .where(and(ours(tx, round), eq(round.id, id), inArray(round.state, ['planned', 'promised'])))
      .returning({ id: round.id });
    if (!row) return false;
    const stayed = await tx
      .update(promise)
      .set({ endedAt: new Date() })
      .where(and(ours(tx, promise), eq(promise.roundId, id), isNull(promise.endedAt)))
      .returning({ id: promise.id });
    await fillHolds(tx, dayIn(tx.timeZone, new Date()));
    await log(tx, { thing: 'round', thingId: id, kind: 'did', after: { stayed: stayed.length }, personId });
    return true;
  });
