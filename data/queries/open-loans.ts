/** The bags that are out: of several parts of a page that ask for them in one moment, the database is asked once. */
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { SchoolHandle } from '../db';
import { copy, family, kit, loan } from '../schema';
import { ours } from './ours';

/** A family as it is written to. */
export const writtenTo = {
  id: family.id,
  name: family.name,
  language: family.language,
  channel: family.channel,
  reach: family.reach,
  weekly: family.weekly,
  group: family.group,
};

/** Bags that are out, or lie at school and wait to be counted, with who has them: by the name of the family, then by day. */
export const openLoans = (at: SchoolHandle) =>
  at
    .select({
      family: writtenTo,
      loanId: loan.id,
      copyId: loan.copyId,
      tag: copy.tag,
      kitId: copy.kitId,
      kitName: kit.name,
      runId: copy.buildRunId,
      dueOn: loan.dueOn,
      arrivedOn: loan.arrivedOn,
    })
    .from(loan)
    .innerJoin(family, and(ours(at, family), eq(family.id, loan.familyId)))
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .where(and(ours(at, loan), isNull(loan.closedAs)))
    .orderBy(asc(family.searchName), asc(loan.dueOn));
export type OpenLoan = Awaited<ReturnType<typeof openLoans>>[number];
