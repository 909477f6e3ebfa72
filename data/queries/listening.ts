import { and, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Answer } from '~/core/listening/answer';
import type { KitPlan } from '~/core/kits/recipe';
import { type SchoolHandle, transaction } from '../db';
import { answer, buildRun, copy, family, kit, loan } from '../schema';
import { ours } from './ours';
import { lockCopyOf, lockFamily } from './locks';
import { soundPlan } from './sound';

/**
 * Stores an answer. The same `sendKey` a second time changes nothing, and answers false; so does a loan that was
 * undone, or a family that was forgotten meanwhile.
 */
export function addAnswer(
  at: SchoolHandle,
  input: Answer & { sendKey: string; loanId: string; language: string },
): Promise<boolean> {
  return transaction(at, async (tx) => {
    await lockCopyOf(tx, input.loanId);
    const [of] = await tx
      .select()
      .from(loan)
      .where(and(ours(tx, loan), eq(loan.id, input.loanId)));
    if (!of || of.closedAs === 'undone' || !(await lockFamily(tx, of.familyId))) return false;
    const rows = await tx
      .insert(answer)
      .values(input)
      .onConflictDoNothing({ target: [answer.schoolId, answer.sendKey] })
      .returning({ id: answer.id });
    return rows.length > 0;
  });
}

export interface AnswerRow {
  answer: typeof answer.$inferSelect;
  familyId: string;
  familyName: string;
  tag: string;
  kitId: string;
  kitName: string;
  plan: KitPlan;
}

/** So many answers are listened to at once: years of them would keep everybody waiting. */
const MOST_ANSWERS = 1000;

/** The newest answers in order of arrival, with what they are about. */
export const listAnswers = async (at: SchoolHandle): Promise<AnswerRow[]> =>
  (
    await at
      .select({
        answer,
        familyId: loan.familyId,
        familyName: family.name,
        tag: copy.tag,
        kitId: kit.id,
        kitName: kit.name,
        plan: buildRun.plan,
      })
      .from(answer)
      .innerJoin(loan, eq(loan.id, answer.loanId))
      .innerJoin(family, eq(family.id, loan.familyId))
      .innerJoin(copy, eq(copy.id, loan.copyId))
      .innerJoin(buildRun, eq(buildRun.id, copy.buildRunId))
      .innerJoin(kit, eq(kit.id, copy.kitId))
      .where(ours(at, answer))
      .orderBy(desc(answer.sentAt))
      .limit(MOST_ANSWERS)
  )
    .reverse()
    .map((row) => ({ ...row, plan: soundPlan(row.plan) }));

/** Marks answers as read, or as unread again. */
export async function markRead(at: SchoolHandle, ids: string[], read: boolean): Promise<void> {
  if (ids.length === 0) return;
  await at
    .update(answer)
    .set({ readAt: read ? new Date() : null })
    .where(and(ours(at, answer), inArray(answer.id, ids), read ? isNull(answer.readAt) : sql`true`));
}
