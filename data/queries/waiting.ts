/** What waits at each station, for the leaves of the frond. */
import { sql } from 'drizzle-orm';
import { db } from '../db';
import { listShortages } from './counts';
import { uncheckedLines } from './words';

export interface Waiting {
  /** Saved variants that are in no kit yet. */
  choose: number;
  /** Kits of which no copy was built. */
  fill: number;
  /** Lines that no fluent reader has checked. */
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

export async function waiting(today: string): Promise<Waiting> {
  const { rows } = await db().execute<
    Record<'choose' | 'fill' | 'print' | 'takeBack' | 'listen', number>
  >(sql`
    select
      (select count(*)::int from variant v where v.archived_at is null and not exists (select 1 from kit_variant kv where kv.variant_id = v.id)) as choose,
      (select count(*)::int from kit k where not exists (select 1 from copy c where c.kit_id = k.id)) as fill,
      (select count(*)::int from copy where printed_at is null) as print,
      (select count(*)::int from loan where closed_as is null and due_on <= ${today}) as "takeBack",
      (select count(*)::int from answer where read_at is null) as listen
  `);
  const ready = await db().execute<{ id: string }>(sql`
    select c.id from copy c where c.printed_at is not null and not exists (select 1 from loan l where l.copy_id = c.id and l.closed_as is null)`);
  const short = new Set((await listShortages()).map((one) => one.copyId));
  const word = (await uncheckedLines()).reduce((total, one) => total + one.unchecked, 0);
  return {
    ...rows[0]!,
    word,
    lend: ready.rows.filter((row) => !short.has(row.id)).length,
    lookBack: short.size,
  };
}
