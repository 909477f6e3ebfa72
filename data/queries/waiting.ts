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
  const [counted, shortages, unchecked] = await Promise.all([
    db().execute<Record<'choose' | 'fill' | 'print' | 'takeBack' | 'listen' | 'ready', number>>(sql`
      select
        (select count(*)::int from variant v where v.archived_at is null and not exists (select 1 from kit_variant kv where kv.variant_id = v.id)) as choose,
        (select count(*)::int from kit k where not exists (select 1 from copy c where c.kit_id = k.id)) as fill,
        (select count(*)::int from copy where printed_at is null) as print,
        (select count(*)::int from loan where closed_as is null and due_on <= ${today}) as "takeBack",
        (select count(*)::int from answer where read_at is null) as listen,
        (select count(*)::int from copy c where c.printed_at is not null and not exists (select 1 from loan l where l.copy_id = c.id and l.closed_as is null)) as ready`),
    listShortages(),
    uncheckedLines(),
  ]);
  const { ready, ...rest } = counted.rows[0]!;
  const short = [...new Set(shortages.map((one) => one.copyId))];
  return {
    ...rest,
    word: unchecked.reduce((total, one) => total + one.unchecked, 0),
    lend: ready - (await readyAmong(short)),
    lookBack: short.length,
  };
}

/** How many of these copies are printed and at school. */
async function readyAmong(ids: readonly string[]): Promise<number> {
  if (ids.length === 0) return 0;
  const { rows } = await db().execute<{ count: number }>(sql`
    select count(*)::int as count from copy c
    where c.id = any(${sql.param([...ids])}::uuid[]) and c.printed_at is not null
      and not exists (select 1 from loan l where l.copy_id = c.id and l.closed_as is null)`);
  return rows[0]!.count;
}
