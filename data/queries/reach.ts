import { sql } from 'drizzle-orm';
import type { Language } from '~/core/words/languages';
import { db } from '../db';

export interface Reach {
  language: Language;
  /** Families that had a copy since the given day. */
  reached: number;
  /** Families that had none. */
  notYet: number;
}

/** Who was reached since a day, by home language. */
export async function reachSince(day: string): Promise<Reach[]> {
  const { rows } = await db().execute<{ language: Language; reached: number; notYet: number }>(sql`
    select f.language,
      count(*) filter (where l.has)::int as reached,
      count(*) filter (where not l.has)::int as "notYet"
    from family f
    cross join lateral (select exists (select 1 from loan where family_id = f.id and lent_on >= ${day} and closed_as is distinct from 'undone') as has) l
    where f.forgotten_at is null
    group by f.language
    order by count(*) desc, f.language`);
  return rows;
}

/** Loans since a day that have ended, and how many of them were answered. */
export async function answeredSince(day: string): Promise<{ ended: number; answered: number }> {
  const { rows } = await db().execute<{ ended: number; answered: number }>(sql`
    select count(*)::int as ended, count(*) filter (where exists (select 1 from answer a where a.loan_id = loan.id))::int as answered
    from loan where closed_as = 'returned' and lent_on >= ${day}`);
  return rows[0]!;
}
