import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Answer } from '~/core/listening/answer';
import type { KitPlan } from '~/core/kits/recipe';
import { type SchoolHandle, transaction } from '../db';
import { answer, copy, family, kit, loan } from '../schema';
import { plansOf } from './copies';
import { ours } from './ours';
import { lockCopyOf, lockFamily } from './locks';

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

/** How often a week families told that they played, over all their loans with an answer. */
export async function playsHeard(
  at: SchoolHandle,
  today: string,
): Promise<{ answers: number; playsAWeek: number }> {
  const { rows } = await at.execute<{ answers: number; playsAWeek: number | null }>(sql`
    select count(*)::int as answers,
      avg(a.times * 7.0 / greatest(1, coalesce(l.returned_on, least(l.due_on, ${today}::date)) - l.lent_on))::float8 as "playsAWeek"
    from answer a join loan l on l.school_id = a.school_id and l.id = a.loan_id
    where a.school_id = ${at.schoolId} and a.times is not null`);
  return { answers: rows[0]!.answers, playsAWeek: rows[0]!.playsAWeek ?? 0 };
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

const WITH_BASKET = {
  answer,
  familyId: loan.familyId,
  familyName: family.name,
  tag: copy.tag,
  kitId: kit.id,
  kitName: kit.name,
  runId: copy.buildRunId,
};

/** What the baskets of these answers held. */
async function withPlans(
  at: SchoolHandle,
  rows: readonly (Omit<AnswerRow, 'plan'> & { runId: string })[],
): Promise<AnswerRow[]> {
  const runs = await plansOf(at, [...new Set(rows.map(({ runId }) => runId))]);
  return rows.map(({ runId, ...row }) => ({ ...row, plan: runs.get(runId)!.plan }));
}

/** The newest answers in order of arrival, with what they are about. */
export async function listAnswers(at: SchoolHandle): Promise<AnswerRow[]> {
  const newest = at
    .select({ schoolId: answer.schoolId, id: answer.id })
    .from(answer)
    .where(ours(at, answer))
    .orderBy(desc(answer.sentAt))
    .limit(MOST_ANSWERS)
    .as('newest');
  const rows = await at
    .select(WITH_BASKET)
    .from(newest)
    .innerJoin(answer, and(eq(answer.schoolId, newest.schoolId), eq(answer.id, newest.id)))
    .innerJoin(loan, and(eq(loan.schoolId, answer.schoolId), eq(loan.id, answer.loanId)))
    .innerJoin(family, and(eq(family.schoolId, loan.schoolId), eq(family.id, loan.familyId)))
    .innerJoin(copy, and(eq(copy.schoolId, loan.schoolId), eq(copy.id, loan.copyId)))
    .innerJoin(kit, and(eq(kit.schoolId, copy.schoolId), eq(kit.id, copy.kitId)))
    .orderBy(asc(answer.sentAt));
  return withPlans(at, rows);
}

/** A page of the answers about one kit, the newest first, and how many there are. */
export async function answersOfKit(
  at: SchoolHandle,
  kitId: string,
  first: number,
  most: number,
): Promise<{ answers: AnswerRow[]; found: number }> {
  const ofKit = at
    .select({ id: answer.id, sentAt: answer.sentAt })
    .from(copy)
    .innerJoin(loan, and(eq(loan.schoolId, copy.schoolId), eq(loan.copyId, copy.id)))
    .innerJoin(answer, and(eq(answer.schoolId, loan.schoolId), eq(answer.loanId, loan.id)))
    .where(and(ours(at, copy), eq(copy.kitId, kitId)));
  const page = ofKit.orderBy(desc(answer.sentAt), desc(answer.id)).offset(first).limit(most).as('page');
  const [rows, [all]] = await Promise.all([
    at
      .select(WITH_BASKET)
      .from(page)
      .innerJoin(answer, and(ours(at, answer), eq(answer.id, page.id)))
      .innerJoin(loan, and(eq(loan.schoolId, answer.schoolId), eq(loan.id, answer.loanId)))
      .innerJoin(family, and(eq(family.schoolId, loan.schoolId), eq(family.id, loan.familyId)))
      .innerJoin(copy, and(eq(copy.schoolId, loan.schoolId), eq(copy.id, loan.copyId)))
      .innerJoin(kit, and(eq(kit.schoolId, copy.schoolId), eq(kit.id, copy.kitId)))
      .orderBy(desc(answer.sentAt), desc(answer.id)),
    at
      .execute<{ found: number }>(
        sql`
      select count(*)::int as found from ${copy}
      join ${loan} on ${loan.schoolId} = ${copy.schoolId} and ${loan.copyId} = ${copy.id}
      join ${answer} on ${answer.schoolId} = ${loan.schoolId} and ${answer.loanId} = ${loan.id}
      where ${and(ours(at, copy), eq(copy.kitId, kitId))!}`,
      )
      .then(({ rows: counted }) => counted),
  ]);
  return { answers: await withPlans(at, rows), found: all!.found };
}

/** Marks answers as read, or as unread again. */
export async function markRead(at: SchoolHandle, ids: string[], read: boolean): Promise<void> {
  if (ids.length === 0) return;
  await at
    .update(answer)
    .set({ readAt: read ? new Date() : null })
    .where(and(ours(at, answer), inArray(answer.id, ids), read ? isNull(answer.readAt) : sql`true`));
}
