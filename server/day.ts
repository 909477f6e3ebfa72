/**
 * The work of the day at a school. The page of the day asks for it as it is; what stands beside the stations on every
 * other page is kept for some seconds, and asked for anew after whatever changes something on this server.
 */
import { LRUCache } from 'lru-cache';
import type { DayFacts } from '~/core/lending/day';
import type { SchoolHandle } from '~/data/db';
import { dayFacts } from '~/data/queries/day';
import { once } from './once';
import { today } from './today';

/** What another server changed is seen after so long. */
const KEPT_MS = 4000;

const kept = new LRUCache<string, Promise<DayFacts>>({ max: 500, ttl: KEPT_MS });
/** How often something was changed at a school: what was asked before is not kept after it. */
const changes = new LRUCache<string, number>({ max: 5000 });
const changesAt = (schoolId: string): number => changes.get(schoolId) ?? 0;

/** The work of the day as it is. */
export const dayOf = (at: SchoolHandle): Promise<DayFacts> =>
  once(`day ${at.schoolId}`, async () => {
    const before = changesAt(at.schoolId);
    const asked = dayFacts(at, today(at));
    const facts = await asked;
    if (changesAt(at.schoolId) === before) kept.set(at.schoolId, asked);
    return facts;
  });

/** The work of the day as it was some seconds ago at most. */
export async function dayLately(at: SchoolHandle): Promise<DayFacts> {
  const known = await kept.get(at.schoolId);
  return known?.today === today(at) ? known : dayOf(at);
}

/** Something was changed at this school. */
export function changedAt(schoolId: string): void {
  changes.set(schoolId, changesAt(schoolId) + 1);
  kept.delete(schoolId);
}
