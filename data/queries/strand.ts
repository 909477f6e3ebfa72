/** The life of a copy along one line. */
import { and, asc, eq, sql } from 'drizzle-orm';
import { dayIn } from '~/core/lending/due';
import type { SchoolHandle } from '../db';
import { buildRun, change, copy, loan, partCount } from '../schema';
import { loanRows } from './lending';
import { ours } from './ours';

export interface StrandEvent {
  on: string;
  kind: 'built' | 'lent' | 'home' | 'mended' | 'moved';
  note: string;
}

/** The life of a copy, oldest first. */
export async function strandOf(at: SchoolHandle, copyId: string): Promise<StrandEvent[]> {
  const [built] = await at
    .select({ on: buildRun.builtOn })
    .from(copy)
    .innerJoin(buildRun, eq(buildRun.id, copy.buildRunId))
    .where(and(ours(at, copy), eq(copy.id, copyId)));
  const loans = await loanRows(at)
    .where(and(ours(at, loan), eq(loan.copyId, copyId), sql`${loan.closedAs} is distinct from 'undone'`))
    .orderBy(asc(loan.lentOn), asc(loan.createdAt));
  const counts = await at
    .selectDistinctOn([partCount.at], { at: partCount.at, cause: partCount.cause })
    .from(partCount)
    .where(and(ours(at, partCount), eq(partCount.copyId, copyId)))
    .orderBy(asc(partCount.at));
  // A mending that was taken back right away is no part of the copy's life.
  const mends = counts.filter((one, i) => one.cause === 'mend' && counts[i + 1]?.cause !== 'undone');
  const events: StrandEvent[] = built ? [{ on: built.on, kind: 'built', note: 'Built' }] : [];
  for (const one of loans) {
    events.push({ on: one.lentOn, kind: 'lent', note: `Lent to ${one.familyName}` });
    if (one.returnedOn)
      events.push({ on: one.returnedOn, kind: 'home', note: `Home from ${one.familyName}` });
  }
  for (const mended of mends)
    events.push({ on: dayIn(at.timeZone, mended.at), kind: 'mended', note: 'Parts put back' });
  const moves = await at
    .select({ moment: change.at, after: change.after })
    .from(change)
    .where(and(ours(at, change), eq(change.thing, 'copy'), eq(change.thingId, copyId)));
  for (const { moment, after } of moves)
    events.push({ on: dayIn(at.timeZone, moment), kind: 'moved', note: `Moved ${String(after?.moved)}` });
  const order = ['built', 'lent', 'home', 'mended', 'moved'];
  return events.sort((a, b) => a.on.localeCompare(b.on) || order.indexOf(a.kind) - order.indexOf(b.kind));
}
