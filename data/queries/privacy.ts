/** How long families are kept, who looked at what about them, and all that is known of one. */
import { and, desc, eq, isNull, sql, type SQL } from 'drizzle-orm';
import type { Said } from '~/core/listening/level';
import type { Look } from '~/core/people/looks';
import { type SchoolHandle, transaction } from '../db';
import { family, familyLook, keepingRule, person } from '../schema';
import { log } from './changes';
import { ours } from './ours';

/** For how many months after the last loan families are kept; null where nobody has said. */
export async function keepingMonths(at: SchoolHandle): Promise<{ months: number | null; version: number }> {
  const [row] = await at.select().from(keepingRule).where(ours(at, keepingRule));
  return { months: row?.months ?? null, version: row?.version ?? 1 };
}

export const saveKeeping = (at: SchoolHandle, months: number | null, personId: string): Promise<void> =>
  transaction(at, async (tx) => {
    const before = await keepingMonths(tx);
    await tx
      .insert(keepingRule)
      .values({ months })
      .onConflictDoUpdate({
        target: keepingRule.schoolId,
        set: { months, version: sql`${keepingRule.version} + 1` },
      });
    await log(tx, {
      thing: 'lending',
      thingId: 'keeping',
      kind: 'changed',
      before: { keepingMonths: before.months },
      after: { keepingMonths: months },
      personId,
    });
  });

/** Families whose last loan ended, or that were entered without one, before a day; those with a bag at home are not among them. */
export const familiesPast = async (
  at: SchoolHandle,
  before: string,
): Promise<{ id: string; name: string; lastOn: string | null; enteredOn: string }[]> => {
  const { rows } = await at.execute<{
    id: string;
    name: string;
    lastOn: string | null;
    enteredOn: string;
  }>(sql`
    select f.id, f.name, l.last as "lastOn", (f.created_at at time zone ${at.timeZone})::date as "enteredOn"
    from family f
    left join lateral (
      select max(coalesce(returned_on, lent_on)) as last, bool_or(closed_as is null) as out
      from loan where school_id = ${at.schoolId} and family_id = f.id and closed_as is distinct from 'undone') l on true
    where f.school_id = ${at.schoolId} and f.forgotten_at is null and l.out is not true
      and coalesce(l.last, (f.created_at at time zone ${at.timeZone})::date) < ${before}
    order by coalesce(l.last, (f.created_at at time zone ${at.timeZone})::date), f.search_name
    limit 500`);
  return rows;
};

/** Notes that somebody looked; within an hour the same look is one. */
export const noteLook = async (
  at: SchoolHandle,
  familyId: string,
  personId: string,
  what: Look,
): Promise<void> => {
  await at.execute(sql`
    insert into family_look (school_id, family_id, person_id, what)
    select ${at.schoolId}, ${familyId}, ${personId}, ${what}
    where not exists (select from family_look where school_id = ${at.schoolId} and family_id = ${familyId}
      and person_id = ${personId} and what = ${what} and at > now() - interval '1 hour')
    on conflict do nothing`);
};

/** Who looked at what about a family, the newest first. */
export const looksAt = (
  at: SchoolHandle,
  familyId: string,
  most = 20,
): Promise<{ by: string; what: Look; at: Date }[]> =>
  at
    .select({ by: person.name, what: familyLook.what, at: familyLook.at })
    .from(familyLook)
    .innerJoin(person, eq(person.id, familyLook.personId))
    .where(and(ours(at, familyLook), eq(familyLook.familyId, familyId)))
    .orderBy(desc(familyLook.at))
    .limit(most);

/** Looks of more than a year ago are of no use to anybody. */
export const dropOldLooks = async (at: SchoolHandle): Promise<void> => {
  await at
    .delete(familyLook)
    .where(and(ours(at, familyLook), sql`${familyLook.at} < now() - interval '1 year'`));
};

/** A moment as every reader of JSON knows it. */
const moment = (column: string): SQL =>
  sql.raw(`to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')`);

/** Everything that is kept of a family, as rows: for a file in plain words. */
export async function knownOf(at: SchoolHandle, familyId: string) {
  const all = async <T>(query: SQL): Promise<T[]> => (await at.execute(query)).rows as T[];
  const [one] = await at
    .select()
    .from(family)
    .where(and(ours(at, family), eq(family.id, familyId), isNull(family.forgottenAt)));
  if (!one) return undefined;
  const loans = await all<{
    id: string;
    tag: string;
    kit: string;
    lentOn: string;
    dueOn: string;
    returnedOn: string | null;
    closedAs: string | null;
  }>(sql`select l.id, c.tag, k.name as kit, l.lent_on as "lentOn", l.due_on as "dueOn", l.returned_on as "returnedOn", l.closed_as as "closedAs"
    from loan l join copy c on c.school_id = l.school_id and c.id = l.copy_id join kit k on k.school_id = c.school_id and k.id = c.kit_id
    where l.school_id = ${at.schoolId} and l.family_id = ${familyId} order by l.lent_on, l.created_at`);
  const events = await all<{ kind: string; note: string; at: string; tag: string }>(sql`
    select e.kind, e.note, ${moment('e.at')} as at, c.tag from loan_event e join loan l on l.school_id = e.school_id and l.id = e.loan_id
    join copy c on c.school_id = l.school_id and c.id = l.copy_id
    where e.school_id = ${at.schoolId} and l.family_id = ${familyId} order by e.serial`);
  const holds = await all<{ kit: string; askedAt: string; closedAs: string | null }>(sql`
    select k.name as kit, ${moment('h.asked_at')} as "askedAt", h.closed_as as "closedAs" from hold h join kit k on k.school_id = h.school_id and k.id = h.kit_id
    where h.school_id = ${at.schoolId} and h.family_id = ${familyId} order by h.serial`);
  const messages = await all<{
    onDay: string;
    kind: string;
    state: string;
    text: string;
    answered: string | null;
  }>(sql`
    select on_day as "onDay", kind, state, text, answered from message where school_id = ${at.schoolId} and family_id = ${familyId} order by created_at`);
  const texts = await all<{ receivedAt: string; reach: string; text: string; state: string }>(sql`
    select ${moment('received_at')} as "receivedAt", reach, text, state from text_reply where school_id = ${at.schoolId} and family_id = ${familyId} order by received_at`);
  const came = await all<{ name: string; onDay: string }>(sql`
    select g.name, g.on_day as "onDay" from attendance a join gathering g on g.school_id = a.school_id and g.id = a.gathering_id
    where a.school_id = ${at.schoolId} and a.family_id = ${familyId} order by g.on_day`);
  const tables = await all<{ table: string; game: string; said: Said; at: string }>(sql`
    select table_name as "table", game->>'name' as game, said, ${moment('at')} as at from table_tap
    where school_id = ${at.schoolId} and family_id = ${familyId} order by at`);
  const promises = await all<{ name: string; onDay: string; tag: string; why: string }>(sql`
    select r.name, r.on_day as "onDay", c.tag, p.why from promise p join round r on r.school_id = p.school_id and r.id = p.round_id
    join copy c on c.school_id = p.school_id and c.id = p.copy_id where p.school_id = ${at.schoolId} and p.family_id = ${familyId} order by r.on_day`);
  const pictures = await all<{ createdAt: string; goesOn: string }>(sql`
    select ${moment('p.created_at')} as "createdAt", p.goes_on as "goesOn" from work_picture p join answer a on a.school_id = p.school_id and a.id = p.answer_id
    join loan l on l.school_id = a.school_id and l.id = a.loan_id where p.school_id = ${at.schoolId} and l.family_id = ${familyId} order by p.created_at`);
  return { family: one, loans, events, holds, messages, texts, came, tables, promises, pictures };
}
export type Known = NonNullable<Awaited<ReturnType<typeof knownOf>>>;
