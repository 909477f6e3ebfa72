/** Days of a loan. Days are calendar dates without a clock, written as in ISO 8601. */
import { fromDate, parseDate, toCalendarDate } from '@internationalized/date';

export { LOAN_DAYS } from '~/core/kits/loan';
/** A family may still answer for this many days after the basket came home to school. */
export const ANSWER_DAYS = 14;

/** The day it is at a moment in a time zone: "America/Halifax". */
export const dayIn = (timeZone: string, moment: Date): string =>
  toCalendarDate(fromDate(moment, timeZone)).toString();

/** The day `days` days after `day`. */
export const daysAfter = (day: string, days: number): string => parseDate(day).add({ days }).toString();

/** Whole days from one day to another; negative when it lies before. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((parseDate(to).toDate('UTC').getTime() - parseDate(from).toDate('UTC').getTime()) / 86_400_000);

export type DueState = 'overdue' | 'today' | 'soon' | 'later';

/** How near the due date is: `soon` is within three days. */
export function dueState(dueOn: string, today: string): DueState {
  const days = daysBetween(today, dueOn);
  return days < 0 ? 'overdue' : days === 0 ? 'today' : days <= 3 ? 'soon' : 'later';
}

/** "due today", "due in 3 days", "2 days overdue". */
export function dueWords(dueOn: string, today: string): string {
  const days = daysBetween(today, dueOn);
  if (days === 0) return 'due today';
  const many = Math.abs(days) === 1 ? '1 day' : `${Math.abs(days)} days`;
  return days < 0 ? `${many} overdue` : `due in ${many}`;
}

/** Whether a family may answer: while the copy is out, and until `ANSWER_DAYS` after it came back. */
export const mayAnswer = (returnedOn: string | null, today: string): boolean =>
  returnedOn === null || daysBetween(returnedOn, today) <= ANSWER_DAYS;

const shown = new Intl.DateTimeFormat('en-US', {
  day: 'numeric',
  month: 'short',
  weekday: 'short',
  timeZone: 'UTC',
});
/** "Tue, Dec 15". */
export const showDay = (day: string): string => shown.format(parseDate(day).toDate('UTC'));
