/** What bags need beside their parts: what families told, what was found dirty or strange, cleaning, worn paper. */
import { and, eq, sql } from 'drizzle-orm';
import type { Finish } from '~/core/paper/sheet';
import { type SchoolHandle, transaction } from '../db';
import { unlessTaken } from '../trouble';
import { copyCare } from '../schema';
import { latestCounts, record } from './counts';
import { lockCopy } from './locks';
import { ours } from './ours';

export interface Report {
  answerId: string;
  copyId: string;
  tag: string;
  kitName: string;
  familyName: string;
  said: string;
  /** The bag is still with the family. */
  out: boolean;
}

/**
 * What families told to be missing or broken, the newest first, until somebody has settled it or the bag was counted
 * after it.
 */
export async function listReports(at: SchoolHandle, most = 100): Promise<Report[]> {
  const { rows } = await at.execute<Report & Record<string, unknown>>(sql`
    select a.id as "answerId", c.id as "copyId", c.tag, k.name as "kitName", f.name as "familyName", a.missing as said,
      l.closed_as is null as out
    from answer a
    join loan l on l.school_id = a.school_id and l.id = a.loan_id
    join copy c on c.school_id = l.school_id and c.id = l.copy_id and c.moved_at is null
    join kit k on k.school_id = c.school_id and k.id = c.kit_id
    join family f on f.school_id = l.school_id and f.id = l.family_id
    where a.school_id = ${at.schoolId} and btrim(a.missing) <> ''
      and not exists (select from copy_care s where s.school_id = a.school_id and s.settles = a.id)
      and not exists (select from part_count p where p.school_id = c.school_id and p.copy_id = c.id
        and p.cause in ('return', 'mend') and p.at > a.sent_at)
    order by a.sent_at desc
    limit ${most}`);
  return rows;
}

export interface Found {
  id: string;
  copyId: string;
  tag: string;
  kitName: string;
  kind: 'dirty' | 'foreign';
  note: string;
}

/** What was found at a return and nobody has settled yet. */
export async function listFound(at: SchoolHandle, most = 100): Promise<Found[]> {
  const { rows } = await at.execute<Found & Record<string, unknown>>(sql`
    select n.id, n.copy_id as "copyId", c.tag, k.name as "kitName", n.kind, n.note
    from copy_care n
    join copy c on c.school_id = n.school_id and c.id = n.copy_id and c.moved_at is null
    join kit k on k.school_id = c.school_id and k.id = c.kit_id
    where n.school_id = ${at.schoolId} and n.kind in ('dirty', 'foreign')
      and not exists (select from copy_care s where s.school_id = n.school_id and s.settles = n.id)
    order by n.at
    limit ${most}`);
  return rows;
}

export interface Used {
  copyId: string;
  tag: string;
  kitName: string;
  finish: Finish;
  buildRunId: string;
  /** Loans that came home since it was cleaned, and since its paper was printed. */
  sinceCleaned: number;
  sincePrinted: number;
}

/** Copies at school that came home so often since they were cleaned or printed. */
export async function listUsed(
  at: SchoolHandle,
  { cleanAfter, plainLoans, durableLoans }: { cleanAfter: number; plainLoans: number; durableLoans: number },
  most = 200,
): Promise<Used[]> {
  const { rows } = await at.execute<Used & Record<string, unknown>>(sql`
    with done as (
      select copy_id, max(at) filter (where kind = 'cleaned') as cleaned, max(at) filter (where kind = 'reprinted') as printed
      from copy_care where school_id = ${at.schoolId} and kind in ('cleaned', 'reprinted') group by copy_id)
    select * from (
      select c.id as "copyId", c.tag, k.name as "kitName", b.finish, b.id as "buildRunId",
        count(distinct l.id) filter (where e.at > coalesce(d.cleaned, '-infinity'))::int as "sinceCleaned",
        count(distinct l.id) filter (where e.at > coalesce(d.printed, '-infinity'))::int as "sincePrinted"
      from copy c
      join kit k on k.school_id = c.school_id and k.id = c.kit_id
      join build_run b on b.school_id = c.school_id and b.id = c.build_run_id
      join loan l on l.school_id = c.school_id and l.copy_id = c.id and l.closed_as = 'returned'
      join loan_event e on e.school_id = l.school_id and e.loan_id = l.id and e.kind = 'returned'
      left join done d on d.copy_id = c.id
      where c.school_id = ${at.schoolId} and c.moved_at is null
        and not exists (select from loan o where o.school_id = c.school_id and o.copy_id = c.id and o.closed_as is null)
      group by c.school_id, c.id, c.tag, k.name, b.finish, b.id) used
    where "sinceCleaned" >= ${cleanAfter}
      or "sincePrinted" >= case finish when 'durable' then ${durableLoans}::int else ${plainLoans}::int end
    order by "sinceCleaned" desc, tag
    limit ${most}`);
  return rows;
}

/** Writes down what was found, or what was done about it. False when it was settled already. */
export const writeCare = async (
  at: SchoolHandle,
  entry: Pick<typeof copyCare.$inferInsert, 'copyId' | 'kind' | 'note' | 'settles' | 'personId'>,
): Promise<string | undefined> =>
  unlessTaken(
    'copy_care_settles_once',
    async () => (await at.insert(copyCare).values(entry).returning({ id: copyCare.id }))[0]!.id,
  );

/** Takes back what was written down last about a bag. */
export const undoCare = async (at: SchoolHandle, id: string): Promise<boolean> =>
  (
    await at
      .delete(copyCare)
      .where(and(ours(at, copyCare), eq(copyCare.id, id)))
      .returning({ id: copyCare.id })
  ).length > 0;

/**
 * Puts what one copy lacks into it from another: both are written down as counted so, and can be taken back like any
 * mending. False, and nothing is changed, when the other has not got all of it any more.
 */
export function makeWhole(
  at: SchoolHandle,
  {
    fromId,
    intoId,
    parts,
  }: { fromId: string; intoId: string; parts: readonly { material: string; quantity: number }[] },
  personId: string,
): Promise<boolean> {
  return transaction(at, async (tx) => {
    for (const id of [fromId, intoId].sort()) if (!(await lockCopy(tx, id))) return false;
    const [from, into] = [await latestCounts(tx, fromId), await latestCounts(tx, intoId)];
    const short = into.filter(({ counted, expected, lacks }) => counted < expected || lacks?.length);
    if (short.length === 0) return false;
    const after = [];
    for (const one of short) {
      const given = one.expected - one.counted;
      const quantity = parts.find(({ material }) => material === one.material)?.quantity ?? 0;
      const has = from.find(({ material }) => material === one.material) ?? {
        material: one.material,
        expected: quantity,
        counted: quantity,
        lacks: [] as string[],
      };
      const lacks = has.lacks ?? [];
      if (
        has.counted < given ||
        (given > 0 && lacks.length > 0) ||
        one.lacks?.some((card) => lacks.includes(card)) ||
        (one.lacks?.length && has.counted === 0)
      )
        return false;
      after.push({
        ...has,
        counted: has.counted - Math.max(0, given),
        lacks: [...lacks, ...(one.lacks ?? [])],
      });
    }
    await record(tx, fromId, 'mend', after, personId, null);
    await record(
      tx,
      intoId,
      'mend',
      short.map((one) => ({ ...one, counted: Math.max(one.counted, one.expected), lacks: [] })),
      personId,
      null,
    );
    return true;
  });
}
