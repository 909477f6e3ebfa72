/** Bags that are promised in a hand-out, one for each family: kept by lending, or ended with the hand-out. */
import { and, eq, isNull } from 'drizzle-orm';
import { type SchoolHandle } from '../db';
import { family, promise, round } from '../schema';
import { ours } from './ours';

const open = (at: SchoolHandle) => and(ours(at, promise), isNull(promise.endedAt));

/** To which family a copy is promised, and in which hand-out. */
export async function promisedTo(
  at: SchoolHandle,
  copyId: string,
): Promise<{ familyId: string; familyName: string; round: string } | undefined> {
  const [found] = await at
    .select({ familyId: family.id, familyName: family.name, round: round.name })
    .from(promise)
    .innerJoin(family, and(ours(at, family), eq(family.id, promise.familyId)))
    .innerJoin(round, and(ours(at, round), eq(round.id, promise.roundId)))
    .where(and(open(at), eq(promise.copyId, copyId)));
  return found;
}

/** A bag goes out: the promise to this family is kept; one to another was broken by a person who decided so. */
export async function keepPromise(
  tx: SchoolHandle,
  input: { loanId: string; copyId: string; familyId: string },
): Promise<void> {
  await tx
    .update(promise)
    .set({ endedAt: new Date(), loanId: input.loanId })
    .where(and(open(tx), eq(promise.copyId, input.copyId), eq(promise.familyId, input.familyId)));
  await breakPromise(tx, input.copyId);
}

/** A copy is not promised any more. */
export async function breakPromise(tx: SchoolHandle, copyId: string): Promise<void> {
  await tx
    .update(promise)
    .set({ endedAt: new Date() })
    .where(and(open(tx), eq(promise.copyId, copyId)));
}

/** A loan was undone: the bag is promised again, while its hand-out goes on. */
export async function reopenPromise(tx: SchoolHandle, loanId: string): Promise<void> {
  const [kept] = await tx
    .select({ id: promise.id, state: round.state })
    .from(promise)
    .innerJoin(round, and(ours(tx, round), eq(round.id, promise.roundId)))
    .where(and(ours(tx, promise), eq(promise.loanId, loanId)));
  if (!kept) return;
  await tx
    .update(promise)
    .set({ loanId: null, ...(kept.state === 'promised' ? { endedAt: null } : {}) })
    .where(and(ours(tx, promise), eq(promise.id, kept.id)));
}
