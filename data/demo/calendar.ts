/** The invented school year of the demo, counted from the day it is loaded: three terms, two breaks, two days off. */
import { parseDate, startOfWeek } from '@internationalized/date';
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
  // Terms begin on a Monday and end on a Friday, whatever day it is loaded on.
  const monday = startOfWeek(parseDate(day), 'en-US', 'mon').toString();
  const days = (kind: 'closed' | 'term', name: string, from: number, to: number) => ({
    kind,
    name,
    from: daysAfter(monday, from),
    to: daysAfter(monday, to),
  });
  await addEntries(
    at,
    [
      days('term', 'Cockle term', -203, -92),
      days('term', 'Herring term', -77, 32),
      days('term', 'Lambing term', 49, 130),
      days('closed', 'Teachers learn together', 11, 11),
      days('closed', 'Ferry festival', 17, 18),
    ],
    personId,
  );
}
