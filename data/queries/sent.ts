/** Which forms were sent, by their digests. */
import { eq, sql } from 'drizzle-orm';
import { installation } from '../db';
import { landed, sentForm, settledChange } from '../schema';

/** One that was begun so long ago and was not ended never will be. */
const LOST = sql`interval '20 seconds'`;

/** Takes a form that is to be done; false where it was taken before. */
export async function takeForm(digest: string): Promise<boolean> {
  const taken = await installation()
    .insert(sentForm)
    .values({ digest })
    .onConflictDoNothing()
    .returning({ digest: sentForm.digest });
  return taken.length > 0;
}

/** What became of a form that was taken; undefined where it may be taken again. */
export async function formState(digest: string): Promise<'done' | 'begun' | 'lost' | undefined> {
  const [one] = await installation()
    .select({ done: sentForm.done, lost: sql<boolean>`${sentForm.sentAt} < now() - ${LOST}` })
    .from(sentForm)
    .where(eq(sentForm.digest, digest));
  if (!one) return undefined;
  return one.done ? 'done' : one.lost ? 'lost' : 'begun';
}

export const markDone = async (digest: string): Promise<void> => {
  await installation().update(sentForm).set({ done: true }).where(eq(sentForm.digest, digest));
};

/** It was refused: it may be sent again. */
export const forgetForm = async (digest: string): Promise<void> => {
  await installation().delete(sentForm).where(eq(sentForm.digest, digest));
};

/** What is counted or kept for a day only: keys of forms (no page is open longer), marks of transactions, changes of what is settled. */
export const dropOldMarks = async (): Promise<void> => {
  await installation()
    .delete(landed)
    .where(sql`${landed.at} < now() - interval '1 day'`);
  await installation()
    .delete(settledChange)
    .where(sql`${settledChange.at} < now() - interval '1 day'`);
  await installation()
    .delete(sentForm)
    .where(sql`${sentForm.sentAt} < now() - interval '1 day'`);
};
