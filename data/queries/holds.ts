/** Families that wait for a kit, and the copies that are set aside for them. */
import { and, asc, eq, inArray, isNull, lt, sql } from 'drizzle-orm';
import { dueDay } from '~/core/lending/calendar';
import { expectedOn, setAside } from '~/core/lending/holds';
import { type SchoolHandle, transaction } from '../db';
import { refusedBy } from '../trouble';
import { copy, family, hold, kit, loan } from '../schema';
import { dueRules } from './calendar';
import { shortCopies } from './short';
import { lockFamily } from './locks';
import { ours } from './ours';
import { lendingRules } from './rules';

const open = (at: SchoolHandle) => and(ours(at, hold), isNull(hold.closedAs));

/** The first school day so many days after a day. */
const schoolDayAfter = async (at: SchoolHandle, day: string, days: number): Promise<string> =>
  dueDay({ lentOn: day, days, calendar: (await dueRules(at)).calendar });

/** The last day on which a bag that is set aside on a day is kept: a school day, by the rules of the school. */
const keptUntil = async (at: SchoolHandle, day: string): Promise<string> =>
  schoolDayAfter(at, day, (await lendingRules(at)).setAsideDays);

/** Copies of a kit that can go out now and are nobody's yet, by tag; those that somebody else lends just now are left out. */
const freeCopies = (tx: SchoolHandle, kitId: string) => sql<{ id: string }>`
  select c.id from copy c
  where c.school_id = ${tx.schoolId} and c.kit_id = ${kitId} and c.moved_at is null and c.ready_at is not null and c.printed_at is not null
    and not exists (select from loan l where l.school_id = ${tx.schoolId} and l.copy_id = c.id and l.closed_as is null)
    and not exists (select from hold h where h.school_id = ${tx.schoolId} and h.copy_id = c.id and h.closed_as is null)
    and not exists (select from promise p where p.school_id = ${tx.schoolId} and p.copy_id = c.id and p.ended_at is null)
    and c.id not in (${shortCopies(tx)})
  order by c.tag
  for update of c skip locked`;

/** Sets every free copy aside for who has waited longest for its kit. Answers how many. */
export async function fillHolds(tx: SchoolHandle, today: string): Promise<number> {
  const waiting = await tx
    .select({ id: hold.id, kitId: hold.kitId, copyId: hold.copyId })
    .from(hold)
    .where(open(tx))
    .orderBy(asc(hold.serial))
    .for('update');
  let filled = 0;
  let until: string | undefined;
  const kits = new Set(waiting.filter(({ copyId }) => copyId === null).map(({ kitId }) => kitId));
  for (const kitId of kits) {
    const { rows } = await tx.execute<{ id: string }>(freeCopies(tx, kitId));
    const queue = waiting.filter((one) => one.kitId === kitId);
    for (const match of setAside(
      queue,
      rows.map(({ id }) => id),
    )) {
      until ??= await keptUntil(tx, today);
      await tx
        .update(hold)
        .set({ copyId: match.copy, keptUntil: until })
        .where(and(ours(tx, hold), eq(hold.id, match.hold)));
      filled++;
    }
  }
  return filled;
}

/** A family asks for a kit. Answers false when it waits for it already, or is not there any more. */
export async function askFor(
  at: SchoolHandle,
  input: { familyId: string; kitId: string; personId: string | null; today: string },
): Promise<boolean> {
  const { today, ...values } = input;
  try {
    return await transaction(at, async (tx) => {
      if (!(await lockFamily(tx, input.familyId))) return false;
      await tx.insert(hold).values(values);
      await fillHolds(tx, today);
      return true;
    });
  } catch (error) {
    if (refusedBy(error) === 'family_waits_already') return false;
    throw error;
  }
}

/** A family does not wait any more; what was set aside for it goes to the next. Answers false when it was over already. */
export const withdrawHold = (
  at: SchoolHandle,
  id: string,
  today: string,
  familyId?: string,
): Promise<boolean> =>
  transaction(at, async (tx) => {
    const gone = await tx
      .update(hold)
      .set({ closedAs: 'withdrawn', closedAt: new Date(), copyId: null, keptUntil: null })
      .where(and(open(tx), eq(hold.id, id), familyId ? eq(hold.familyId, familyId) : undefined))
      .returning({ id: hold.id });
    if (gone.length === 0) return false;
    await fillHolds(tx, today);
    return true;
  });

/** What was set aside and not fetched in time is passed on. Answers how many. */
export const passOnHolds = (at: SchoolHandle, today: string): Promise<number> =>
  transaction(at, async (tx) => {
    const gone = await tx
      .update(hold)
      .set({ closedAs: 'passed', closedAt: new Date(), copyId: null, keptUntil: null })
      .where(and(open(tx), lt(hold.keptUntil, today)))
      .returning({ id: hold.id });
    await fillHolds(tx, today);
    return gone.length;
  });

/** A bag goes out: the family waits for this kit no more, and another one that was set aside for it goes to the next. */
export async function endHoldBy(
  tx: SchoolHandle,
  input: { loanId: string; copyId: string; familyId: string; lentOn: string },
): Promise<void> {
  const [ended] = await tx
    .select({ id: hold.id, copyId: hold.copyId })
    .from(hold)
    .innerJoin(copy, and(ours(tx, copy), eq(copy.id, input.copyId), eq(copy.kitId, hold.kitId)))
    .where(and(open(tx), eq(hold.familyId, input.familyId)))
    .for('update', { of: hold });
  if (ended)
    await tx
      .update(hold)
      .set({ closedAs: 'lent', closedAt: new Date(), loanId: input.loanId, copyId: null, keptUntil: null })
      .where(and(ours(tx, hold), eq(hold.id, ended.id)));
  // A person has decided that it goes to somebody else: who waited keeps the place.
  await letGo(tx, input.copyId);
  if (ended?.copyId && ended.copyId !== input.copyId) await fillHolds(tx, input.lentOn);
}

/** A copy is not set aside any more: it is not at school. Who waited keeps the place. */
export const letGo = async (tx: SchoolHandle, copyId: string): Promise<void> => {
  await tx
    .update(hold)
    .set({ copyId: null, keptUntil: null })
    .where(and(open(tx), eq(hold.copyId, copyId)));
};

/** A loan was undone: the family waits again, in its old place, unless it has asked anew. */
export async function reopenHold(tx: SchoolHandle, loanId: string): Promise<void> {
  await tx
    .update(hold)
    .set({ closedAs: null, closedAt: null, loanId: null })
    .where(
      and(
        ours(tx, hold),
        eq(hold.loanId, loanId),
        sql`not exists (select from hold other where other.school_id = ${tx.schoolId} and other.family_id = ${hold.familyId} and other.kit_id = ${hold.kitId} and other.closed_as is null)`,
      ),
    );
}

/** For which family a copy is set aside. */
export async function setAsideFor(
  at: SchoolHandle,
  copyId: string,
): Promise<{ familyId: string; familyName: string; keptUntil: string } | undefined> {
  const [found] = await at
    .select({ familyId: family.id, familyName: family.name, keptUntil: hold.keptUntil })
    .from(hold)
    .innerJoin(family, and(ours(at, family), eq(family.id, hold.familyId)))
    .where(and(open(at), eq(hold.copyId, copyId)));
  return found as { familyId: string; familyName: string; keptUntil: string } | undefined;
}

/** Whether somebody waits for the kit of a loan and has nothing set aside yet. */
export async function othersWait(at: SchoolHandle, loanId: string): Promise<boolean> {
  const rows = await at
    .select({ id: hold.id })
    .from(hold)
    .innerJoin(copy, and(ours(at, copy), eq(copy.kitId, hold.kitId)))
    .innerJoin(loan, and(ours(at, loan), eq(loan.copyId, copy.id), eq(loan.id, loanId)))
    .where(and(open(at), isNull(hold.copyId), sql`${hold.familyId} <> ${loan.familyId}`))
    .limit(1);
  return rows.length > 0;
}

export interface HoldRow {
  id: string;
  kitId: string;
  kitName: string;
  familyId: string;
  familyName: string;
  language: string;
  group: string;
  askedAt: Date;
  /** Nobody of the school where the family asked itself. */
  personId: string | null;
  /** Its place in the queue of its kit, from 1. */
  place: number;
  copyId: string | null;
  tag: string | null;
  keptUntil: string | null;
  /** The day on which it may expect a bag; undefined where there is no copy at all. */
  expectedOn: string | undefined;
}

/** Who waits for what, kit by kit in the order of asking, with the day on which each may expect a bag. */
export async function listHolds(
  at: SchoolHandle,
  today: string,
  which: { kitIds?: string[]; familyId?: string } = {},
): Promise<HoldRow[]> {
  const kits = which.familyId
    ? at
        .select({ kitId: hold.kitId })
        .from(hold)
        .where(and(open(at), eq(hold.familyId, which.familyId)))
    : which.kitIds;
  const rows = await at
    .select({
      id: hold.id,
      kitId: hold.kitId,
      kitName: kit.name,
      daysOut: kit.daysOut,
      familyId: family.id,
      familyName: family.name,
      language: family.language,
      group: family.group,
      askedAt: hold.askedAt,
      personId: hold.personId,
      copyId: hold.copyId,
      tag: copy.tag,
      keptUntil: hold.keptUntil,
    })
    .from(hold)
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, hold.kitId)))
    .innerJoin(family, and(ours(at, family), eq(family.id, hold.familyId)))
    .leftJoin(copy, and(ours(at, copy), eq(copy.id, hold.copyId)))
    .where(and(open(at), kits ? inArray(hold.kitId, kits) : undefined))
    .orderBy(asc(kit.name), asc(hold.serial));
  if (rows.length === 0) return [];
  const [free, rules] = await Promise.all([
    daysFree(at, [...new Set(rows.map(({ kitId }) => kitId))], today),
    dueRules(at),
  ]);
  const holds = [...new Set(rows.map(({ kitId }) => kitId))].flatMap((kitId) => {
    const queue = rows.filter((one) => one.kitId === kitId);
    const { daysOut } = queue[0]!;
    const days = expectedOn(queue, free.get(kitId) ?? [], today, (day) =>
      dueDay({ ...rules, lentOn: day, days: daysOut }),
    );
    return queue.map(({ daysOut: _, ...one }, i) => ({
      ...one,
      place: i + 1,
      expectedOn: days.get(one.id),
    }));
  });
  return which.familyId ? holds.filter(({ familyId }) => familyId === which.familyId) : holds;
}

/**
 * The days on which copies of kits come home that are nobody's yet; late ones, and such as wait to be counted, are expected
 * on the next school day. What lies at school and is not set aside lacks something: nobody knows when it can go out.
 */
async function daysFree(at: SchoolHandle, kitIds: string[], today: string): Promise<Map<string, string[]>> {
  const [rows, next] = await Promise.all([
    at
      .select({ kitId: copy.kitId, dueOn: loan.dueOn, arrivedOn: loan.arrivedOn })
      .from(copy)
      .innerJoin(loan, and(ours(at, loan), eq(loan.copyId, copy.id), isNull(loan.closedAs)))
      .where(and(ours(at, copy), inArray(copy.kitId, kitIds), isNull(copy.movedAt))),
    schoolDayAfter(at, today, 1),
  ]);
  const days = new Map<string, string[]>();
  for (const { kitId, dueOn, arrivedOn } of rows)
    days.set(kitId, [...(days.get(kitId) ?? []), dueOn > today && arrivedOn === null ? dueOn : next]);
  return days;
}
