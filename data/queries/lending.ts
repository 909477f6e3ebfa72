import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import { against, hazardsOf, hazardWords } from '~/core/kits/safety';
import { dayIn, showDay } from '~/core/lending/due';
import { limitReached, notLonger, type NotLonger } from '~/core/lending/rules';
import { type SchoolHandle, transaction } from '../db';
import { refusedBy } from '../trouble';
import { answer, copy, family, kit, loan, loanEvent } from '../schema';
import { findCopy } from './copies';
import { newCode } from './browsers';
import { ours } from './ours';
import { endHoldBy, fillHolds, othersWait, reopenHold, setAsideFor } from './holds';
import { lockCopy, lockCopyOf, lockFamily } from './locks';
import { catalogueNow } from './materials';
import { keepPromise, promisedTo, reopenPromise } from './promises';
import { lendingRules } from './rules';

export type LendResult =
  | { ok: true; loanId: string }
  | { ok: false; reason: 'out' | 'gone' | 'unmade' }
  /**
   * It is another family's by now, which `about` names, or the family has what it may have: in a sentence.
   */
  | { ok: false; reason: 'others' | 'limit'; why: string; about?: string }
  /** What it `holds`, in words: whoever decides that it goes out decides this. */
  | { ok: false; reason: 'unsafe'; why: string; holds: string };

/**
 * Lends a copy, whichever way it goes out. The rows of the copy and of the family are locked, and a unique index refuses
 * a second open loan whatever happens: of two browsers at the same moment one lends and the other is told. What is in
 * the bag is held against what is known of the family now, under these locks: what nobody has decided does not go out.
 */
export async function lend(
  at: SchoolHandle,
  input: {
    copyId: string;
    familyId: string;
    lentOn: string;
    dueOn: string;
    personId: string | null;
    /** Who decided that it goes out all the same, and what they were told is in it. */
    decided?: { by: string; of: string };
    /** The same for the school's rules, and for whom it was set aside. */
    ruleDecided?: string;
  },
): Promise<LendResult> {
  try {
    return await transaction(at, async (tx): Promise<LendResult> => {
      if (!(await lockCopy(tx, input.copyId)) || !(await lockFamily(tx, input.familyId, true)))
        return { ok: false, reason: 'gone' };
      if (await tx.$count(copy, and(ours(tx, copy), eq(copy.id, input.copyId), isNull(copy.readyAt))))
        return { ok: false, reason: 'unmade' };
      if (await tx.$count(loan, and(ours(tx, loan), eq(loan.copyId, input.copyId), isNull(loan.closedAs))))
        return { ok: false, reason: 'out' };
      const against = input.ruleDecided === undefined ? await ruleAgainst(tx, input) : undefined;
      if (against) {
        const { note: _, ...said } = against;
        return { ok: false, ...said };
      }
      const unsafe = await unsafeFor(tx, input);
      if (unsafe && unsafe !== input.decided?.of)
        return { ok: false, reason: 'unsafe', why: `This bag holds ${unsafe}.`, holds: unsafe };
      const { personId, decided, ruleDecided, ...values } = input;
      const [made] = await tx
        .insert(loan)
        .values({ ...values, code: newCode() })
        .returning({ id: loan.id });
      const { copyId, familyId, lentOn } = input;
      await endHoldBy(tx, { loanId: made!.id, copyId, familyId, lentOn });
      await keepPromise(tx, { loanId: made!.id, copyId, familyId });
      await tx.insert(loanEvent).values([
        { loanId: made!.id, kind: 'lent', note: `due ${input.dueOn}`, personId },
        ...(decided && unsafe
          ? [
              {
                loanId: made!.id,
                kind: 'safetyDecided' as const,
                note: `${decided.by}: ${unsafe}`,
                personId,
              },
            ]
          : []),
        ...(ruleDecided
          ? [{ loanId: made!.id, kind: 'ruleDecided' as const, note: ruleDecided, personId }]
          : []),
      ]);
      return { ok: true, loanId: made!.id };
    });
  } catch (error) {
    if (refusedBy(error) === 'copy_is_out_already') return { ok: false, reason: 'out' };
    throw error;
  }
}

/** What is in a copy that its family cannot have near, in words; undefined where there is nothing. */
async function unsafeFor(
  tx: SchoolHandle,
  { copyId, familyId }: { copyId: string; familyId: string },
): Promise<string | undefined> {
  const [flags, bag, catalogue] = [
    (
      await tx
        .select({ underThree: family.underThree, allergens: family.allergens })
        .from(family)
        .where(and(ours(tx, family), eq(family.id, familyId)))
    )[0],
    await findCopy(tx, { id: copyId }),
    await catalogueNow(tx),
  ];
  const stops = flags && bag ? against(hazardsOf(bag.parts, catalogue), flags) : [];
  return stops.length ? hazardWords(stops, catalogue) : undefined;
}

/**
 * What the rules of the school say against lending a copy to a family on a day, and for whom it is set aside or promised;
 * undefined where nothing stands against it. The `note` names no other family: it is kept with the loan of this one.
 */
export async function ruleAgainst(
  at: SchoolHandle,
  input: { copyId: string; familyId: string; lentOn: string },
): Promise<{ reason: 'others' | 'limit'; why: string; note: string; about?: string } | undefined> {
  const [aside, promised, rules, has] = await Promise.all([
    setAsideFor(at, input.copyId),
    promisedTo(at, input.copyId),
    lendingRules(at),
    at
      .select({ lentOn: loan.lentOn })
      .from(loan)
      .where(
        and(ours(at, loan), eq(loan.familyId, input.familyId), isNull(loan.closedAs), isNull(loan.arrivedOn)),
      ),
  ]);
  if (aside && aside.familyId !== input.familyId)
    return {
      reason: 'others',
      why: `This copy is set aside for ${aside.familyName} until ${showDay(aside.keptUntil)}.`,
      note: `This copy is set aside for another family until ${showDay(aside.keptUntil)}.`,
      about: aside.familyId,
    };
  if (promised && promised.familyId !== input.familyId)
    return {
      reason: 'others',
      why: `This copy is promised to ${promised.familyName} in “${promised.round}”.`,
      note: `This copy is promised to another family in “${promised.round}”.`,
      about: promised.familyId,
    };
  const limit = limitReached(
    rules,
    has.map(({ lentOn }) => lentOn),
    input.lentOn,
  );
  return limit ? { reason: 'limit', why: limit, note: limit } : undefined;
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
  /** It lies at school since then, and waits to be counted. */
  arrivedOn: string | null;
  returnedOn: string | null;
  closedAs: 'returned' | 'undone' | null;
  /** What the family types to ask for a bag from its phone; empty when it was typed. */
  code: string;
}

export const loanRows = (at: SchoolHandle) =>
  at
    .select({
      id: loan.id,
      copyId: loan.copyId,
      tag: copy.tag,
      kitName: kit.name,
      familyId: loan.familyId,
      familyName: family.name,
      lentOn: loan.lentOn,
      dueOn: loan.dueOn,
      arrivedOn: loan.arrivedOn,
      returnedOn: loan.returnedOn,
      closedAs: loan.closedAs,
      code: loan.code,
    })
    .from(loan)
    .innerJoin(copy, eq(copy.id, loan.copyId))
    .innerJoin(kit, eq(kit.id, copy.kitId))
    .innerJoin(family, eq(family.id, loan.familyId));

/** Copies that are out, the one due first on top. */
export const listOut = (at: SchoolHandle): Promise<LoanRow[]> =>
  loanRows(at).where(isNull(loan.closedAs)).orderBy(asc(loan.dueOn), asc(copy.tag));

/** Loans that were ended or undone, the newest first. */
export const listClosed = (at: SchoolHandle, limit: number): Promise<LoanRow[]> =>
  loanRows(at)
    .where(and(ours(at, loan), sql`${loan.closedAs} is not null`))
    .orderBy(desc(loan.returnedOn), desc(loan.createdAt))
    .limit(limit);

export const listLoansOfFamily = (at: SchoolHandle, familyId: string): Promise<LoanRow[]> =>
  loanRows(at)
    .where(and(ours(at, loan), eq(loan.familyId, familyId)))
    .orderBy(desc(loan.lentOn));

export async function findLoan(at: SchoolHandle, id: string): Promise<LoanRow | undefined> {
  return (await loanRows(at).where(and(ours(at, loan), eq(loan.id, id))))[0];
}

/** The last loan of a copy that was not undone: the open one, or the one that ended last. */
export async function lastLoanOf(
  at: SchoolHandle,
  copyId: string,
): Promise<
  | { id: string; returnedOn: string | null; familyId: string; familyName: string; language: string }
  | undefined
> {
  return (
    await at
      .select({
        id: loan.id,
        returnedOn: loan.returnedOn,
        familyId: loan.familyId,
        familyName: family.name,
        language: family.language,
      })
      .from(loan)
      .innerJoin(family, eq(family.id, loan.familyId))
      .where(and(ours(at, loan), eq(loan.copyId, copyId), sql`${loan.closedAs} is distinct from 'undone'`))
      .orderBy(sql`${loan.closedAs} is null desc`, desc(loan.returnedOn), desc(loan.createdAt))
      .limit(1)
  )[0];
}

/** A loan as a family page knows it, when it is one of this copy and was not undone. */
export async function findLoanOf(
  at: SchoolHandle,
  copyId: string,
  loanId: string,
): Promise<{ id: string; returnedOn: string | null; familyId: string; forgotten: boolean } | undefined> {
  const [found] = await at
    .select({
      id: loan.id,
      returnedOn: loan.returnedOn,
      familyId: loan.familyId,
      forgottenAt: family.forgottenAt,
    })
    .from(loan)
    .innerJoin(family, eq(family.id, loan.familyId))
    .where(
      and(
        ours(at, loan),
        and(eq(loan.id, loanId), eq(loan.copyId, copyId), sql`${loan.closedAs} is distinct from 'undone'`),
      ),
    );
  if (!found) return undefined;
  const { forgottenAt, ...rest } = found;
  return { ...rest, forgotten: forgottenAt !== null };
}

/**
 * Changes the due date of an open loan. Answers false when it is not open any more, or when the date is no longer the
 * one that the form showed.
 */
export function changeDue(
  at: SchoolHandle,
  loanId: string,
  dueOn: string,
  personId: string,
  was?: string,
): Promise<boolean> {
  return transaction(at, async (tx) => {
    await lockCopyOf(tx, loanId);
    const changed = await tx
      .update(loan)
      .set({ dueOn })
      .where(
        and(
          ours(tx, loan),
          eq(loan.id, loanId),
          isNull(loan.closedAs),
          was ? eq(loan.dueOn, was) : undefined,
        ),
      )
      .returning({ id: loan.id });
    if (changed.length === 0) return false;
    await tx.insert(loanEvent).values({ loanId, kind: 'dueChanged', note: `due ${dueOn}`, personId });
    return true;
  });
}

/**
 * Keeps a bag longer, as often as the school's rules allow and while nobody else waits for it. `until` says when it is
 * due then, by the day on which it is due now. Answers the new day, or why not.
 */
export function renew(
  at: SchoolHandle,
  loanId: string,
  personId: string | null,
  until: (tx: SchoolHandle, dueOn: string) => Promise<string>,
): Promise<{ ok: true; dueOn: string } | { ok: false; why: NotLonger | 'home' }> {
  return transaction(at, async (tx) => {
    await lockCopyOf(tx, loanId);
    const [one] = await tx
      .select({ dueOn: loan.dueOn })
      .from(loan)
      .where(and(ours(tx, loan), eq(loan.id, loanId), isNull(loan.closedAs)));
    if (!one) return { ok: false, why: 'home' };
    const [rules, renewed, wait] = await Promise.all([
      lendingRules(tx),
      tx.$count(
        loanEvent,
        and(ours(tx, loanEvent), eq(loanEvent.loanId, loanId), eq(loanEvent.kind, 'renewed')),
      ),
      othersWait(tx, loanId),
    ]);
    const why = notLonger(rules, renewed, wait);
    if (why) return { ok: false, why };
    const dueOn = await until(tx, one.dueOn);
    await tx
      .update(loan)
      .set({ dueOn })
      .where(and(ours(tx, loan), eq(loan.id, loanId)));
    await tx.insert(loanEvent).values({ loanId, kind: 'renewed', note: `due ${dueOn}`, personId });
    return { ok: true, dueOn };
  });
}

/** Whether something was undone, or why it could not be: a sentence that names what rests on it. */
export type Undone = { ok: true } | { ok: false; why: string };
export const refuse = (why: string): Undone => ({ ok: false, why });

/** Undoes a loan that should not have been made, while it is open and nothing rests on it. */
export function undoLoan(at: SchoolHandle, loanId: string, personId: string): Promise<Undone> {
  return transaction(at, async (tx) => {
    const copyId = await lockCopyOf(tx, loanId);
    if (!copyId) return refuse('There is no such loan.');
    if (await tx.$count(answer, and(ours(tx, answer), eq(answer.loanId, loanId))))
      return refuse(
        'The family has answered about this loan already, so it stays. Take the copy back instead.',
      );
    const changed = await tx
      .update(loan)
      .set({ closedAs: 'undone' })
      .where(and(ours(tx, loan), eq(loan.id, loanId), isNull(loan.closedAs)))
      .returning({ id: loan.id });
    if (changed.length === 0) return refuse('This loan was ended already, so there is nothing to undo.');
    await tx.insert(loanEvent).values({ loanId, kind: 'undone', personId });
    await reopenHold(tx, loanId);
    await reopenPromise(tx, loanId);
    await fillHolds(tx, dayIn(tx.timeZone, new Date()));
    return { ok: true };
  });
}
