/** The school's calendar: days without school, terms, how due days are counted, and loans that a closure touches. */
import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, gte, inArray, isNull, sql } from 'drizzle-orm';
import {
  betweenTerms,
  USUAL_RULES,
  type CalendarRules,
  type Closed,
  type Term,
} from '~/core/lending/calendar';
import { touchedBy, type DueMove, type DueRules, type Touched } from '~/core/lending/touched';
import { type SchoolHandle, transaction } from '../db';
import { calendarEntry, copy, dueMove, family, kit, loan, loanEvent, schoolCalendar } from '../schema';
import { log, saveOver, type Saving } from './changes';
import { ours } from './ours';
import { dayOfClass } from './rules';

export type Entry = Pick<typeof calendarEntry.$inferSelect, 'id' | 'kind' | 'name' | 'uid'> & {
  from: string;
  to: string;
};

/** How a school counts, with the version that its form is opened on. */
export async function calendarRules(at: SchoolHandle): Promise<CalendarRules & { version: number }> {
  const [found] = await at.select().from(schoolCalendar).where(ours(at, schoolCalendar));
  if (!found) return { ...USUAL_RULES, weekdays: [...USUAL_RULES.weekdays], version: 1 };
  const { weekdays, backOn, breaks, longBreakDays, version } = found;
  return { weekdays, backOn, breaks, longBreakDays, version };
}

export const saveRules = (
  at: SchoolHandle,
  mine: CalendarRules,
  openedOn: number,
  personId: string,
): Promise<Saving<CalendarRules>> =>
  transaction(at, async (tx) => {
    // The row is there from the first time it is saved.
    await tx
      .insert(schoolCalendar)
      .values({ ...USUAL_RULES, weekdays: [...USUAL_RULES.weekdays] })
      .onConflictDoNothing();
    const [row] = await tx.select().from(schoolCalendar).where(ours(tx, schoolCalendar)).for('update');
    const { weekdays, backOn, breaks, longBreakDays, version } = row!;
    return saveOver(tx, {
      thing: 'calendar',
      thingId: 'rules',
      openedOn,
      mine,
      now: { version, fields: { weekdays, backOn, breaks, longBreakDays } },
      fits: (fields) => fields.backOn === null || fields.weekdays.includes(fields.backOn),
      personId,
      write: (fields, next) =>
        tx
          .update(schoolCalendar)
          .set({ ...fields, version: next })
          .where(ours(tx, schoolCalendar)),
    });
  });

/** Days without school and terms, the first first. */
export const calendarEntries = (at: SchoolHandle): Promise<Entry[]> =>
  at
    .select({
      id: calendarEntry.id,
      kind: calendarEntry.kind,
      name: calendarEntry.name,
      uid: calendarEntry.uid,
      from: calendarEntry.fromOn,
      to: calendarEntry.toOn,
    })
    .from(calendarEntry)
    .where(ours(at, calendarEntry))
    .orderBy(asc(calendarEntry.fromOn), asc(calendarEntry.name));

export type NewEntry = Pick<Entry, 'kind' | 'name' | 'from' | 'to'> & { uid?: string };
/** Adds days, each under a name that a file carries out and back; what came in from a file before is not added twice, but follows the file. Answers how many are new or changed. */
export const addEntries = (
  at: SchoolHandle,
  entries: readonly NewEntry[],
  personId: string,
): Promise<number> =>
  transaction(at, async (tx) => {
    if (entries.length === 0) return 0;
    const added = await tx
      .insert(calendarEntry)
      .values(
        entries.map(({ from, to, uid = `${randomUUID()}@fern-basket`, ...one }) => ({
          ...one,
          uid,
          fromOn: from,
          toOn: to,
          personId,
        })),
      )
      .onConflictDoUpdate({
        target: [calendarEntry.schoolId, calendarEntry.kind, calendarEntry.uid],
        targetWhere: sql`${calendarEntry.uid} is not null`,
        set: { name: sql`excluded.name`, fromOn: sql`excluded.from_on`, toOn: sql`excluded.to_on` },
        setWhere: sql`(${calendarEntry.name}, ${calendarEntry.fromOn}, ${calendarEntry.toOn}) is distinct from (excluded.name, excluded.from_on, excluded.to_on)`,
      })
      .returning({
        id: calendarEntry.id,
        name: calendarEntry.name,
        from: calendarEntry.fromOn,
        to: calendarEntry.toOn,
      });
    await log(
      tx,
      ...added.map(({ id, ...after }) => ({
        thing: 'calendar' as const,
        thingId: id,
        kind: 'added' as const,
        after,
        personId,
      })),
    );
    return added.length;
  });

/** Takes days out of the calendar; false where they are gone already. */
export const removeEntry = (at: SchoolHandle, id: string, personId: string): Promise<boolean> =>
  transaction(at, async (tx) => {
    const [gone] = await tx
      .delete(calendarEntry)
      .where(and(ours(tx, calendarEntry), eq(calendarEntry.id, id)))
      .returning({ name: calendarEntry.name, from: calendarEntry.fromOn, to: calendarEntry.toOn });
    if (!gone) return false;
    await log(tx, { thing: 'calendar', thingId: id, kind: 'removed', before: gone, personId });
    return true;
  });

/** Of entries, the terms and what has no school: closures, and what lies between terms. */
export function parted(entries: readonly Entry[]): { terms: Term[]; closed: Closed[] } {
  const plain = (kind: Entry['kind']): Term[] =>
    entries.filter((one) => one.kind === kind).map(({ name, from, to }) => ({ name, from, to }));
  const terms = plain('term');
  return { terms, closed: [...plain('closed'), ...betweenTerms(terms)] };
}

/** How due days are counted at a school now; for a class, on the day on which it comes. */
export async function dueRules(at: SchoolHandle, group = ''): Promise<DueRules> {
  const [{ weekdays, backOn: usual, breaks, longBreakDays }, entries, own] = await Promise.all([
    calendarRules(at),
    calendarEntries(at),
    dayOfClass(at, group),
  ]);
  const backOn = own !== undefined && weekdays.includes(own) ? own : usual;
  return {
    calendar: { weekdays, closed: parted(entries).closed },
    ...(backOn === null ? {} : { backOn }),
    breaks,
    longBreakDays,
  };
}

/** Loans that are out and due on a day without school. */
export interface OutLoan {
  id: string;
  tag: string;
  kitName: string;
  familyName: string;
  lentOn: string;
  dueOn: string;
}
export async function touchedLoans(at: SchoolHandle, today: string): Promise<Touched<OutLoan>[]> {
  const [rules, out] = await Promise.all([
    dueRules(at),
    at
      .select({
        id: loan.id,
        tag: copy.tag,
        kitName: kit.name,
        familyName: family.name,
        lentOn: loan.lentOn,
        dueOn: loan.dueOn,
      })
      .from(loan)
      .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
      .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
      .innerJoin(family, and(ours(at, family), eq(family.id, loan.familyId)))
      .where(and(ours(at, loan), isNull(loan.closedAs), gte(loan.dueOn, today)))
      .orderBy(asc(loan.dueOn), asc(copy.tag)),
  ]);
  return touchedBy(out, rules, today);
}

/** Bags that go out and come home, day by day: lent, and due while they are out. */
export async function loadOfDays(
  at: SchoolHandle,
  from: string,
): Promise<{ lentOn: string; dueOn: string; open: boolean }[]> {
  const rows = await at
    .select({ lentOn: loan.lentOn, dueOn: loan.dueOn, closedAs: loan.closedAs })
    .from(loan)
    .where(and(ours(at, loan), gte(loan.dueOn, from)));
  return rows
    .filter(({ closedAs }) => closedAs !== 'undone')
    .map(({ closedAs, ...days }) => ({ ...days, open: closedAs === null }));
}

/** Writes due days, in one transaction: those of loans that are out and due when it was thought they are. */
async function put(tx: SchoolHandle, moves: readonly DueMove[], personId: string): Promise<DueMove[]> {
  const rows = await tx
    .select({ id: loan.id, dueOn: loan.dueOn })
    .from(loan)
    .where(
      and(
        ours(tx, loan),
        isNull(loan.closedAs),
        inArray(
          loan.id,
          moves.map(({ loanId }) => loanId),
        ),
      ),
    )
    .orderBy(asc(loan.id))
    .for('update');
  const still = new Map(rows.map(({ id, dueOn }) => [id, dueOn]));
  const done = moves.filter(({ loanId, from }) => still.get(loanId) === from);
  for (const { loanId, to } of done)
    await tx
      .update(loan)
      .set({ dueOn: to })
      .where(and(ours(tx, loan), eq(loan.id, loanId)));
  if (done.length)
    await tx
      .insert(loanEvent)
      .values(
        done.map(({ loanId, to }) => ({ loanId, kind: 'dueChanged' as const, note: `due ${to}`, personId })),
      );
  return done;
}

/** Moves due days together. Loans that came home or were moved meanwhile stay as they are. */
export const moveDues = (
  at: SchoolHandle,
  moves: readonly DueMove[],
  personId: string,
): Promise<{ id: string; moved: number } | undefined> =>
  transaction(at, async (tx) => {
    if (moves.length === 0) return undefined;
    const done = await put(tx, moves, personId);
    if (done.length === 0) return undefined;
    const [kept] = await tx.insert(dueMove).values({ moves: done, personId }).returning({ id: dueMove.id });
    return { id: kept!.id, moved: done.length };
  });

/** Moves them back, once; answers how many. Loans that came home or were moved again since stay as they are. */
export const undoMove = (at: SchoolHandle, id: string, personId: string): Promise<number | undefined> =>
  transaction(at, async (tx) => {
    const [found] = await tx
      .update(dueMove)
      .set({ undoneAt: new Date() })
      .where(and(ours(tx, dueMove), eq(dueMove.id, id), isNull(dueMove.undoneAt)))
      .returning({ moves: dueMove.moves });
    if (!found) return undefined;
    const back = found.moves.map(({ loanId, from, to }) => ({ loanId, from: to, to: from }));
    return (await put(tx, back, personId)).length;
  });

/** The last move that was not undone. */
export async function lastMove(
  at: SchoolHandle,
): Promise<{ id: string; loans: number; at: Date } | undefined> {
  const [found] = await at
    .select({ id: dueMove.id, moves: dueMove.moves, at: dueMove.at })
    .from(dueMove)
    .where(and(ours(at, dueMove), isNull(dueMove.undoneAt)))
    .orderBy(desc(dueMove.at))
    .limit(1);
  return found && { id: found.id, loans: found.moves.length, at: found.at };
}
