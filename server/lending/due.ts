/** When a bag that goes out today is to come home, by the calendar of its school. */
import { due, type Due } from '~/core/lending/calendar';
import { daysAfter } from '~/core/lending/due';
import type { SchoolHandle } from '~/data/db';
import { dueRules } from '~/data/queries/calendar';

/** The due day that is proposed, with its reason; for a class, on the day on which it comes. */
export async function proposedDue(
  at: SchoolHandle,
  lentOn: string,
  days: number,
  group?: string,
): Promise<Due> {
  const rules = await dueRules(at, group);
  try {
    return due({ ...rules, lentOn, days });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    // A calendar without a school day after that is not finished yet.
    return {
      dueOn: daysAfter(lentOn, days),
      schoolDays: 0,
      why: 'No school day follows in the calendar: only the days are counted',
    };
  }
}
