/** Where the copies are: at school and ready, out and due, short of parts. The one place that says so. */
import { and, asc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import { type SchoolHandle } from '../db';
import { copy, kit, loan } from '../schema';
import { ours } from './ours';
import { shortCopies } from './short';
import { loanRows, type LoanRow } from './lending';

export interface CopiesNow {
  /** At school. */
  home: number;
  /** Of a build run, and not made and checked yet. */
  halfMade: number;
  /** At school, printed and complete: what remains to be lent. */
  ready: number;
  unprinted: number;
  /** Of which parts are missing, wherever they are. */
  short: number;
  out: number;
  /** Still with a family. */
  overdue: number;
  dueToday: number;
  /** Back at school, and to be counted. */
  toCount: number;
}

export async function copiesNow(at: SchoolHandle, today: string): Promise<CopiesNow> {
  const { rows } = await at.execute<CopiesNow & Record<string, unknown>>(sql`
    select
      count(*) filter (where home and made)::int as home,
      count(*) filter (where not made)::int as "halfMade",
      count(*) filter (where home and made and printed and not short)::int as ready,
      count(*) filter (where not printed)::int as unprinted,
      count(*) filter (where short)::int as short,
      count(*) filter (where not home)::int as out,
      count(*) filter (where due_on < ${today} and arrived_on is null)::int as overdue,
      count(*) filter (where due_on = ${today} and arrived_on is null)::int as "dueToday",
      count(*) filter (where arrived_on is not null)::int as "toCount"
    from (
      select c.printed_at is not null as printed, c.ready_at is not null as made, l.id is null as home, l.due_on, l.arrived_on, lacks.copy_id is not null as short
      from copy c
      left join loan l on l.school_id = ${at.schoolId} and l.copy_id = c.id and l.closed_as is null
      left join (${shortCopies(at)}) lacks on lacks.copy_id = c.id
      where c.school_id = ${at.schoolId} and c.moved_at is null) each`);
  return rows[0]!;
}

export interface HomeCopy {
  id: string;
  tag: string;
  kitName: string;
  printed: boolean;
  short: boolean;
}

/** Copies at school, those that can go out at once before the others; with `named` those of this tag or kit. */
export async function copiesAtSchool(at: SchoolHandle, most: number, named = ''): Promise<HomeCopy[]> {
  const printed = sql<boolean>`${copy.printedAt} is not null`;
  const short = sql<boolean>`lacks.copy_id is not null`;
  return at
    .select({ id: copy.id, tag: copy.tag, kitName: kit.name, printed, short })
    .from(copy)
    .innerJoin(kit, eq(kit.id, copy.kitId))
    .leftJoin(sql`(${shortCopies(at)}) lacks`, sql`lacks.copy_id = ${copy.id}`)
    .where(
      and(
        ours(at, copy),
        isNull(copy.movedAt),
        isNotNull(copy.readyAt),
        named
          ? sql`(position(lower(${named}) in lower(${kit.name})) > 0 or position(upper(replace(${named}, '-', '')) in ${copy.tag}) > 0)`
          : undefined,
        sql`not exists (select 1 from ${loan} l where l.school_id = ${at.schoolId} and l.copy_id = ${copy.id} and l.closed_as is null)`,
      ),
    )
    .orderBy(sql`not (${printed} and not ${short})`, asc(kit.name), asc(copy.tag))
    .limit(most);
}

/** Loans that are out, those that wait to be counted and then the one due first on top: a page of them. */
export const pageOfOut = (at: SchoolHandle, first: number, most: number): Promise<LoanRow[]> =>
  loanRows(at)
    .where(and(ours(at, loan), isNull(loan.closedAs)))
    .orderBy(sql`${loan.arrivedOn} is null`, asc(loan.dueOn), asc(copy.tag))
    .offset(first)
    .limit(most);
