import { and, asc, desc, eq, isNull, lt, sql } from 'drizzle-orm';
import { db, refusedBy, type Queryable } from '../db';
import { buildRun, copy, family, kit, loan, loanEvent, partCount } from '../schema';

export type LendResult = { ok: true; loanId: string } | { ok: false; reason: 'out' | 'gone' };

/**
 * Lends a copy. The copy's row is locked, and a unique index refuses a second open loan whatever happens: of two
 * browsers at the same moment one lends and the other is told.
 */
export async function lend(input: {
  copyId: string;
  familyId: string;
  lentOn: string;
  dueOn: string;
  personId: string | null;
}): Promise<LendResult> {
  try {
    return await db().transaction(async (tx): Promise<LendResult> => {
      const locked = await tx.execute(
        sql`select 1 from ${copy} where ${copy.id} = ${input.copyId} for update`,
      );
      const known = await tx.execute(
        sql`select 1 from ${family} where ${family.id} = ${input.familyId} and ${family.forgottenAt} is null for share`,
      );
      if (!locked.rowCount || !known.rowCount) return { ok: false, reason: 'gone' };
      if (await tx.$count(loan, and(eq(loan.copyId, input.copyId), isNull(loan.closedAs))))
        return { ok: false, reason: 'out' };
      const { personId, ...values } = input;
      const [made] = await tx.insert(loan).values(values).returning({ id: loan.id });
      await tx
        .insert(loanEvent)
        .values({ loanId: made!.id, kind: 'lent', note: `due ${input.dueOn}`, personId });
      return { ok: true, loanId: made!.id };
    });
  } catch (error) {
    if (refusedBy(error) === 'copy_is_out_already') return { ok: false, reason: 'out' };
    throw error;
  }
}

export interface LoanRow {
  id: string;
  copyId: string;
  tag: string;
  kitName: string;
  familyId: string;
  familyName: string;
  lentOn: string;
  dueOn: string;
  returnedOn: string | null;
  closedAs: 'returned' | 'undone' | null;
}

const loanRows = () =>
  db()
    .select({
      id: loan.id,
      copyId: loan.copyId,
      tag: copy.tag,
      kitName: kit.name,
      familyId: loan.familyId,
      familyName: family.name,
      lentOn: loan.lentOn,
      dueOn: loan.dueOn,
      returnedOn: loan.returnedOn,
      closedAs: loan.closedAs,
    })
    .from(loan)
    .innerJoin(copy, eq(copy.id, loan.copyId))
    .innerJoin(kit, eq(kit.id, copy.kitId))
    .innerJoin(family, eq(family.id, loan.familyId));

/** Copies that are out, the one due first on top. */
export const listOut = (): Promise<LoanRow[]> =>
  loanRows().where(isNull(loan.closedAs)).orderBy(asc(loan.dueOn), asc(copy.tag));

/** Loans that were ended or undone, the newest first. */
export const listClosed = (limit: number): Promise<LoanRow[]> =>
  loanRows()
    .where(sql`${loan.closedAs} is not null`)
    .orderBy(desc(loan.returnedOn), desc(loan.createdAt))
    .limit(limit);

export const listLoansOfFamily = (familyId: string): Promise<LoanRow[]> =>
  loanRows().where(eq(loan.familyId, familyId)).orderBy(desc(loan.lentOn));

export async function findLoan(id: string): Promise<LoanRow | undefined> {
  return (await loanRows().where(eq(loan.id, id)))[0];
}

/** The last loan of a copy that was not undone: the open one, or the one that ended last. */
export async function lastLoanOf(
  copyId: string,
): Promise<
  | { id: string; returnedOn: string | null; familyId: string; familyName: string; language: string }
  | undefined
> {
  return (
    await db()
      .select({
        id: loan.id,
        returnedOn: loan.returnedOn,
        familyId: loan.familyId,
        familyName: family.name,
        language: family.language,
      })
      .from(loan)
      .innerJoin(family, eq(family.id, loan.familyId))
      .where(and(eq(loan.copyId, copyId), sql`${loan.closedAs} is distinct from 'undone'`))
      .orderBy(sql`${loan.closedAs} is null desc`, desc(loan.returnedOn), desc(loan.createdAt))
      .limit(1)
  )[0];
}

/** Changes the due date of an open loan. Answers false when it is not open any more. */
export function changeDue(loanId: string, dueOn: string, personId: string): Promise<boolean> {
  return db().transaction(async (tx) => {
    const changed = await tx
      .update(loan)
      .set({ dueOn })
      .where(and(eq(loan.id, loanId), isNull(loan.closedAs)))
      .returning({ id: loan.id });
    if (changed.length === 0) return false;
    await tx.insert(loanEvent).values({ loanId, kind: 'dueChanged', note: `due ${dueOn}`, personId });
    return true;
  });
}

/** Undoes a loan that should not have been made. Answers false when it is not open any more. */
export function undoLoan(loanId: string, personId: string): Promise<boolean> {
  return db().transaction(async (tx) => {
    const changed = await tx
      .update(loan)
      .set({ closedAs: 'undone' })
      .where(and(eq(loan.id, loanId), isNull(loan.closedAs)))
      .returning({ id: loan.id });
    if (changed.length === 0) return false;
    await tx.insert(loanEvent).values({ loanId, kind: 'undone', personId });
    return true;
  });
}

export interface Count {
  material: string;
  expected: number;
  counted: number;
}

/** Takes a copy back and records what was counted. Answers false when the loan is not open any more. */
export function takeBack(input: {
  loanId: string;
  returnedOn: string;
  counts: Count[];
  personId: string | null;
}): Promise<boolean> {
  return db().transaction(async (tx) => {
    const [closed] = await tx
      .update(loan)
      .set({ closedAs: 'returned', returnedOn: input.returnedOn })
      .where(and(eq(loan.id, input.loanId), isNull(loan.closedAs)))
      .returning();
    if (!closed) return false;
    const missing = input.counts.filter((count) => count.counted < count.expected).length;
    await tx.insert(loanEvent).values({
      loanId: closed.id,
      kind: 'returned',
      note: missing ? `parts short: ${missing}` : 'complete',
      personId: input.personId,
    });
    await record(tx, closed.copyId, 'return', input.counts, input.personId, closed.id);
    return true;
  });
}

/**
 * Undoes a return: the loan is open again and its counts are taken back by the counts before them. Answers false
 * when the copy has gone out again meanwhile.
 */
export async function undoReturn(loanId: string, personId: string): Promise<boolean> {
  try {
    return await db().transaction(async (tx) => {
      const [opened] = await tx
        .update(loan)
        .set({ closedAs: null, returnedOn: null })
        .where(and(eq(loan.id, loanId), eq(loan.closedAs, 'returned')))
        .returning();
      if (!opened) return false;
      await tx.insert(loanEvent).values({ loanId, kind: 'reopened', personId });
      const counted = await tx
        .select()
        .from(partCount)
        .where(and(eq(partCount.loanId, loanId), eq(partCount.cause, 'return')));
      await takeBackCounts(tx, opened.copyId, counted, personId);
      return true;
    });
  } catch (error) {
    if (refusedBy(error) === 'copy_is_out_already') return false;
    throw error;
  }
}

async function record(
  tx: Queryable,
  copyId: string,
  cause: 'return' | 'mend' | 'undone',
  counts: Count[],
  personId: string | null,
  loanId: string | null,
): Promise<void> {
  if (counts.length)
    await tx.insert(partCount).values(counts.map((count) => ({ copyId, loanId, cause, personId, ...count })));
}

/** Enters, for some counts of a copy, what was counted before the first of them. */
async function takeBackCounts(
  tx: Queryable,
  copyId: string,
  entries: readonly (Count & { serial: number })[],
  personId: string,
): Promise<void> {
  const before = await latestCounts(tx, copyId, Math.min(...entries.map((entry) => entry.serial)));
  const undone = entries.map(({ material, expected }) => ({
    material,
    expected,
    counted: before.find((one) => one.material === material)?.counted ?? expected,
  }));
  await record(tx, copyId, 'undone', undone, personId, null);
}

/** The latest count of every part of a copy; with `before`, as it stood before the entry of that serial. */
async function latestCounts(tx: Queryable, copyId: string, before?: number): Promise<Count[]> {
  return tx
    .selectDistinctOn([partCount.material], {
      material: partCount.material,
      expected: partCount.expected,
      counted: partCount.counted,
    })
    .from(partCount)
    .where(and(eq(partCount.copyId, copyId), before === undefined ? undefined : lt(partCount.serial, before)))
    .orderBy(partCount.material, desc(partCount.serial));
}

export interface Shortage extends Count {
  copyId: string;
  tag: string;
  kitName: string;
}

/** Parts that copies lack now, by their latest counts; of one copy or of all. */
export async function listShortages(copyId?: string): Promise<Shortage[]> {
  const latest = await db()
    .selectDistinctOn([partCount.copyId, partCount.material], {
      copyId: partCount.copyId,
      tag: copy.tag,
      kitName: kit.name,
      material: partCount.material,
      expected: partCount.expected,
      counted: partCount.counted,
    })
    .from(partCount)
    .innerJoin(copy, eq(copy.id, partCount.copyId))
    .innerJoin(kit, eq(kit.id, copy.kitId))
    .where(copyId ? eq(partCount.copyId, copyId) : undefined)
    .orderBy(partCount.copyId, partCount.material, desc(partCount.serial));
  return latest.filter((one) => one.counted < one.expected);
}

/** Records that the missing parts of a copy were put back. */
export function mend(copyId: string, personId: string): Promise<number> {
  return db().transaction(async (tx) => {
    await tx.execute(sql`select 1 from ${copy} where ${copy.id} = ${copyId} for update`);
    const short = (await latestCounts(tx, copyId)).filter((one) => one.counted < one.expected);
    await record(
      tx,
      copyId,
      'mend',
      short.map((one) => ({ ...one, counted: one.expected })),
      personId,
      null,
    );
    return short.length;
  });
}

/** Takes back the last mending of a copy. Answers false when something was counted since, or nothing was mended. */
export function undoMend(copyId: string, personId: string): Promise<boolean> {
  return db().transaction(async (tx) => {
    await tx.execute(sql`select 1 from ${copy} where ${copy.id} = ${copyId} for update`);
    const counts = await tx
      .select()
      .from(partCount)
      .where(eq(partCount.copyId, copyId))
      .orderBy(desc(partCount.serial));
    const last = counts[0];
    if (last?.cause !== 'mend') return false;
    // Entries of one transaction carry the same instant.
    const entries = counts.filter(
      (entry) => entry.cause === 'mend' && entry.at.getTime() === last.at.getTime(),
    );
    await takeBackCounts(tx, copyId, entries, personId);
    return true;
  });
}

export interface StrandEvent {
  on: string;
  kind: 'built' | 'lent' | 'home' | 'mended';
  note: string;
}

/** The life of a copy, oldest first. */
export async function strandOf(copyId: string): Promise<StrandEvent[]> {
  const [built] = await db()
    .select({ on: buildRun.builtOn })
    .from(copy)
    .innerJoin(buildRun, eq(buildRun.id, copy.buildRunId))
    .where(eq(copy.id, copyId));
  const loans = await loanRows()
    .where(and(eq(loan.copyId, copyId), sql`${loan.closedAs} is distinct from 'undone'`))
    .orderBy(asc(loan.lentOn), asc(loan.createdAt));
  const counts = await db()
    .selectDistinctOn([partCount.at], { at: partCount.at, cause: partCount.cause })
    .from(partCount)
    .where(eq(partCount.copyId, copyId))
    .orderBy(asc(partCount.at));
  // A mending that was taken back right away is no part of the copy's life.
  const mends = counts.filter((one, i) => one.cause === 'mend' && counts[i + 1]?.cause !== 'undone');
  const events: StrandEvent[] = built ? [{ on: built.on, kind: 'built', note: 'Built' }] : [];
  for (const one of loans) {
    events.push({ on: one.lentOn, kind: 'lent', note: `Lent to ${one.familyName}` });
    if (one.returnedOn)
      events.push({ on: one.returnedOn, kind: 'home', note: `Home from ${one.familyName}` });
  }
  for (const { at } of mends)
    events.push({ on: at.toISOString().slice(0, 10), kind: 'mended', note: 'Parts put back' });
  const order = ['built', 'lent', 'home', 'mended'];
  return events.sort((a, b) => a.on.localeCompare(b.on) || order.indexOf(a.kind) - order.indexOf(b.kind));
}
