import { sql } from 'drizzle-orm';
import type { Language } from '~/core/words/languages';
import { type SchoolHandle } from '../db';

export interface Reach {
  language: Language;
  /** Families that had a copy since the given day. */
  reached: number;
  /** Families that had none. */
  notYet: number;
}

/** Who was reached since a day, by home language. */
export async function reachSince(at: SchoolHandle, day: string): Promise<Reach[]> {
  const { rows } = await at.execute<{ language: Language; reached: number; notYet: number }>(sql`
    select f.language,
      count(*) filter (where l.family_id is not null)::int as reached,
      count(*) filter (where l.family_id is null)::int as "notYet"
    from family f
    left join (
      select distinct family_id from loan
      where school_id = ${at.schoolId} and lent_on >= ${day} and closed_as is distinct from 'undone') l on l.family_id = f.id
    where f.school_id = ${at.schoolId} and f.forgotten_at is null
    group by f.language
    order by count(*) desc, f.language`);
  return rows;
}

/** Loans since a day that have ended, and how many of them were answered. */
export async function answeredSince(
  at: SchoolHandle,
  day: string,
): Promise<{ ended: number; answered: number }> {
  const { rows } = await at.execute<{ ended: number; answered: number }>(sql`
    select count(*)::int as ended, count(a.loan_id)::int as answered
    from loan l
    left join (select distinct loan_id from answer where school_id = ${at.schoolId}) a on a.loan_id = l.id
    where l.school_id = ${at.schoolId} and l.closed_as = 'returned' and l.lent_on >= ${day}`);
  return rows[0]!;
}
