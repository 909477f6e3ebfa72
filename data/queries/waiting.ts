/** What waits at each station, for the leaves of the frond. */
import { sql } from 'drizzle-orm';
import { type SchoolHandle } from '../db';
import type { CopiesNow } from './desk';
import { needsAt } from './needs';

export interface Waiting {
  /** Saved variants that are in no kit yet. */
  choose: number;
  /** Kits of which no copy was built, and build runs to go on with. */
  fill: number;
  /** Kits with copies that are not sound in a language of families. */
  word: number;
  /** Copies whose pack was not printed. */
  print: number;
  /** Copies at school, printed and complete: ready to be lent. */
  lend: number;
  /** Copies that are due today or overdue. */
  takeBack: number;
  /** Answers nobody has read. */
  listen: number;
  /** Copies that lack parts. */
  lookBack: number;
}

export async function waiting(at: SchoolHandle, copies: CopiesNow): Promise<Waiting> {
  const [counted, needs] = await Promise.all([
    at.execute<Record<'choose' | 'fill' | 'listen', number>>(sql`
      select
        (select count(*)::int from variant v where v.school_id = ${at.schoolId} and v.archived_at is null and not exists (select 1 from kit_variant kv where kv.school_id = ${at.schoolId} and kv.variant_id = v.id)) as choose,
        (select count(*)::int from kit k where k.school_id = ${at.schoolId} and not exists (select 1 from copy c where c.school_id = ${at.schoolId} and c.kit_id = k.id and c.moved_at is null)) + (select count(*)::int from making m where m.school_id = ${at.schoolId} and m.ended_at is null) as fill,
        (select count(*)::int from answer where school_id = ${at.schoolId} and read_at is null) as listen`),
    needsAt(at),
  ]);
  return {
    ...counted.rows[0]!,
    word: needs.length,
    print: copies.unprinted,
    lend: copies.ready,
    takeBack: copies.overdue + copies.dueToday,
    lookBack: copies.short,
  };
}
