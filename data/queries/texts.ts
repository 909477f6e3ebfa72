/** Lines of text that came in from families: read, or put before a person. */
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { SchoolHandle } from '../db';
import { copy, family, kit, loan, textReply } from '../schema';
import { ours } from './ours';

export type TextRow = typeof textReply.$inferSelect;

/** Takes a line in; undefined where it came before. */
export const addText = async (
  at: SchoolHandle,
  text: Pick<TextRow, 'carriedAs' | 'reach' | 'text'>,
): Promise<string | undefined> =>
  (
    await at
      .insert(textReply)
      .values({ ...text, state: 'waiting' })
      .onConflictDoNothing({ target: [textReply.schoolId, textReply.carriedAs] })
      .returning({ id: textReply.id })
  )[0]?.id;

export const settleText = async (
  at: SchoolHandle,
  id: string,
  as: Partial<Pick<TextRow, 'state' | 'why' | 'answerId' | 'familyId' | 'personId'>>,
): Promise<boolean> =>
  (
    await at
      .update(textReply)
      .set(as)
      .where(and(ours(at, textReply), eq(textReply.id, id)))
      .returning({ id: textReply.id })
  ).length > 0;

export interface TextLine extends TextRow {
  familyName: string | null;
}
const lines = (at: SchoolHandle) =>
  at
    .select({ text: textReply, familyName: family.name })
    .from(textReply)
    .leftJoin(family, and(ours(at, family), eq(family.id, textReply.familyId)));

export async function findText(at: SchoolHandle, id: string): Promise<TextLine | undefined> {
  const [row] = await lines(at).where(and(ours(at, textReply), eq(textReply.id, id)));
  return row && { ...row.text, familyName: row.familyName };
}

/** Lines that wait for a person, the oldest first; and the last that were read or set aside. */
export async function textsNow(at: SchoolHandle): Promise<{ waiting: TextLine[]; done: TextLine[] }> {
  const [waiting, done] = await Promise.all([
    lines(at)
      .where(and(ours(at, textReply), eq(textReply.state, 'waiting')))
      .orderBy(asc(textReply.receivedAt))
      .limit(100),
    lines(at)
      .where(and(ours(at, textReply), sql`${textReply.state} <> 'waiting'`))
      .orderBy(desc(textReply.receivedAt))
      .limit(20),
  ]);
  const plain = (rows: Awaited<ReturnType<typeof lines>>): TextLine[] =>
    rows.map(({ text, familyName }) => ({ ...text, familyName }));
  return { waiting: plain(waiting), done: plain(done) };
}

/** What is settled goes after half a year, and what came from nobody who is known after a month. */
export const dropOldTexts = async (at: SchoolHandle): Promise<void> => {
  await at.delete(textReply).where(
    and(
      ours(at, textReply),
      sql`${textReply.receivedAt} < now() - case when ${textReply.familyId} is null then interval '30 days'
        when ${textReply.state} = 'waiting' then interval '2 years' else interval '180 days' end`,
    ),
  );
};

/** So many digits make a number that can be told from others. */
const FEWEST_DIGITS = 7;
/** Families that are reached so: by the same digits, or the same words. */
export function familiesReachedBy(
  at: SchoolHandle,
  reach: string,
): Promise<{ id: string; name: string; language: string }[]> {
  const digits = reach.replace(/\D/g, '');
  const same =
    digits.length >= FEWEST_DIGITS
      ? sql`regexp_replace(${family.reach}, '\\D', '', 'g') = ${digits}`
      : sql`lower(btrim(${family.reach})) = lower(btrim(${reach}))`;
  return at
    .select({ id: family.id, name: family.name, language: family.language })
    .from(family)
    .where(and(ours(at, family), isNull(family.forgottenAt), same))
    .limit(3);
}

/** The loans of a family that an answer may be about, those at home first, then the newest. */
export const loansToAnswer = (
  at: SchoolHandle,
  familyId: string,
): Promise<
  { loanId: string; tag: string; kitName: string; runId: string; returnedOn: string | null; open: boolean }[]
> =>
  at
    .select({
      loanId: loan.id,
      tag: copy.tag,
      kitName: kit.name,
      runId: copy.buildRunId,
      returnedOn: loan.returnedOn,
      open: sql<boolean>`${loan.closedAs} is null`,
    })
    .from(loan)
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .where(and(ours(at, loan), eq(loan.familyId, familyId), sql`${loan.closedAs} is distinct from 'undone'`))
    .orderBy(sql`${loan.closedAs} is not null`, desc(loan.lentOn), desc(loan.createdAt))
    .limit(20);
