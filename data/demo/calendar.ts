/** The invented school year of the demo, counted from the day it is loaded: two terms, a break, two days off. */
import { daysAfter } from '~/core/lending/due';
import type { SchoolHandle } from '../db';
import { addEntries, saveRules } from '../queries/calendar';

const THURSDAY = 4;

export async function schoolYear(at: SchoolHandle, day: string, personId: string): Promise<void> {
  await saveRules(
    at,
    { weekdays: [1, 2, 3, 4, 5], backOn: THURSDAY, breaks: 'before', longBreakDays: 5 },
    1,
    personId,
  );
  const days = (kind: 'closed' | 'term', name: string, from: number, to: number) => ({
    kind,
    name,
    from: daysAfter(day, from),
    to: daysAfter(day, to),
  });
  await addEntries(
    at,
    [
      days('term', 'Herring term', -75, 30),
      days('term', 'Lambing term', 45, 130),
      days('closed', 'Teachers learn together', 9, 9),
      days('closed', 'Ferry festival', 16, 17),
    ],
    personId,
  );
}
