/** What was counted of the parts of a copy, and what it lacks. */
import { and, desc, eq, lt, sql } from 'drizzle-orm';
import { type SchoolHandle, transaction } from '../db';
import { partCount } from '../schema';
import { ours } from './ours';
import { ever } from './short';
import { dayIn } from '~/core/lending/due';
import { fillHolds, letGo } from './holds';
import { lockCopy } from './locks';
import { moveAll, undoMovesFor } from './store';

export interface Count {
  material: string;
  expected: number;
  counted: number;
  /** Of a deck: the cards it lacks. */
  lacks?: string[];
}

/** Enters counts of a copy. */
export async function record(
  tx: SchoolHandle,
  copyId: string,
  cause: (typeof partCount.$inferInsert)['cause'],
  counts: Count[],
  personId: string | null,
  loanId: string | null,
): Promise<void> {
  if (counts.length)
    await tx.insert(partCount).values(counts.map((count) => ({ copyId, loanId, cause, personId, ...count })));
}

/** Enters, for some counts of a copy, what was counted before the first of them. */
export async function takeBackCounts(
  tx: SchoolHandle,
  copyId: string,
  entries: readonly (Count & { serial: number })[],
  personId: string,
): Promise<void> {
  const before = await latestCounts(tx, copyId, Math.min(...entries.map((entry) => entry.serial)));
  const undone = entries.map(({ material, expected }) => {
    const was = before.find((one) => one.material === material);
    return { material, expected, counted: was?.counted ?? expected, lacks: was?.lacks ?? [] };
  });
  await record(tx, copyId, 'undone', undone, personId, null);
}

/** The latest count of every part of a copy; with `before`, as it stood before the entry of that serial. */
export async function latestCounts(tx: SchoolHandle, copyId: string, before?: number): Promise<Count[]> {
  return tx
    .selectDistinctOn([partCount.material], {
      material: partCount.material,
      expected: partCount.expected,
      counted: partCount.counted,
      lacks: partCount.lacks,
    })
    .from(partCount)
    .where(
      and(
        ours(tx, partCount),
        eq(partCount.copyId, copyId),
        before === undefined ? undefined : lt(partCount.serial, before),
      ),
    )
    .orderBy(partCount.material, desc(partCount.serial));
}

export interface Shortage extends Count {
  copyId: string;
  tag: string;
  kitName: string;
}

/**
 * Parts that copies lack now, by their latest counts; of one copy, or of so many copies by tag. Only what was ever
 * short is looked at again, so that the many complete counts of the years are not read.
 */
export async function listShortages(
  at: SchoolHandle,
  copyId?: string,
  page: { first: number; most: number } = { first: 0, most: 10_000 },
): Promise<Shortage[]> {
  const { rows } = await at.execute<Shortage & Record<string, unknown>>(sql`
    select "copyId", tag, "kitName", material, expected, counted, lacks
    from (
      select c.id as "copyId", c.tag, k.name as "kitName", last.material, last.expected, last.counted, last.lacks,
        dense_rank() over (order by c.tag) as nth
      from ${ever(at, copyId)}
      join copy c on c.school_id = ${at.schoolId} and c.id = ever.copy_id and c.moved_at is null
      join kit k on k.school_id = ${at.schoolId} and k.id = c.kit_id
      where last.counted < last.expected or last.lacks <> '{}') each
    where nth > ${page.first} and nth <= ${page.first + page.most}
    order by tag, material`);
  return rows;
}

/** The store has not got what a copy lacks, so nothing was changed: the transaction is given up. */
class StoreLacks extends Error {}

/**
 * Records that the missing parts of a copy were put back; from the store when it is said so, as moves of its ledger.
 * Answers how many kinds of parts, or undefined when the store has not got them (nothing is changed then).
 */
export async function mend(
  at: SchoolHandle,
  copyId: string,
  personId: string,
  fromStore = false,
): Promise<number | undefined> {
  try {
    return await mendIn(at, copyId, personId, fromStore);
  } catch (error) {
    if (error instanceof StoreLacks) return undefined;
    throw error;
  }
}

function mendIn(at: SchoolHandle, copyId: string, personId: string, fromStore: boolean): Promise<number> {
  return transaction(at, async (tx) => {
    await lockCopy(tx, copyId);
    const short = (await latestCounts(tx, copyId)).filter(
      (one) => one.counted < one.expected || one.lacks?.length,
    );
    await record(
      tx,
      copyId,
      'mend',
      short.map((one) => ({ ...one, counted: Math.max(one.counted, one.expected), lacks: [] })),
      personId,
      null,
    );
    if (fromStore) {
      const moved = await moveAll(
        tx,
        short.map(({ material, expected, counted, lacks }) => ({
          material,
          kind: 'mended',
          // A deck with cards missing is exchanged for a whole one.
          quantity: -Math.max(expected - counted, lacks?.length ? 1 : 0),
          forId: copyId,
        })),
        personId,
      );
      if (!moved.ok) throw new StoreLacks();
    }
    await fillHolds(tx, dayIn(tx.timeZone, new Date()));
    return short.length;
  });
}

/** Takes back the last mending of a copy. Answers false when something was counted since, or nothing was mended. */
export function undoMend(at: SchoolHandle, copyId: string, personId: string): Promise<boolean> {
  return transaction(at, async (tx) => {
    await lockCopy(tx, copyId);
    const counts = await tx
      .select()
      .from(partCount)
      .where(and(ours(tx, partCount), eq(partCount.copyId, copyId)))
      .orderBy(desc(partCount.serial));
    const last = counts[0];
    if (last?.cause !== 'mend') return false;
    // Entries of one transaction carry the same instant.
    const entries = counts.filter(
      (entry) => entry.cause === 'mend' && entry.at.getTime() === last.at.getTime(),
    );
    await takeBackCounts(tx, copyId, entries, personId);
    await letGo(tx, copyId);
    // What came from the store for it goes back there.
    await undoMovesFor(tx, copyId, 'mended', personId, last.at);
    return true;
  });
}
