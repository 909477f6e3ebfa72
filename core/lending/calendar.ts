/** The school's calendar: which days have school, and on which of them a bag is due. */
import { CalendarDate, parseDate } from '@internationalized/date';
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Whole } from '~/core/check/schema';
import { count } from '~/core/words/numbers';

const Day = (title: string) => Type.String({ format: 'date', title });
const weekday = Whole(1, 7, { title: 'Day of the week (1 is Monday)' });

/** Days without school, both ends among them. */
const closedSchema = Type.Object(
  {
    from: Day('First day without school'),
    to: Day('Last day without school'),
    name: Type.Optional(Type.String({ maxLength: 120, title: 'What it is called' })),
  },
  { additionalProperties: false },
);
export type Closed = Static<typeof closedSchema>;

export const calendarSchema = Type.Object(
  {
    weekdays: Type.Array(weekday, { minItems: 1, maxItems: 7, uniqueItems: true, title: 'Days of the week' }),
    closed: Type.Array(closedSchema, { maxItems: 1000, title: 'Days without school' }),
  },
  { additionalProperties: false },
);
export type SchoolCalendar = Static<typeof calendarSchema>;

/** Whether a loan that would end in or after a long break comes home before it, or after it. */
export const BREAKS = { over: 'after the break', before: 'before the break' } as const;
export type Breaks = keyof typeof BREAKS;

export const dueSchema = Type.Object(
  {
    lentOn: Day('Day of lending'),
    days: Whole(0, 3660, { title: 'Days it is lent for' }),
    calendar: calendarSchema,
    backOn: Type.Optional(weekday),
    breaks: Type.Optional(OneOf<Breaks>(BREAKS, { title: 'Breaks' })),
    longBreakDays: Type.Optional(Whole(1, 366, { title: 'School days of a long break' })),
  },
  { additionalProperties: false },
);
export type DueAsked = Static<typeof dueSchema>;

export interface Due {
  dueOn: string;
  /** School days after the day of lending, up to the due day. */
  schoolDays: number;
  why: string;
}

/** Why, for where the day itself stands beside it already. */
export const reasonOf = ({ why }: Pick<Due, 'why'>): string => why.slice(why.indexOf(': ') + 2);

/** School days without school in a row that make a long break, unless the school says otherwise. */
export const LONG_BREAK_DAYS = 5;

const DAY_MS = 86_400_000;
/** A day as a number, so that days can be counted and compared. */
const numberOf = (day: string): number => Math.round(parseDate(day).toDate('UTC').getTime() / DAY_MS);
const LAST = numberOf('9999-12-31');
const dayOf = (n: number): string => {
  const date = new Date(n * DAY_MS);
  return new CalendarDate(date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate()).toString();
};
/** 1 for Monday to 7 for Sunday; day 0 was a Thursday. */
const weekdayOf = (n: number): number => ((((n + 3) % 7) + 7) % 7) + 1;

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
export const weekdayName = (day: number): string => WEEKDAYS[day - 1]!;

const short = new Intl.DateTimeFormat('en-US', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const shortDay = (n: number): string => short.format(new Date(n * DAY_MS));

/** Answers questions about single days; closures are put in order once. */
export class SchoolDays {
  private readonly week: ReadonlySet<number>;
  private readonly closures: readonly { from: number; to: number; name: string }[];

  /** Throws RangeError for a closure that ends before it begins. */
  constructor({ weekdays, closed }: SchoolCalendar) {
    this.week = new Set(weekdays);
    this.closures = closed
      .map(({ from, to, name = '' }) => ({ from: numberOf(from), to: numberOf(to), name }))
      .sort((a, b) => a.from - b.from || b.to - a.to);
    const backwards = this.closures.find(({ from, to }) => to < from);
    if (backwards)
      throw new RangeError(
        `A closure ends on ${dayOf(backwards.to)}, before it begins on ${dayOf(backwards.from)}.`,
      );
  }

  /** A day of the school's week, with school or without. */
  inWeek = (n: number): boolean => this.week.has(weekdayOf(n));
  /** The closure that holds a day. */
  closureOf = (n: number) => this.closures.find(({ from, to }) => from <= n && n <= to);
  isSchool = (n: number): boolean => this.inWeek(n) && !this.closureOf(n);
  /** Whether a day, written as in ISO 8601, has school. */
  hasSchool = (day: string): boolean => this.isSchool(numberOf(day));
  /** A day on which there would be school, were it not closed. */
  isLost = (n: number): boolean => this.inWeek(n) && this.closureOf(n) !== undefined;

  /** The first school day on or after a day. Throws RangeError where there is none in the calendar's years. */
  firstFrom(n: number, on?: number): number {
    for (let day = n; day <= LAST;) {
      const closure = this.closureOf(day);
      if (closure) {
        day = closure.to + 1;
        continue;
      }
      if (this.inWeek(day) && (on === undefined || weekdayOf(day) === on)) return day;
      day++;
    }
    throw new RangeError('This calendar has no school day after that.');
  }
  /** The last school day before a day and after another; undefined where there is none. */
  lastBefore(n: number, after: number, on?: number): number | undefined {
    for (let day = n - 1; day > after; day--)
      if (this.isSchool(day) && (on === undefined || weekdayOf(day) === on)) return day;
    return undefined;
  }
  /** School days after a day, up to another and with it. */
  count(after: number, to: number): number {
    let days = 0;
    for (let day = after + 1; day <= to; day++) if (this.isSchool(day)) days++;
    return days;
  }
  /** The run of lost days that a lost day belongs to; weekends between them do not break it. */
  runOf(n: number): { from: number; to: number; days: number } {
    let [from, to, days] = [n, n, 1];
    for (let day = n - 1; !this.isSchool(day); day--)
      if (this.isLost(day)) {
        from = day;
        days++;
      }
    for (let day = n + 1; day <= LAST && !this.isSchool(day); day++)
      if (this.isLost(day)) {
        to = day;
        days++;
      }
    return { from, to, days };
  }
}

/**
 * The day on which a bag is due: the first school day (of the day of the week on which bags come back) once its days are
 * over; or, where the school has bags home before long breaks, the last one before the break. Throws RangeError for a
 * calendar that has no such day.
 */
export function due({
  lentOn,
  days,
  calendar,
  backOn,
  breaks = 'over',
  longBreakDays = LONG_BREAK_DAYS,
}: DueAsked): Due {
  if (backOn !== undefined && !calendar.weekdays.includes(backOn))
    throw new RangeError(`Bags come back on a ${weekdayName(backOn)}, and there is no school on that day.`);
  const school = new SchoolDays(calendar);
  const lent = numberOf(lentOn);
  const over = lent + days;
  const usual = school.firstFrom(over, backOn);
  const answer = (day: number, why: string): Due => ({
    dueOn: dayOf(day),
    schoolDays: school.count(lent, day),
    why: `${shortDay(day)}: ${why}`,
  });
  const kind = backOn === undefined ? 'school day' : `${weekdayName(backOn)} with school`;
  if (breaks === 'before') {
    const long = firstLong(school, over - 1, usual, longBreakDays);
    if (long) {
      const onDay = backOn === undefined ? undefined : school.lastBefore(long.from, lent, backOn);
      const before = onDay ?? school.lastBefore(long.from, lent);
      if (before !== undefined)
        return answer(
          before,
          `the last ${onDay === undefined ? 'school day' : kind} before ${breakName(school, long.from)}, from ${shortDay(long.from)} on`,
        );
    }
  }
  if (usual === over) return answer(usual, `${count(days, 'day')} after ${shortDay(lent)}`);
  const closure = lostBetween(school, over, usual);
  return answer(
    usual,
    closure === undefined
      ? `the first ${kind} ${count(days, 'day')} after ${shortDay(lent)} or later`
      : `the first ${kind} after ${breakName(school, closure)}`,
  );
}

/** The first run of at least so many lost days that begins before the due day and ends on or after a day. */
/** The due day alone; where the calendar has no school day after that, only the days are counted. */
export function dueDay(asked: DueAsked): string {
  try {
    return due(asked).dueOn;
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return dayOf(numberOf(asked.lentOn) + asked.days);
  }
}

function firstLong(
  school: SchoolDays,
  from: number,
  due: number,
  least: number,
): { from: number; to: number; days: number } | undefined {
  for (let day = from; day < due; day++) {
    if (!school.isLost(day)) continue;
    const run = school.runOf(day);
    if (run.days >= least) return run;
    day = Math.max(day, run.to);
  }
  return undefined;
}

const lostBetween = (school: SchoolDays, from: number, to: number): number | undefined => {
  for (let day = to - 1; day >= from; day--) if (school.isLost(day)) return day;
  return undefined;
};
const breakName = (school: SchoolDays, day: number): string =>
  school.closureOf(day)?.name || 'the days without school';

/** A part of the year with school. */
export interface Term {
  name: string;
  from: string;
  to: string;
}
/** What lies between terms has no school; after the last one it is not known yet. */
export function betweenTerms(terms: readonly Term[]): Closed[] {
  const inOrder = [...terms].sort((a, b) => (a.from < b.from ? -1 : 1));
  const gaps: Closed[] = [];
  let end = inOrder[0]?.to;
  for (const term of inOrder.slice(1)) {
    const [first, last] = [numberOf(end!) + 1, numberOf(term.from) - 1];
    if (first <= last)
      gaps.push({ from: dayOf(first), to: dayOf(last), name: `the days before ${term.name}` });
    if (term.to > end!) end = term.to;
  }
  return gaps;
}

/** How a school counts until it says otherwise: Monday to Friday, back on any school day. */
export const USUAL_RULES = {
  weekdays: [1, 2, 3, 4, 5],
  backOn: null,
  breaks: 'over',
  longBreakDays: LONG_BREAK_DAYS,
} as const;

/** The form in which a school says how it counts. */
export const rulesSchema = Type.Object({
  weekdays: Type.Array(weekday, { minItems: 1, maxItems: 7, uniqueItems: true, title: 'Days with school' }),
  backOn: Type.Union([weekday, Type.Null()], { title: 'Bags come back on' }),
  breaks: OneOf<Breaks>(BREAKS, { title: 'Long breaks' }),
  longBreakDays: Whole(1, 366, { title: 'School days of a long break' }),
});
export type CalendarRules = Static<typeof rulesSchema>;
