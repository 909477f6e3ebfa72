/** What the work of a day at a school is made of. */
import { and, asc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { BagOf, DayFacts } from '~/core/lending/day';
import { linesIn } from '~/core/words/needs';
import { type SchoolHandle } from '../db';
import { copy, family, hold } from '../schema';
import { listShortages } from './counts';
import { needsAt } from './needs';
import { openLoans } from './open-loans';
import { ours } from './ours';
import { onHandNow } from './store';

interface Counted {
  unprinted: number;
  unread: number;
  asking: number;
  texts: number;
  strips: number;
  held: number;
  failed: number;
  kits: number;
  copies: number;
  families: number;
  schoolDays: number;
  clashes: number;
  /** Runs that are not ended yet, with the copies that are not made; hand-outs that can be given out. */
  runs: { id: string; copies: number }[];
  rounds: { id: string; name: string; bags: number }[];
}
async function counted(at: SchoolHandle, today: string): Promise<Counted> {
  const { rows } = await at.execute<Counted & Record<string, unknown>>(sql`
    select
      (select count(*)::int from copy where school_id = ${at.schoolId} and printed_at is null and moved_at is null) as unprinted,
      (select count(*)::int from answer where school_id = ${at.schoolId} and read_at is null) as unread,
      (select count(*)::int from answer where school_id = ${at.schoolId} and read_at is null and (btrim(missing) <> '' or btrim(anything_else) <> '')) as asking,
      (select count(*)::int from text_reply where school_id = ${at.schoolId} and state = 'waiting') as texts,
      (select count(*)::int from message where school_id = ${at.schoolId} and state = 'paper') as strips,
      (select count(*)::int from message where school_id = ${at.schoolId} and state = 'held') as held,
      (select count(*)::int from message where school_id = ${at.schoolId} and state = 'failed') as failed,
      (select count(*)::int from kit where school_id = ${at.schoolId}) as kits,
      (select count(*)::int from copy where school_id = ${at.schoolId} and moved_at is null) as copies,
      (select count(*)::int from family where school_id = ${at.schoolId} and forgotten_at is null) as families,
      (select count(*)::int from calendar_entry where school_id = ${at.schoolId}) as "schoolDays",
      (select count(*)::int from hall_act where school_id = ${at.schoolId} and clash and settled_at is null) as clashes,
      coalesce((select json_agg(json_build_object('id', run.id, 'copies', run.copies) order by run.created_at) from (
        select m.id, m.created_at, count(c.id)::int as copies from making m
        join build_run b on b.school_id = m.school_id and b.making_id = m.id
        join copy c on c.school_id = b.school_id and c.build_run_id = b.id and c.ready_at is null and c.moved_at is null
        where m.school_id = ${at.schoolId} and m.ended_at is null group by m.school_id, m.id) run), '[]') as runs,
      coalesce((select json_agg(json_build_object('id', r.id, 'name', r.name, 'bags', r.bags) order by r.on_day) from (
        select o.id, o.name, o.on_day, count(*)::int as bags from round o
        join promise p on p.school_id = o.school_id and p.round_id = o.id and p.ended_at is null
        where o.school_id = ${at.schoolId} and o.state = 'promised' and o.on_day <= ${today}
        group by o.school_id, o.id) r), '[]') as rounds`);
  return rows[0]!;
}

/** Copies at school of which the store has all that they lack; what is not counted in the store may be there. */
async function mendable(at: SchoolHandle): Promise<{ tag: string }[]> {
  const short = await listShortages(at);
  if (short.length === 0) return [];
  const [onHand, open] = await Promise.all([onHandNow(at), openLoans(at)]);
  const out = new Set(open.map(({ copyId }) => copyId));
  const home = new Map(
    short.filter(({ copyId }) => !out.has(copyId)).map(({ copyId, tag }) => [copyId, tag]),
  );
  return [...home]
    .map(([id, tag]) => ({ id, tag }))
    .filter(({ id }) => {
      const lacks = short.filter(({ copyId }) => copyId === id);
      return (
        lacks.length > 0 &&
        lacks.every(({ material, expected, counted: there, lacks: cards }) => {
          const store = onHand[material];
          return store === null || (store ?? 0) >= Math.max(expected - there, cards?.length ? 1 : 0);
        })
      );
    })
    .map(({ tag }) => ({ tag }))
    .sort((a, b) => (a.tag < b.tag ? -1 : 1));
}

export async function dayFacts(at: SchoolHandle, today: string): Promise<DayFacts> {
  const [open, numbers, aside, needs, mends] = await Promise.all([
    openLoans(at),
    counted(at, today),
    at
      .select({ tag: copy.tag, family: family.name, keptUntil: sql<string>`${hold.keptUntil}` })
      .from(hold)
      .innerJoin(copy, and(ours(at, copy), eq(copy.id, hold.copyId)))
      .innerJoin(family, and(ours(at, family), eq(family.id, hold.familyId)))
      .where(and(ours(at, hold), isNull(hold.closedAs), isNotNull(hold.copyId)))
      .orderBy(asc(hold.keptUntil), asc(hold.serial)),
    needsAt(at),
    mendable(at),
  ]);
  // Those that are due by today, or lie at school and wait to be counted.
  const loans = open
    .filter(({ dueOn, arrivedOn }) => dueOn <= today || arrivedOn !== null)
    .sort((a, b) => (a.dueOn + a.tag < b.dueOn + b.tag ? -1 : 1));
  const bags = (which: (one: (typeof loans)[number]) => boolean): BagOf[] =>
    loans.filter(which).map(({ tag, family: { name } }) => ({ tag, family: name }));
  const read = needs.filter(({ atHome }) => atHome > 0);
  return {
    today,
    toCount: bags(({ arrivedOn }) => arrivedOn !== null),
    dueToday: bags(({ arrivedOn, dueOn }) => arrivedOn === null && dueOn === today),
    overdue: bags(({ arrivedOn, dueOn }) => arrivedOn === null && dueOn < today),
    aside,
    mendable: mends,
    ...numbers,
    lines: read.reduce((sum, need) => sum + linesIn(need), 0),
    languages: new Set(read.map(({ language }) => language)).size,
  };
}
