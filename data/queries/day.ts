/** What the work of a day at a school is made of. */
import { and, asc, eq, isNotNull, isNull, lte, sql } from 'drizzle-orm';
import type { BagOf, DayFacts } from '~/core/lending/day';
import { linesIn } from '~/core/words/needs';
import { type SchoolHandle } from '../db';
import { copy, family, hallAct, hold, loan, promise, round } from '../schema';
import { listShortages } from './counts';
import { needsAt } from './needs';
import { ours } from './ours';
import { onHandNow } from './store';

/** Loans that are due by today, or lie at school and wait to be counted. */
const loansOfToday = (at: SchoolHandle, today: string) =>
  at
    .select({ tag: copy.tag, family: family.name, dueOn: loan.dueOn, arrivedOn: loan.arrivedOn })
    .from(loan)
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
    .innerJoin(family, and(ours(at, family), eq(family.id, loan.familyId)))
    .where(
      and(
        ours(at, loan),
        isNull(loan.closedAs),
        sql`(${loan.dueOn} <= ${today} or ${loan.arrivedOn} is not null)`,
      ),
    )
    .orderBy(asc(loan.dueOn), asc(copy.tag));

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
}
async function counted(at: SchoolHandle): Promise<Counted> {
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
      (select count(*)::int from calendar_entry where school_id = ${at.schoolId}) as "schoolDays"`);
  return rows[0]!;
}

/** Copies at school of which the store has all that they lack; what is not counted in the store may be there. */
async function mendable(at: SchoolHandle): Promise<{ tag: string }[]> {
  const short = await listShortages(at);
  if (short.length === 0) return [];
  const [onHand, home] = await Promise.all([
    onHandNow(at),
    at
      .select({ id: copy.id, tag: copy.tag })
      .from(copy)
      .where(
        and(
          ours(at, copy),
          isNull(copy.movedAt),
          sql`not exists (select from loan l where l.school_id = ${at.schoolId} and l.copy_id = ${copy.id} and l.closed_as is null)`,
        ),
      ),
  ]);
  return home
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
  const [loans, numbers, aside, rounds, runs, clashes, needs, mends] = await Promise.all([
    loansOfToday(at, today),
    counted(at),
    at
      .select({ tag: copy.tag, family: family.name, keptUntil: sql<string>`${hold.keptUntil}` })
      .from(hold)
      .innerJoin(copy, and(ours(at, copy), eq(copy.id, hold.copyId)))
      .innerJoin(family, and(ours(at, family), eq(family.id, hold.familyId)))
      .where(and(ours(at, hold), isNull(hold.closedAs), isNotNull(hold.copyId)))
      .orderBy(asc(hold.keptUntil), asc(hold.serial)),
    at
      .select({ id: round.id, name: round.name, bags: sql<number>`count(*)::int` })
      .from(round)
      .innerJoin(promise, and(ours(at, promise), eq(promise.roundId, round.id), isNull(promise.endedAt)))
      .where(and(ours(at, round), eq(round.state, 'promised'), lte(round.onDay, today)))
      .groupBy(round.schoolId, round.id)
      .orderBy(asc(round.onDay)),
    at
      .execute<{ id: string; copies: number }>(
        sql`select m.id, count(c.id)::int as copies from making m
          join build_run b on b.school_id = m.school_id and b.making_id = m.id
          join copy c on c.school_id = b.school_id and c.build_run_id = b.id and c.ready_at is null and c.moved_at is null
          where m.school_id = ${at.schoolId} and m.ended_at is null group by m.school_id, m.id, m.created_at order by m.created_at`,
      )
      .then(({ rows }) => rows),
    at.$count(hallAct, and(ours(at, hallAct), eq(hallAct.clash, true), isNull(hallAct.settledAt))),
    needsAt(at),
    mendable(at),
  ]);
  const bags = (which: (one: (typeof loans)[number]) => boolean): BagOf[] =>
    loans.filter(which).map(({ tag, family: name }) => ({ tag, family: name }));
  const read = needs.filter(({ atHome }) => atHome > 0);
  return {
    today,
    clashes,
    toCount: bags(({ arrivedOn }) => arrivedOn !== null),
    dueToday: bags(({ arrivedOn, dueOn }) => arrivedOn === null && dueOn === today),
    overdue: bags(({ arrivedOn, dueOn }) => arrivedOn === null && dueOn < today),
    aside,
    rounds,
    mendable: mends,
    runs: runs.map(({ id, copies }) => ({ id, copies })),
    ...numbers,
    lines: read.reduce((sum, need) => sum + linesIn(need), 0),
    languages: new Set(read.map(({ language }) => language)).size,
  };
}
