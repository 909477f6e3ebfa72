/** Copies: what each holds, where it is, which are meant. */
import { and, asc, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { KitPart, KitPlan } from '~/core/kits/recipe';
import type { Finish } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import { dayIn } from '~/core/lending/due';
import { type SchoolHandle, transaction } from '../db';
import { buildRun, copy, copyCare, family, kit, loan } from '../schema';
import { fillHolds } from './holds';
import { ours } from './ours';
import { soundPlan } from './sound';

export interface CopyRow {
  id: string;
  tag: string;
  linkKey: string;
  kitId: string;
  kitName: string;
  /** How long a loan of its kit lasts. */
  daysOut: number;
  buildRunId: string;
  builtOn: string;
  printedAt: Date | null;
  /** When it was made and checked; null while it is being made. */
  readyAt: Date | null;
  /** The build run that makes it, where there is one. */
  makingId: string | null;
  /** The finish it was made in. */
  finish: Finish;
  /** The language beside English in which its pack is printed, or is to be. */
  language: Language | null;
  /** It belongs to another school now; this row tells what happened to it here. */
  moved: boolean;
  plan: KitPlan;
  parts: KitPart[];
  /** The open loan, when the copy is out. */
  loan: { id: string; familyId: string; familyName: string; lentOn: string; dueOn: string } | null;
}

/** A copy as a list shows it: without what is in it. */
export type CopyLine = Omit<CopyRow, 'plan' | 'parts'>;

const copyLines = (at: SchoolHandle) =>
  at
    .select({
      id: copy.id,
      tag: copy.tag,
      linkKey: copy.linkKey,
      kitId: copy.kitId,
      kitName: kit.name,
      daysOut: kit.daysOut,
      buildRunId: copy.buildRunId,
      builtOn: buildRun.builtOn,
      printedAt: copy.printedAt,
      readyAt: copy.readyAt,
      makingId: buildRun.makingId,
      finish: buildRun.finish,
      language: copy.language,
      moved: sql<boolean>`${copy.movedAt} is not null`,
      loan: {
        id: loan.id,
        familyId: loan.familyId,
        familyName: family.name,
        lentOn: loan.lentOn,
        dueOn: loan.dueOn,
      },
    })
    .from(copy)
    .innerJoin(kit, and(eq(kit.schoolId, copy.schoolId), eq(kit.id, copy.kitId)))
    .innerJoin(buildRun, and(eq(buildRun.schoolId, copy.schoolId), eq(buildRun.id, copy.buildRunId)))
    .leftJoin(loan, and(eq(loan.schoolId, copy.schoolId), eq(loan.copyId, copy.id), isNull(loan.closedAs)))
    .leftJoin(family, and(eq(family.schoolId, loan.schoolId), eq(family.id, loan.familyId)));

// A left join that finds nothing gives nulls in every column of the loan.
const asLine = (row: Awaited<ReturnType<typeof copyLines>>[number]): CopyLine => ({
  ...row,
  loan: row.loan?.id ? (row.loan as CopyRow['loan']) : null,
});

const BY_KIT = [asc(kit.name), desc(buildRun.builtOn), asc(copy.tag)] as const;

/** A page of the copies of a kit, the newest first, and how many there are. */
export async function pageOfCopies(
  at: SchoolHandle,
  kitId: string,
  first: number,
  most: number,
): Promise<{ copies: CopyLine[]; found: number }> {
  const which = and(ours(at, copy), eq(copy.kitId, kitId), isNull(copy.movedAt));
  const [rows, found] = await Promise.all([
    copyLines(at)
      .where(which)
      .orderBy(...BY_KIT)
      .offset(first)
      .limit(most),
    at.$count(copy, which),
  ]);
  return { copies: rows.map(asLine), found };
}

/** The tags of the copies that were built together. */
export const tagsOfRun = async (at: SchoolHandle, runId: string): Promise<string[]> =>
  (
    await at
      .select({ tag: copy.tag })
      .from(copy)
      .where(and(ours(at, copy), eq(copy.buildRunId, runId), isNull(copy.movedAt)))
      .orderBy(asc(copy.tag))
  ).map(({ tag }) => tag);

/** Which copies are meant: all, some, those built together, or those whose pack is not printed yet. */
export interface CopyFilter {
  kitId?: string;
  ids?: string[];
  runId?: string;
  unprinted?: boolean;
}
const meant = (at: SchoolHandle, { kitId, ids, runId, unprinted }: CopyFilter) =>
  and(
    ours(at, copy),
    isNull(copy.movedAt),
    kitId === undefined ? undefined : eq(copy.kitId, kitId),
    ids === undefined ? undefined : inArray(copy.id, ids),
    runId === undefined ? undefined : eq(copy.buildRunId, runId),
    unprinted ? isNull(copy.printedAt) : undefined,
  );

/** Copies as lists show them. */
export const copyList = async (at: SchoolHandle, which: CopyFilter, most: number): Promise<CopyLine[]> =>
  (
    await copyLines(at)
      .where(meant(at, which))
      .orderBy(...BY_KIT)
      .limit(most)
  ).map(asLine);

/** Copies with what is in them. What was built together is read once. */
export async function listCopies(
  at: SchoolHandle,
  which: CopyFilter = {},
  most = 10_000,
): Promise<CopyRow[]> {
  const lines = await copyList(at, which, most);
  const ids = [...new Set(lines.map((one) => one.buildRunId))];
  const runs = await plansOf(at, ids);
  return lines.map((one) => ({ ...one, ...runs.get(one.buildRunId)! }));
}

/** What copies of these build runs hold. */
export async function plansOf(
  at: SchoolHandle,
  runIds: readonly string[],
): Promise<Map<string, { plan: KitPlan; parts: KitPart[] }>> {
  if (runIds.length === 0) return new Map();
  const rows = await at
    .select({ id: buildRun.id, plan: buildRun.plan, parts: buildRun.parts })
    .from(buildRun)
    .where(and(ours(at, buildRun), inArray(buildRun.id, [...runIds])));
  return new Map(rows.map(({ id, plan, parts }) => [id, { plan: soundPlan(plan), parts }]));
}

export async function findCopy(
  at: SchoolHandle,
  by: { tag: string } | { id: string } | { linkKey: string },
): Promise<CopyRow | undefined> {
  const which =
    'id' in by
      ? eq(copy.id, by.id)
      : and(isNull(copy.movedAt), 'tag' in by ? eq(copy.tag, by.tag) : eq(copy.linkKey, by.linkKey));
  const [row] = await copyLines(at).where(and(ours(at, copy), which));
  if (!row) return undefined;
  const runs = await plansOf(at, [row.buildRunId]);
  return { ...asLine(row), ...runs.get(row.buildRunId)! };
}

/** The packs of these copies are printed; in this language beside English, where it is known. */
/**
 * Another square for the label of a copy: the old one opens nothing any more. It waits for its new label, and goes out
 * to nobody before. False where it has moved away.
 */
export const renewLinkKey = async (at: SchoolHandle, id: string, linkKey: string): Promise<boolean> =>
  (
    await at
      .update(copy)
      .set({ linkKey, printedAt: null })
      .where(and(ours(at, copy), eq(copy.id, id), isNull(copy.movedAt)))
      .returning({ id: copy.id })
  ).length > 0;

export async function markPrinted(at: SchoolHandle, ids: string[], language?: Language): Promise<void> {
  const before = await at
    .select({ copyId: copy.id })
    .from(copy)
    .where(and(ours(at, copy), inArray(copy.id, ids), isNotNull(copy.printedAt)));
  // What was printed before is printed again: its paper is new.
  if (before.length)
    await at.insert(copyCare).values(before.map((one) => ({ ...one, kind: 'reprinted' as const })));
  await at
    .update(copy)
    .set({ printedAt: sql`coalesce(${copy.printedAt}, now())`, ...(language ? { language } : {}) })
    .where(and(ours(at, copy), inArray(copy.id, ids)));
  await transaction(at, (tx) => fillHolds(tx, dayIn(tx.timeZone, new Date())));
}
