/** What the desk in the hall knows, and what was done at it. */
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { HallAct, HallBag, Heard } from '~/core/lending/hall';
import { type SchoolHandle } from '../db';
import { hallAct, person } from '../schema';
import { ours } from './ours';

/** Bags that are made, with the card of whoever has each or is meant to get it; an empty text for a family without a card. */
export async function hallBags(at: SchoolHandle): Promise<HallBag[]> {
  const { rows } = await at.execute<HallBag & Record<string, unknown>>(sql`
    select c.tag, c.link_key as "linkKey", k.id as "kitId", k.name as "kitName",
      case when l.id is not null then coalesce(f.card, '') end as with,
      l.arrived_on is not null as arrived,
      case when m.id is not null then coalesce(m.card, '') end as "meantFor"
    from copy c
    join kit k on k.school_id = c.school_id and k.id = c.kit_id
    left join loan l on l.school_id = c.school_id and l.copy_id = c.id and l.closed_as is null
    left join family f on f.school_id = c.school_id and f.id = l.family_id
    left join lateral (
      select w.id, w.card from family w
      where w.school_id = c.school_id and w.id in (
        select h.family_id from hold h where h.school_id = c.school_id and h.copy_id = c.id and h.closed_as is null
        union select p.family_id from promise p where p.school_id = c.school_id and p.copy_id = c.id and p.ended_at is null)
      limit 1) m on true
    where c.school_id = ${at.schoolId} and c.moved_at is null and c.ready_at is not null
    order by c.tag`);
  return rows;
}

export interface HallFamilyRow {
  id: string;
  card: string;
  name: string;
  underThree: boolean;
  allergens: string;
  out: string[];
}
/** Families with a card. */
export async function hallFamilies(at: SchoolHandle): Promise<HallFamilyRow[]> {
  const { rows } = await at.execute<HallFamilyRow & Record<string, unknown>>(sql`
    select f.id, f.card, f.name, f.under_three as "underThree", f.allergens,
      coalesce((select array_agg(l.lent_on::text order by l.lent_on) from loan l
        where l.school_id = f.school_id and l.family_id = f.id and l.closed_as is null and l.arrived_on is null), '{}') as out
    from family f
    where f.school_id = ${at.schoolId} and f.forgotten_at is null and f.card is not null
    order by f.search_name`);
  return rows;
}

/** Claims an act: undefined where it is new, else what was heard of it before. The transaction holds it until it is done. */
export async function heardBefore(tx: SchoolHandle, id: string): Promise<Heard | undefined> {
  // Two tries of one act at the same moment: the second waits for the first.
  await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${`${tx.schoolId} ${id}`}, 0))`);
  const [found] = await tx
    .select({ heard: hallAct.heard })
    .from(hallAct)
    .where(and(ours(tx, hallAct), eq(hallAct.id, id)));
  return found?.heard;
}
export const keepAct = async (
  tx: SchoolHandle,
  act: HallAct,
  { heard, about }: { heard: Heard; about: string[] },
  personId: string,
): Promise<void> => {
  const clash = act.away && heard.kind === 'wrong';
  await tx.insert(hallAct).values({ id: act.id, act, heard, about, clash, personId });
};

export const findAct = async (
  tx: SchoolHandle,
  id: string,
): Promise<{ act: HallAct; heard: Heard } | undefined> =>
  (
    await tx
      .select({ act: hallAct.act, heard: hallAct.heard })
      .from(hallAct)
      .where(and(ours(tx, hallAct), eq(hallAct.id, id)))
  )[0];

/** What was done without network and could not be kept, and nobody has looked at yet; the newest first. */
export const clashes = (
  at: SchoolHandle,
): Promise<{ id: string; act: HallAct; heard: Heard; at: Date; by: string | null }[]> =>
  at
    .select({ id: hallAct.id, act: hallAct.act, heard: hallAct.heard, at: hallAct.at, by: person.name })
    .from(hallAct)
    .leftJoin(person, eq(person.id, hallAct.personId))
    .where(and(ours(at, hallAct), eq(hallAct.clash, true), isNull(hallAct.settledAt)))
    .orderBy(desc(hallAct.at))
    .limit(100);

export const settleClash = async (at: SchoolHandle, id: string): Promise<boolean> =>
  (
    await at
      .update(hallAct)
      .set({ settledAt: new Date() })
      .where(and(ours(at, hallAct), eq(hallAct.id, id), eq(hallAct.clash, true), isNull(hallAct.settledAt)))
      .returning({ id: hallAct.id })
  ).length > 0;
