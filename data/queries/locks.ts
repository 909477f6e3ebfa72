/** Locks in their one order: a copy, then a family, then what is written about a loan. */
import { and, eq, isNull } from 'drizzle-orm';
import type { SchoolHandle } from '../db';
import { copy, family, loan } from '../schema';
import { ours } from './ours';

/** Locks a copy: whatever happens to one copy happens one after the other. False when there is none. */
export async function lockCopy(tx: SchoolHandle, copyId: string): Promise<boolean> {
  const rows = await tx
    .select({ id: copy.id })
    .from(copy)
    .where(and(ours(tx, copy), eq(copy.id, copyId), isNull(copy.movedAt)))
    .for('update');
  return rows.length > 0;
}

/** Locks the copy of a loan, which never changes; its id, or undefined when there is no such loan or the copy has left the school. */
export async function lockCopyOf(tx: SchoolHandle, loanId: string): Promise<string | undefined> {
  const [found] = await tx
    .select({ copyId: loan.copyId })
    .from(loan)
    .where(and(ours(tx, loan), eq(loan.id, loanId)));
  return found && (await lockCopy(tx, found.copyId)) ? found.copyId : undefined;
}

/** Holds a family in its place: it is not forgotten meanwhile; `alone`, nor lent anything else. False when it was forgotten. */
export async function lockFamily(tx: SchoolHandle, familyId: string, alone = false): Promise<boolean> {
  const rows = await tx
    .select({ id: family.id })
    .from(family)
    .where(and(ours(tx, family), eq(family.id, familyId), isNull(family.forgottenAt)))
    .for(alone ? 'no key update' : 'share');
  return rows.length > 0;
}
