/** What families answered: kept once however it came, found again, marked. */
import { grouped } from '~/core/check/grouped';
import { and, asc, desc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { WholeAnswer, Via } from '~/core/listening/answer';
import type { KitPlan } from '~/core/kits/recipe';
import { type SchoolHandle, transaction } from '../db';
import { unlessTaken } from '../trouble';
import { answer, answerGame, answerTheme, copy, family, kit, loan, textReply, theme } from '../schema';
import { plansOf } from './copies';
import { ours } from './ours';
import { lockCopyOf, lockFamily } from './locks';

/** An answer about a loan, with how it came. */
export interface NewAnswer extends WholeAnswer {
  sendKey: string;
  loanId: string;
  language: string;
  via: Via;
  personId?: string;
}

/**
 * Stores an answer; its id. The same `sendKey` a second time changes nothing and answers undefined; so does a loan
 * that was undone, or a family that was forgotten meanwhile.
 */
export function addAnswer(
  at: SchoolHandle,
  { answer: said, games, ...about }: NewAnswer,
): Promise<string | undefined> {
  return transaction(at, async (tx) => {
    await lockCopyOf(tx, about.loanId);
    const [of] = await tx
      .select()
      .from(loan)
      .where(and(ours(tx, loan), eq(loan.id, about.loanId)));
    if (!of || of.closedAs === 'undone' || !(await lockFamily(tx, of.familyId))) return undefined;
    const [kept] = await tx
      .insert(answer)
      .values({ ...said, ...about })
      .onConflictDoNothing({ target: [answer.schoolId, answer.sendKey] })
      .returning({ id: answer.id });
    if (kept && games.length)
      await tx.insert(answerGame).values(games.map((one) => ({ ...one, answerId: kept.id })));
    return kept?.id;
  });
}

/** The answer that was sent under a key. */
export const answerSentAs = async (at: SchoolHandle, sendKey: string): Promise<string | undefined> =>
  (
    await at
      .select({ id: answer.id })
      .from(answer)
      .where(and(ours(at, answer), eq(answer.sendKey, sendKey)))
  )[0]?.id;

/** Of several keys one under which an answer was sent. */
export const firstSentAs = async (
  at: SchoolHandle,
  sendKeys: readonly string[],
): Promise<string | undefined> =>
  (
    await at
      .select({ sendKey: answer.sendKey })
      .from(answer)
      .where(and(ours(at, answer), inArray(answer.sendKey, [...sendKeys])))
      .limit(1)
  )[0]?.sendKey;

/** Takes an answer back that was typed in just now. Answers false when it is read already, or gone. */
export const removeAnswer = async (at: SchoolHandle, id: string, personId: string): Promise<boolean> =>
  transaction(at, async (tx) => {
    const [mine] = await tx
      .select({ id: answer.id })
      .from(answer)
      .where(and(ours(tx, answer), eq(answer.id, id), eq(answer.personId, personId), isNull(answer.readAt)))
      .for('update');
    if (!mine) return false;
    // A text that became this answer waits again.
    await tx
      .update(textReply)
      .set({ answerId: null, state: 'waiting', why: 'What was read from it was taken back.' })
      .where(and(ours(tx, textReply), eq(textReply.answerId, id)));
    await tx.delete(answer).where(and(ours(tx, answer), eq(answer.id, id)));
    return true;
  });

/** How often a week families told that they played, over all their loans with an answer. */
export async function playsHeard(
  at: SchoolHandle,
  today: string,
): Promise<{ answers: number; playsAWeek: number }> {
  const { rows } = await at.execute<{ answers: number; playsAWeek: number | null }>(sql`
    select count(*)::int as answers,
      avg(a.times * 7.0 / greatest(1, coalesce(l.returned_on, least(l.due_on, ${today}::date)) - l.lent_on))::float8 as "playsAWeek"
    from (
      select a.school_id, a.loan_id, coalesce(a.times, g.times) as times from answer a
      left join (select answer_id, sum(times) as times from answer_game where school_id = ${at.schoolId} group by answer_id) g on g.answer_id = a.id
      where a.school_id = ${at.schoolId}) a
    join loan l on l.school_id = a.school_id and l.id = a.loan_id
    where a.times is not null`);
  return { answers: rows[0]!.answers, playsAWeek: rows[0]!.playsAWeek ?? 0 };
}

export type AnswerLine = typeof answer.$inferSelect;
export type GameLine = typeof answerGame.$inferSelect;
export interface AnswerRow {
  answer: AnswerLine;
  games: GameLine[];
  themes: string[];
  pictures: string[];
  familyId: string;
  familyName: string;
  tag: string;
  kitId: string;
  kitName: string;
  plan: KitPlan;
}

/** Which answers are asked for. */
export interface AnswersAsked {
  text?: string | undefined;
  themeId?: string | undefined;
  kitId?: string | undefined;
  familyId?: string | undefined;
  id?: string | undefined;
  unread?: boolean | undefined;
}

const WITH_BASKET = {
  answer,
  familyId: loan.familyId,
  familyName: family.name,
  tag: copy.tag,
  kitId: kit.id,
  kitName: kit.name,
  runId: copy.buildRunId,
  themes: sql<
    string[]
  >`array(select t.theme_id::text from answer_theme t where t.school_id = ${answer.schoolId} and t.answer_id = ${answer.id})`,
  pictures: sql<
    string[]
  >`array(select w.id::text from work_picture w where w.school_id = ${answer.schoolId} and w.answer_id = ${answer.id} order by w.created_at)`,
};

/** A text as a pattern that means nothing but itself. */
const literally = (word: string): SQL =>
  sql`'%' || public.searchable(${word.replace(/[\\%_]/g, '\\$&')}) || '%'`;

/** Each word stands somewhere in what was said, in any case and without accents, or in the name of the family. */
const says = (at: SchoolHandle, text: string): SQL | undefined =>
  and(
    ...text
      .split(/\s+/)
      .filter(Boolean)
      .slice(0, 8)
      .map(
        (
          word,
        ) => sql`public.searchable(concat_ws(' ', ${family.name}, ${answer.childDid}, ${answer.missing}, ${answer.anythingElse},
          (select string_agg(concat_ws(' ', g.child, g.child_said, g.changed), ' ') from answer_game g where g.school_id = ${at.schoolId} and g.answer_id = ${answer.id})))
          like ${literally(word)}`,
      ),
  );

/** A page of answers, the newest first, and how many there are. */
export async function pageOfAnswers(
  at: SchoolHandle,
  {
    text = '',
    themeId,
    kitId,
    familyId,
    id,
    unread,
    first,
    most,
  }: AnswersAsked & { first: number; most: number },
): Promise<{ answers: AnswerRow[]; found: number }> {
  const which = and(
    ours(at, answer),
    id ? eq(answer.id, id) : undefined,
    kitId ? eq(copy.kitId, kitId) : undefined,
    familyId ? eq(loan.familyId, familyId) : undefined,
    unread ? isNull(answer.readAt) : undefined,
    says(at, text),
    themeId
      ? sql`exists (select from answer_theme t where t.school_id = ${at.schoolId} and t.answer_id = ${answer.id} and t.theme_id = ${themeId})`
      : undefined,
  );
  const rows = await at
    .select({ ...WITH_BASKET, found: sql<number>`(count(*) over ())::int` })
    .from(answer)
    .innerJoin(loan, and(ours(at, loan), eq(loan.id, answer.loanId)))
    .innerJoin(family, and(ours(at, family), eq(family.id, loan.familyId)))
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .where(which)
    .orderBy(desc(answer.sentAt), desc(answer.id))
    .offset(first)
    .limit(most);
  // Beyond the last page there is no row to tell how many there are.
  const found =
    rows[0]?.found ??
    (first
      ? (await pageOfAnswers(at, { text, themeId, kitId, familyId, id, unread, first: 0, most: 1 })).found
      : 0);
  return {
    answers: await whole(
      at,
      rows.map(({ found: _, ...row }) => row),
    ),
    found,
  };
}

/** Answers with what each says of its games, and what its basket held. */
async function whole(
  at: SchoolHandle,
  rows: readonly (Omit<AnswerRow, 'plan' | 'games'> & { runId: string })[],
): Promise<AnswerRow[]> {
  const ids = rows.map((row) => row.answer.id);
  if (ids.length === 0) return [];
  const [runs, games] = await Promise.all([
    plansOf(at, [...new Set(rows.map(({ runId }) => runId))]),
    at
      .select()
      .from(answerGame)
      .where(and(ours(at, answerGame), inArray(answerGame.answerId, ids)))
      .orderBy(asc(answerGame.position)),
  ]);
  const gamesOf = grouped(games, ({ answerId }) => answerId);
  return rows.map(({ runId, ...row }) => ({
    ...row,
    plan: runs.get(runId)!.plan,
    games: gamesOf.get(row.answer.id) ?? [],
  }));
}

/** Marks answers as read, or as unread again. */
export async function markRead(at: SchoolHandle, ids: string[], read: boolean): Promise<void> {
  if (ids.length === 0) return;
  await at
    .update(answer)
    .set({ readAt: read ? new Date() : null })
    .where(and(ours(at, answer), inArray(answer.id, ids), read ? isNull(answer.readAt) : sql`true`));
}

/** One word on one game of a bag: what levels are made of. */
export interface GameWord {
  answerId: string;
  position: number;
  runId: string;
  kitId: string;
  familyId: string;
  /** As the family is known: its children, a line for each. */
  children: string;
  child: string;
  said: GameLine['said'];
  times: number | null;
  minutes: number | null;
  sentAt: Date;
}
/** So many words are listened to at once: years of them would keep everybody waiting. */
const MOST_WORDS = 1500;

/** What was said of games since a moment, in the order in which it came; of one family only where one is named. */
export async function gameWords(at: SchoolHandle, since: Date, familyId?: string): Promise<GameWord[]> {
  const rows = await at
    .select({
      answerId: answer.id,
      position: answerGame.position,
      runId: copy.buildRunId,
      kitId: copy.kitId,
      familyId: family.id,
      children: family.children,
      child: answerGame.child,
      said: answerGame.said,
      times: sql<number | null>`coalesce(${answerGame.times}, ${answer.times})`,
      minutes: sql<number | null>`coalesce(${answerGame.minutes}, ${answer.minutes})`,
      sentAt: answer.sentAt,
    })
    .from(answerGame)
    .innerJoin(answer, and(ours(at, answer), eq(answer.id, answerGame.answerId)))
    .innerJoin(loan, and(ours(at, loan), eq(loan.id, answer.loanId)))
    .innerJoin(family, and(ours(at, family), eq(family.id, loan.familyId)))
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
    .where(
      and(
        ours(at, answerGame),
        sql`${answer.sentAt} >= ${since}`,
        familyId ? eq(family.id, familyId) : undefined,
      ),
    )
    .orderBy(desc(answer.sentAt), asc(answerGame.position))
    .limit(MOST_WORDS);
  return rows.reverse();
}

/** What families ask for now, in numbers. */
export interface Asks {
  unread: number;
  missing: number;
  asking: number;
  unclear: number;
  texts: number;
}
export async function asksNow(at: SchoolHandle): Promise<Asks> {
  const { rows } = await at.execute<Asks & Record<string, unknown>>(sql`
    select
      (select count(*)::int from answer where school_id = ${at.schoolId} and read_at is null) as unread,
      (select count(*)::int from answer where school_id = ${at.schoolId} and read_at is null and btrim(missing) <> '') as missing,
      (select count(*)::int from answer where school_id = ${at.schoolId} and read_at is null and btrim(anything_else) <> '') as asking,
      (select count(*)::int from answer_game where school_id = ${at.schoolId} and unclear <> '' and unclear_seen_at is null) as unclear,
      (select count(*)::int from text_reply where school_id = ${at.schoolId} and state = 'waiting') as texts`);
  return rows[0]!;
}

/** Steps that families found unclear and that nobody has seen to, with how many of them. */
export const unclearSteps = (
  at: SchoolHandle,
): Promise<{ runId: string; position: number; messageId: string; language: string; times: number }[]> =>
  at
    .select({
      runId: copy.buildRunId,
      position: answerGame.position,
      messageId: answerGame.unclear,
      language: answer.language,
      times: sql<number>`count(*)::int`,
    })
    .from(answerGame)
    .innerJoin(answer, and(ours(at, answer), eq(answer.id, answerGame.answerId)))
    .innerJoin(loan, and(ours(at, loan), eq(loan.id, answer.loanId)))
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
    .where(and(ours(at, answerGame), sql`${answerGame.unclear} <> ''`, isNull(answerGame.unclearSeenAt)))
    .groupBy(copy.buildRunId, answerGame.position, answerGame.unclear, answer.language)
    .orderBy(desc(sql`count(*)`))
    .limit(50);

/** Settles what was unclear in a step in a language, whichever bag it was read from. */
export const settleUnclear = async (
  tx: SchoolHandle,
  runIds: readonly string[],
  messageId: string,
  language: string,
): Promise<number> =>
  (
    await tx
      .update(answerGame)
      .set({ unclearSeenAt: new Date() })
      .where(
        and(
          ours(tx, answerGame),
          eq(answerGame.unclear, messageId),
          isNull(answerGame.unclearSeenAt),
          sql`exists (select from answer a join loan l on l.school_id = a.school_id and l.id = a.loan_id join copy c on c.school_id = l.school_id and c.id = l.copy_id
            where a.school_id = ${tx.schoolId} and a.id = ${answerGame.answerId} and a.language = ${language} and c.build_run_id = any(${sql.param([...runIds])}::uuid[]))`,
        ),
      )
      .returning({ position: answerGame.position })
  ).length;

export const listThemes = (at: SchoolHandle): Promise<{ id: string; name: string; answers: number }[]> =>
  at
    .select({
      id: theme.id,
      name: theme.name,
      answers: sql<number>`(select count(*)::int from answer_theme t where t.school_id = ${at.schoolId} and t.theme_id = "theme"."id")`,
    })
    .from(theme)
    .where(ours(at, theme))
    .orderBy(asc(sql`lower(${theme.name})`));

/** Adds a theme; undefined when there is one of this name. */
export const addTheme = (at: SchoolHandle, name: string): Promise<string | undefined> =>
  unlessTaken('theme_name_is_taken', async () => {
    const [made] = await at.insert(theme).values({ name }).returning({ id: theme.id });
    return made!.id;
  });

export const removeTheme = async (at: SchoolHandle, id: string): Promise<void> => {
  await at.delete(theme).where(and(ours(at, theme), eq(theme.id, id)));
};

/** Marks an answer with a theme, or takes the mark away. Answers false when either is gone. */
export const markTheme = (
  at: SchoolHandle,
  input: { answerId: string; themeId: string; personId: string; on: boolean },
): Promise<boolean> =>
  transaction(at, async (tx) => {
    const { answerId, themeId, personId, on } = input;
    const there = await Promise.all([
      tx.$count(answer, and(ours(tx, answer), eq(answer.id, answerId))),
      tx.$count(theme, and(ours(tx, theme), eq(theme.id, themeId))),
    ]);
    if (there.includes(0)) return false;
    if (on) await tx.insert(answerTheme).values({ answerId, themeId, personId }).onConflictDoNothing();
    else
      await tx
        .delete(answerTheme)
        .where(
          and(ours(tx, answerTheme), eq(answerTheme.answerId, answerId), eq(answerTheme.themeId, themeId)),
        );
    return true;
  });

/** Loans of the last weeks that nobody has answered, of families that can be reached, the longest out first. */
export const unheardLoans = (
  at: SchoolHandle,
  since: string,
  before: string,
): Promise<
  {
    loanId: string;
    familyId: string;
    familyName: string;
    language: string;
    tag: string;
    kitName: string;
    lentOn: string;
    home: boolean;
  }[]
> =>
  at
    .select({
      loanId: loan.id,
      familyId: family.id,
      familyName: family.name,
      language: family.language,
      tag: copy.tag,
      kitName: kit.name,
      lentOn: loan.lentOn,
      home: sql<boolean>`${loan.closedAs} is not null`,
    })
    .from(loan)
    .innerJoin(family, and(ours(at, family), eq(family.id, loan.familyId), isNull(family.forgottenAt)))
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .where(
      and(
        ours(at, loan),
        sql`${loan.closedAs} is distinct from 'undone'`,
        sql`${loan.lentOn} between ${since} and ${before}`,
        sql`btrim(${family.reach}) <> '' and ${family.channel} <> 'never'`,
        sql`not exists (select from answer a where a.school_id = ${at.schoolId} and a.loan_id = "loan"."id")`,
      ),
    )
    .orderBy(asc(loan.lentOn), asc(family.searchName))
    .limit(100);
