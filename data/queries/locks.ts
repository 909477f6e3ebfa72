/** Locks in their one order: a copy, then a family, then what is written about a loan. */
import { and, eq, isNull } from 'drizzle-orm';
import type { Queryable } from '../db';
import { copy, family, loan } from '../schema';

/** Locks a copy: whatever happens to one copy happens one after the other. False when there is none. */
export async function lockCopy(tx: Queryable, copyId: string): Promise<boolean> {
  const rows = await tx.select({ id: copy.id }).from(copy).where(eq(copy.id, copyId)).for('update');
  return rows.length > 0;
}

/** Locks the copy of a loan, which never changes; its id, or undefined when there is no such loan. */
export async function lockCopyOf(tx: Queryable, loanId: string): Promise<string | undefined> {
  const [found] = await tx.select({ copyId: loan.copyId }).from(loan).where(eq(loan.id, loanId));
  if (found) await lockCopy(tx, found.copyId);
  return found?.copyId;
}

/** Holds a family in its place: it is not forgotten meanwhile. False when it was. */
export async function lockFamily(tx: Queryable, familyId: string): Promise<boolean> {
  const rows = await tx
    .select({ id: family.id })
    .from(family)
    .where(and(eq(family.id, familyId), isNull(family.forgottenAt)))
    .for('share');
  return rows.length > 0;
}
