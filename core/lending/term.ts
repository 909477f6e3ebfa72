/** A term week by week: which days have school, and how many bags go out, come home and are away. */
import { endOfWeek, getDayOfWeek, parseDate, startOfWeek } from '@internationalized/date';
import { SchoolDays, type Closed, type SchoolCalendar } from './calendar';

export interface TermDay {
  day: string;
  school: boolean;
  /** What the days without school are called. */
  closed?: string;
  goOut: number;
  comeHome: number;
}
export interface TermWeek {
  monday: string;
  /** Days of the school's week. */
  days: TermDay[];
  /** Bags that are away over the weekend after it. */
  away: number;
}

const MONDAY = 'mon';
/** The weeks that hold these days, each from Monday on. */
export function weeksOf(
  from: string,
  to: string,
  calendar: SchoolCalendar,
  loans: readonly { lentOn: string; dueOn: string }[],
): TermWeek[] {
  const school = new SchoolDays(calendar);
  const many = (list: readonly string[]): Map<string, number> => {
    const found = new Map<string, number>();
    for (const day of list) found.set(day, (found.get(day) ?? 0) + 1);
    return found;
  };
  const out = many(loans.map(({ lentOn }) => lentOn));
  const home = many(loans.map(({ dueOn }) => dueOn));
  const nameOf = (day: string): string | undefined =>
    calendar.closed.find((one: Closed) => one.from <= day && day <= one.to)?.name;
  const weeks: TermWeek[] = [];
  const last = parseDate(to);
  for (
    let monday = startOfWeek(parseDate(from), 'en-US', MONDAY);
    monday.compare(last) <= 0;
    monday = monday.add({ days: 7 })
  ) {
    const sunday = endOfWeek(monday, 'en-US', MONDAY).toString();
    const all = Array.from({ length: 7 }, (_, i) => monday.add({ days: i }));
    weeks.push({
      monday: monday.toString(),
      days: all
        .filter((day) => calendar.weekdays.includes(getDayOfWeek(day, 'en-US', MONDAY) + 1))
        .map((date): TermDay => {
          const day = date.toString();
          const name = nameOf(day);
          return {
            day,
            school: school.hasSchool(day),
            ...(name === undefined ? {} : { closed: name }),
            goOut: out.get(day) ?? 0,
            comeHome: home.get(day) ?? 0,
          };
        }),
      away: loans.filter(({ lentOn, dueOn }) => lentOn <= sunday && sunday < dueOn).length,
    });
  }
  return weeks;
}
