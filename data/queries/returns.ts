/** Bags that come home: laid down to be counted, counted, and taken back when that was wrong. */
import { and, desc, eq, gt, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { type SchoolHandle, transaction } from '../db';
import { refusedBy } from '../trouble';
import { copyCare, family, loan, loanEvent, partCount } from '../schema';
import { record, takeBackCounts, type Count } from './counts';
import { fillHolds, letGo } from './holds';
import { refuse, type Undone } from './lending';
import { lockCopy, lockCopyOf, lockFamily } from './locks';
import { ours } from './ours';

/** A bag is at school and waits to be counted. Answers its loan, or undefined when it is not out, or lies there already. */
export function arrive(
  at: SchoolHandle,
  input: { copyId: string; arrivedOn: string; personId: string | null },
): Promise<{ loanId: string; familyId: string } | undefined> {
  return transaction(at, async (tx) => {
    await lockCopy(tx, input.copyId);
    const [home] = await tx
      .update(loan)
      .set({ arrivedOn: input.arrivedOn })
      .where(
        and(
          ours(tx, loan),
          eq(loan.copyId, input.copyId),
          isNull(loan.closedAs),
          isNull(loan.arrivedOn),
          sql`${loan.lentOn} <= ${input.arrivedOn}`,
        ),
      )
      .returning({ loanId: loan.id, familyId: loan.familyId });
    if (home)
      await tx.insert(loanEvent).values({ loanId: home.loanId, kind: 'arrived', personId: input.personId });
    return home;
  });
}

/** It is with the family after all. False when it was counted, or was not taken to be at school. */
export const unarrive = async (at: SchoolHandle, loanId: string): Promise<boolean> =>
  (
    await at
      .update(loan)
      .set({ arrivedOn: null })
      .where(and(ours(at, loan), eq(loan.id, loanId), isNull(loan.closedAs), isNotNull(loan.arrivedOn)))
      .returning({ id: loan.id })
  ).length > 0;

/** Takes a copy back and records what was counted. Answers false when the loan is not open any more. */
export function takeBack(
  at: SchoolHandle,
  input: {
    loanId: string;
    returnedOn: string;
    counts: Count[];
    /** Something is dirty; something is in it that does not belong to it. */
    dirty?: boolean;
    foreign?: string;
    personId: string | null;
  },
): Promise<boolean> {
  return transaction(at, async (tx) => {
    await lockCopyOf(tx, input.loanId);
    const [closed] = await tx
      .update(loan)
      .set({
        closedAs: 'returned',
        // Not before it was lent, whatever a clock says.
        returnedOn: sql`coalesce(${loan.arrivedOn}, greatest(${input.returnedOn}::date, ${loan.lentOn}))`,
        arrivedOn: null,
      })
      .where(and(ours(tx, loan), eq(loan.id, input.loanId), isNull(loan.closedAs)))
      .returning();
    if (!closed) return false;
    const missing = input.counts.filter(
      (count) => count.counted < count.expected || count.lacks?.length,
    ).length;
    await tx.insert(loanEvent).values({
      loanId: closed.id,
      kind: 'returned',
      note: missing ? `parts short: ${missing}` : 'complete',
      personId: input.personId,
    });
    await record(tx, closed.copyId, 'return', input.counts, input.personId, closed.id);
    const found = [
      ...(input.dirty ? [{ kind: 'dirty' as const, note: '' }] : []),
      ...(input.foreign ? [{ kind: 'foreign' as const, note: input.foreign }] : []),
    ];
    if (found.length)
      await tx
        .insert(copyCare)
        .values(found.map((one) => ({ ...one, copyId: closed.copyId, personId: input.personId })));
    await fillHolds(tx, input.returnedOn);
    return true;
  });
}

/**
 * Undoes a return: the loan is open again and its counts are taken back by the counts before them. Refused when
 * something later rests on it: the copy went out again, its parts were counted or put back since, or the family was
 * forgotten.
 */
export async function undoReturn(at: SchoolHandle, loanId: string, personId: string): Promise<Undone> {
  const goneOut = 'This copy has gone out again meanwhile. Nothing was changed.';
  try {
    return await transaction(at, async (tx) => {
      const copyId = await lockCopyOf(tx, loanId);
      const [closed] = await tx
        .select()
        .from(loan)
        .where(and(ours(tx, loan), eq(loan.id, loanId)));
      if (closed?.closedAs !== 'returned')
        return refuse('This copy was not taken back, or its return was undone already.');
      if (!copyId) return refuse('This copy has moved to another school meanwhile. Nothing was changed.');
      if (!(await lockFamily(tx, closed.familyId)))
        return refuse(
          'This family was forgotten meanwhile, so nothing can be with them. Nothing was changed.',
        );
      const counted = await tx
        .select()
        .from(partCount)
        .where(and(ours(tx, partCount), eq(partCount.loanId, loanId), eq(partCount.cause, 'return')))
        .orderBy(desc(partCount.serial));
      const later = await laterThan(tx, copyId, closed, counted[0]?.serial);
      if (later) return refuse(later);
      await tx
        .update(loan)
        .set({ closedAs: null, returnedOn: null })
        .where(and(ours(tx, loan), eq(loan.id, loanId)));
      // What was found in the bag goes with the return: both were written down at one instant.
      await tx
        .delete(copyCare)
        .where(
          and(
            ours(tx, copyCare),
            eq(copyCare.copyId, copyId),
            inArray(copyCare.kind, ['dirty', 'foreign']),
            sql`${copyCare.at} = (select max(${loanEvent.at}) from ${loanEvent} where ${ours(tx, loanEvent)} and ${loanEvent.loanId} = ${loanId} and ${loanEvent.kind} = 'returned')`,
          ),
        );
      await tx.insert(loanEvent).values({ loanId, kind: 'reopened', personId });
      await letGo(tx, copyId);
      // Of a return that was counted anew, only the last count stands.
      const last = counted.filter((one) => one.at.getTime() === counted[0]!.at.getTime());
      if (last.length) await takeBackCounts(tx, copyId, last, personId);
      return { ok: true };
    });
  } catch (error) {
    if (refusedBy(error) === 'copy_is_out_already') return refuse(goneOut);
    throw error;
  }
}

/** What happened to a copy after one of its loans came home, in a sentence; undefined when nothing did. */
async function laterThan(
  tx: SchoolHandle,
  copyId: string,
  closed: typeof loan.$inferSelect,
  lastSerial: number | undefined,
): Promise<string | undefined> {
  const [next] = await tx
    .select({ family: family.name, closedAs: loan.closedAs, lentOn: loan.lentOn })
    .from(loan)
    .innerJoin(family, eq(family.id, loan.familyId))
    .where(
      and(
        ours(tx, loan),
        and(
          eq(loan.copyId, copyId),
          sql`${loan.closedAs} is distinct from 'undone'`,
          sql`${loan.id} <> ${closed.id}`,
          gt(loan.createdAt, closed.createdAt),
        ),
      ),
    )
    .orderBy(desc(loan.createdAt))
    .limit(1);
  if (next && next.closedAs === null)
    return `This copy has gone out again meanwhile, to ${next.family}. Nothing was changed.`;
  if (next)
    return `This copy was lent to ${next.family} since and came home again: what was counted then would be lost. Nothing was changed.`;
  const [count] = await tx
    .select({ cause: partCount.cause })
    .from(partCount)
    .where(
      and(
        ours(tx, partCount),
        and(
          eq(partCount.copyId, copyId),
          lastSerial === undefined
            ? sql`${partCount.at} > (select max(${loanEvent.at}) from ${loanEvent} where ${ours(tx, loanEvent)} and ${loanEvent.loanId} = ${closed.id} and ${loanEvent.kind} = 'returned')`
            : gt(partCount.serial, lastSerial),
        ),
      ),
    )
    .orderBy(desc(partCount.serial))
    .limit(1);
  // A mending that was taken back itself leaves nothing that rests on the return.
  if (count && count.cause !== 'undone')
    return count.cause === 'mend'
      ? 'Parts were put back into this copy since. Undo that first; nothing was changed.'
      : 'This copy was counted again since. Nothing was changed.';
  return undefined;
}
