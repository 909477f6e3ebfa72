/** Browsers that may ask and answer for a family, while it has a bag. */
import { randomInt } from 'node:crypto';
import { and, eq, isNull, sql } from 'drizzle-orm';
import { transaction, type SchoolHandle } from '../db';
import { onlyReads } from '../trouble';
import { loan, loanBrowser } from '../schema';
import { ours } from './ours';

/** Five digits, in any language. */
export const newCode = (): string => String(randomInt(10_000, 100_000));

/** Whether this browser was opened for this loan. */
export const isOpenedFor = async (at: SchoolHandle, loanId: string, tokenHash: string): Promise<boolean> =>
  (await at.$count(
    loanBrowser,
    and(
      ours(at, loanBrowser),
      eq(loanBrowser.loanId, loanId),
      eq(loanBrowser.tokenHash, tokenHash),
      eq(loanBrowser.mayAsk, true),
    ),
  )) > 0;

/** Whether this browser may answer for a loan: the first that does so by the label, and those that were opened for it. */
export const mayAnswerFrom = (at: SchoolHandle, loanId: string, tokenHash: string): Promise<boolean> =>
  transaction(at, async (tx) => {
    await tx
      .insert(loanBrowser)
      .values({ loanId, tokenHash, mayAsk: false, byLabel: true })
      .onConflictDoNothing();
    return (
      (await tx.$count(
        loanBrowser,
        and(ours(tx, loanBrowser), eq(loanBrowser.loanId, loanId), eq(loanBrowser.tokenHash, tokenHash)),
      )) > 0
    );
  });

/** Opens a browser for a loan. False while nothing can be written: what only reads goes on. */
export async function openBrowserFor(at: SchoolHandle, loanId: string, tokenHash: string): Promise<boolean> {
  try {
    await at
      .insert(loanBrowser)
      .values({ loanId, tokenHash })
      .onConflictDoUpdate({
        target: [loanBrowser.schoolId, loanBrowser.tokenHash, loanBrowser.loanId],
        set: { mayAsk: true },
      });
    return true;
  } catch (error) {
    if (!onlyReads(error)) throw error;
    return false;
  }
}

/** Browsers of half a year ago: the bag has come home long since. */
export const dropOldBrowsers = async (at: SchoolHandle): Promise<void> => {
  await at
    .delete(loanBrowser)
    .where(and(ours(at, loanBrowser), sql`${loanBrowser.createdAt} < now() - interval '180 days'`));
};

/** Opens a browser with the number of the loan, which opens no other one then. False where it is not the number. */
export const openWithCode = (
  at: SchoolHandle,
  loanId: string,
  code: string,
  tokenHash: string,
): Promise<boolean> =>
  transaction(at, async (tx) => {
    if (!/^[0-9]{5}$/.test(code)) return false;
    const used = await tx
      .update(loan)
      .set({ code: '' })
      .where(and(ours(tx, loan), eq(loan.id, loanId), eq(loan.code, code), isNull(loan.closedAs)))
      .returning({ id: loan.id });
    if (used.length === 0) return false;
    return openBrowserFor(tx, loanId, tokenHash);
  });

/** Another number for a loan; browsers that were opened for it are closed. False where there is no such loan any more. */
export const renewCode = (at: SchoolHandle, loanId: string): Promise<boolean> =>
  transaction(at, async (tx) => {
    const { rowCount } = await tx
      .update(loan)
      .set({ code: newCode() })
      .where(and(ours(tx, loan), eq(loan.id, loanId), isNull(loan.closedAs)));
    await tx.delete(loanBrowser).where(and(ours(tx, loanBrowser), eq(loanBrowser.loanId, loanId)));
    return rowCount === 1;
  });
