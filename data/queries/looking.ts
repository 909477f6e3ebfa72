/** What looking back is reckoned from, for a span of days. */
import { sql, type SQL } from 'drizzle-orm';
import type { FamilyFact } from '~/core/looking/reached';
import type { Losses } from '~/core/looking/worn';
import type { KitUse } from '~/core/looking/copies';
import type { Level } from '~/core/pack/questions';
import type { SchoolHandle } from '../db';

/** Days, both ends among them. */
export interface Span {
  from: string;
  to: string;
}
const all = async <T>(at: SchoolHandle, query: SQL): Promise<T[]> => (await at.execute(query)).rows as T[];

/** Each family that was known by the end of the span and was not forgotten, with its loans in it. */
export async function familyFacts(
  at: SchoolHandle,
  { from, to }: Span,
): Promise<(FamilyFact & { id: string; name: string; lastOn: string | null })[]> {
  const rows = await all<
    Omit<FamilyFact, 'lent' | 'answered'> & { id: string; name: string; lastOn: string | null }
  >(
    at,
    sql`
    with lent as (
      select * from loan where school_id = ${at.schoolId} and closed_as is distinct from 'undone'),
    ever as (
      select family_id, min(lent_on) as first, max(lent_on) as last from lent group by family_id),
    monthly as (
      select l.family_id, to_char(l.lent_on, 'YYYY-MM') as month, count(*)::int as lent,
        count(*) filter (where exists (select from answer a where a.school_id = ${at.schoolId} and a.loan_id = l.id))::int as answered
      from lent l where l.lent_on between ${from} and ${to} group by 1, 2),
    of_family as (
      select family_id, json_agg(json_build_object('month', month, 'lent', lent, 'answered', answered) order by month) as months
      from monthly group by family_id),
    known as (
      select f.*, e.last, least((f.created_at at time zone ${at.timeZone})::date, e.first) as known_on
      from family f left join ever e on e.family_id = f.id
      where f.school_id = ${at.schoolId} and f.forgotten_at is null)
    select k.id, k.name, k.language, k.children, k."group", k.known_on as "knownOn", k.last as "lastOn",
      coalesce(m.months, '[]') as months
    from known k left join of_family m on m.family_id = k.id
    where k.known_on <= ${to}
    order by k.search_name`,
  );
  return rows.map((row) => ({
    ...row,
    lent: row.months.reduce((sum, { lent }) => sum + lent, 0),
    answered: row.months.reduce((sum, { answered }) => sum + answered, 0),
  }));
}

/** How many loans of a span are of families that were forgotten since: they are missing among the families. */
export const forgottenLoans = async (at: SchoolHandle, { from, to }: Span): Promise<number> => {
  const [row] = await all<{ n: number }>(
    at,
    sql`select count(*)::int as n from loan l join family f on f.school_id = l.school_id and f.id = l.family_id
      where l.school_id = ${at.schoolId} and l.lent_on between ${from} and ${to} and l.closed_as is distinct from 'undone' and f.forgotten_at is not null`,
  );
  return row!.n;
};

/** What was lost of each part in the bags of each kit, over the loans that came home in a span. */
export const losses = (at: SchoolHandle, { from, to }: Span): Promise<Losses[]> =>
  all(
    at,
    sql`
    with home as (
      select id, copy_id from loan
      where school_id = ${at.schoolId} and closed_as = 'returned' and returned_on between ${from} and ${to}),
    last as (
      select distinct on (p.loan_id, p.material) p.loan_id, p.copy_id, p.material, p.expected, p.counted, cardinality(p.lacks) as lacks, p.serial
      from part_count p join home h on h.id = p.loan_id
      where p.school_id = ${at.schoolId} and p.cause = 'return'
      order by p.loan_id, p.material, p.serial desc),
    each as (
    select c.kit_id, last.material, last.loan_id, last.expected,
      -- What it lacked before it went out was not lost again. A deck with cards missing is exchanged as a whole.
      (case when counted < expected or lacks > 0
        then greatest(greatest(0, least(coalesce(before.had, expected), expected) - counted), (lacks > coalesce(before.lacked, 0))::int)
        else 0 end)::int as lost
    from last
    -- Only of what lacks something it is asked how it was before.
    left join lateral (
      select b.counted as had, cardinality(b.lacks) as lacked from part_count b
      where (last.counted < last.expected or last.lacks > 0)
        and b.school_id = ${at.schoolId} and b.copy_id = last.copy_id and b.material = last.material and b.serial < last.serial
      order by b.serial desc limit 1) before on true
    join copy c on c.school_id = ${at.schoolId} and c.id = last.copy_id)
    select kit_id as "kitId", material, sum(lost)::int as lost, count(*)::int as loans, max(expected)::int as "inBag",
      coalesce(json_agg(json_build_object('loan', loan_id, 'lost', lost)) filter (where lost > 0), '[]') as each
    from each group by kit_id, material`,
  );

/** How many pieces of each part lie in all bags of a school. */
export const inBags = async (at: SchoolHandle): Promise<Readonly<Record<string, number>>> => {
  const rows = await all<{ material: string; quantity: number }>(
    at,
    sql`select part.material, sum(part.quantity)::float8 as quantity
      from copy c join build_run b on b.school_id = c.school_id and b.id = c.build_run_id
      cross join lateral jsonb_to_recordset(b.parts) part(material text, quantity numeric)
      where c.school_id = ${at.schoolId} and c.moved_at is null and c.ready_at is not null
      group by part.material`,
  );
  return Object.fromEntries(rows.map(({ material, quantity }) => [material, quantity]));
};

/** Loans that were returned in a span. */
export const loansReturned = async (at: SchoolHandle, { from, to }: Span): Promise<number> => {
  const [row] = await all<{ n: number }>(
    at,
    sql`select count(*)::int as n from loan where school_id = ${at.schoolId} and closed_as = 'returned' and returned_on between ${from} and ${to}`,
  );
  return row!.n;
};

/**
 * What each kit with bags was asked for in a span, how long its bags were away or have been so far, and how many families
 * have not had it.
 */
export const kitUses = (
  at: SchoolHandle,
  { from, to }: Span,
  today: string,
): Promise<(Omit<KitUse, 'weeks'> & { loans: number })[]> =>
  all(
    at,
    sql`
    select k.id as "kitId", k.name,
      (select count(*)::int from copy c where c.school_id = ${at.schoolId} and c.kit_id = k.id and c.moved_at is null and c.ready_at is not null) as copies,
      coalesce(u.loans, 0)::int as loans,
      coalesce(u.away, '[]') as away,
      coalesce(u.days, 0)::int as "lendingDays",
      (select count(*)::int from family f where f.school_id = ${at.schoolId} and f.forgotten_at is null and not exists (
        select from loan l join copy c on c.school_id = l.school_id and c.id = l.copy_id
        where l.school_id = ${at.schoolId} and l.family_id = f.id and c.kit_id = k.id and l.closed_as is distinct from 'undone')) as fresh,
      (coalesce(u.loans, 0) + (select count(*) from hold h where h.school_id = ${at.schoolId} and h.kit_id = k.id and h.loan_id is null
        and (h.asked_at at time zone ${at.timeZone})::date between ${from} and ${to}))::int as asks
    from kit k
    left join (
      select c.kit_id, count(*) as loans, count(distinct l.lent_on) as days,
        json_agg(json_build_object('days', greatest(1, coalesce(l.returned_on, ${today}::date) - l.lent_on), 'home', l.closed_as = 'returned')) as away
      from loan l join copy c on c.school_id = l.school_id and c.id = l.copy_id
      where l.school_id = ${at.schoolId} and l.closed_as is distinct from 'undone' and l.lent_on between ${from} and ${to}
      group by c.kit_id) u on u.kit_id = k.id
    where k.school_id = ${at.schoolId} and exists (select from copy c where c.school_id = ${at.schoolId} and c.kit_id = k.id and c.moved_at is null and c.ready_at is not null)
    order by k.name`,
  );

/** Of each answered loan of a span how often and how long was played, kit by kit. */
export const timesPlayed = (
  at: SchoolHandle,
  { from, to }: Span,
): Promise<{ kitId: string; familyId: string; times: number | null; minutes: number | null }[]> =>
  all(
    at,
    sql`
    select c.kit_id as "kitId", l.family_id as "familyId", max(coalesce(a.times, g.times))::int as times, max(coalesce(a.minutes, g.minutes))::int as minutes
    from answer a
    join loan l on l.school_id = a.school_id and l.id = a.loan_id and l.lent_on between ${from} and ${to}
    join copy c on c.school_id = l.school_id and c.id = l.copy_id
    left join (select answer_id, sum(times) as times, round(avg(minutes)) as minutes from answer_game where school_id = ${at.schoolId} group by answer_id) g on g.answer_id = a.id
    where a.school_id = ${at.schoolId}
    group by c.kit_id, l.family_id, l.id`,
  );

/** Words on games in a span, with the kit and the children of the family. */
export const wordsSaid = (
  at: SchoolHandle,
  { from, to }: Span,
): Promise<{ kitId: string; familyId: string; said: Level; children: string; child: string }[]> =>
  all(
    at,
    sql`
    select c.kit_id as "kitId", f.id as "familyId", g.said, f.children, g.child
    from answer_game g
    join answer a on a.school_id = g.school_id and a.id = g.answer_id
    join loan l on l.school_id = a.school_id and l.id = a.loan_id and l.lent_on between ${from} and ${to}
    join family f on f.school_id = l.school_id and f.id = l.family_id
    join copy c on c.school_id = l.school_id and c.id = l.copy_id
    where g.school_id = ${at.schoolId} and g.said is not null`,
  );
