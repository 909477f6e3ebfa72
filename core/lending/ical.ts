/** The school's calendar as iCalendar (RFC 5545): days without school and terms come in from a file, and go out as one. */
import {
  CalendarDate,
  CalendarDateTime,
  fromDate,
  parseDate,
  toCalendarDate,
  toZoned,
} from '@internationalized/date';
import ICAL from 'ical.js';
import { isTimeZone } from './school';

/** An event as days of the school, both ends among them. */
export interface DaysInFile {
  /** Names the event, and which of its repetitions it is. */
  uid: string;
  name: string;
  from: string;
  to: string;
  /** A term rather than days without school, by its category: a file of ours says so. */
  kind: 'closed' | 'term';
  /** Whole days; else a part of a day, which is hardly a day without school. */
  allDay: boolean;
}
export type ReadCalendar = { ok: true; days: DaysInFile[] } | { ok: false; problem: string };

/** More events, and more repetitions of one, than these are in no school calendar. */
const MOST_EVENTS = 2000;
const MOST_TIMES = 5000;
/** Days that a file gives in all, and dates that its events name as exceptions. */
const MOST_DAYS = 500;
const MOST_DATES = 4000;
const MOST_ZONES = 60;
const MOST_NAME = 120;

/** Days of each month in the year in which it has most. */
const LONGEST_MONTHS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
/** Parts of a rule by which an event comes more than once within a day. */
const WITHIN_A_DAY = ['BYHOUR', 'BYMINUTE', 'BYSECOND'];

const listIn = (rule: ICAL.Recur, part: string): number[] =>
  ((rule.parts as Record<string, unknown[] | undefined>)[part] ?? []).map(Number);

/** Why a rule of repetition is no rule of a school's calendar; undefined where it may be. */
function ruleFault(rule: ICAL.Recur): string | undefined {
  if (
    ['SECONDLY', 'MINUTELY', 'HOURLY'].includes(rule.freq) ||
    WITHIN_A_DAY.some((part) => listIn(rule, part).length > 1)
  )
    return 'An event in this file comes more than once within a day, which no day without school does. Take it out of the file.';
  const days = listIn(rule, 'BYMONTHDAY');
  const months = listIn(rule, 'BYMONTH');
  const never =
    days.length > 0 &&
    (months.length > 0 ? months : LONGEST_MONTHS.map((_, i) => i + 1)).every((month) =>
      days.every((day) => day === 0 || Math.abs(day) > (LONGEST_MONTHS[month - 1] ?? 0)),
    );
  return never
    ? 'An event in this file comes on a day that no month has, such as February 30. Take it out of the file.'
    : undefined;
}

/** What no calendar of a school holds, however it came about; said before anything is worked out. */
function calendarFault(calendar: ICAL.Component): string | undefined {
  const zones = calendar.getAllSubcomponents('vtimezone');
  const rules = (component: ICAL.Component): ICAL.Recur[] =>
    component.getAllProperties('rrule').flatMap((one) => one.getValues() as ICAL.Recur[]);
  if (
    zones.length > MOST_ZONES ||
    zones.some((zone) =>
      [...zone.getAllSubcomponents('standard'), ...zone.getAllSubcomponents('daylight')].some((part) =>
        rules(part).some(({ freq }) => freq !== 'YEARLY'),
      ),
    )
  )
    return 'This file explains a time zone in which clocks are changed more often than once a year. Save it without time zones of its own.';
  const events = calendar.getAllSubcomponents('vevent');
  if (events.length > MOST_EVENTS)
    return `This file has ${events.length} events; up to ${MOST_EVENTS} are read. Take only the school year out of it.`;
  const dates = events.reduce(
    (all, event) =>
      all +
      ['exdate', 'rdate'].reduce(
        (sum, name) => sum + event.getAllProperties(name).reduce((n, one) => n + one.getValues().length, 0),
        0,
      ),
    0,
  );
  if (dates > MOST_DATES)
    return `This file names ${dates} single dates; up to ${MOST_DATES} are read. Take only the school year out of it.`;
  for (const event of events)
    for (const rule of rules(event)) {
      const fault = ruleFault(rule);
      if (fault) return fault;
    }
  return undefined;
}

/** The day of a moment at the school. A time without a zone is a time at the school. */
function dayOf(time: ICAL.Time, zone: string | undefined, timeZone: string): string {
  const day = new CalendarDate(time.year, time.month, time.day);
  if (time.isDate) return day.toString();
  const moment =
    time.zone === ICAL.Timezone.utcTimezone
      ? new Date(Date.UTC(time.year, time.month - 1, time.day, time.hour, time.minute, time.second))
      : zone && !isTimeZone(zone) && time.zone && time.zone !== ICAL.Timezone.localTimezone
        ? // A zone that the file itself explains.
          new Date(time.toUnixTime() * 1000)
        : toZoned(
            new CalendarDateTime(time.year, time.month, time.day, time.hour, time.minute, time.second),
            zone && isTimeZone(zone) ? zone : timeZone,
          ).toDate();
  return toCalendarDate(fromDate(moment, timeZone)).toString();
}

/**
 * Reads the events of a file as days of the school, repetitions and exceptions worked out, within a window of days. Says
 * in one sentence why a file cannot be read.
 */
export function readCalendar(
  text: string,
  { timeZone, from, to }: { timeZone: string; from: string; to: string },
): ReadCalendar {
  const refuse = (problem: string) => ({ ok: false, problem }) as const;
  if (!/^\uFEFF?\s*BEGIN:VCALENDAR/i.test(text))
    return refuse('This is not a calendar file: it does not begin with BEGIN:VCALENDAR.');
  try {
    const parsed: unknown = ICAL.parse(text.replace(/^\uFEFF/, '').trim());
    const calendars = (Array.isArray((parsed as unknown[])[0]) ? parsed : [parsed]) as unknown[][];
    const days: DaysInFile[] = [];
    for (const one of calendars) {
      const calendar = new ICAL.Component(one);
      const fault = calendarFault(calendar);
      if (fault) return refuse(fault);
      for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
      const all = calendar.getAllSubcomponents('vevent');
      const events = all.filter((event) => !event.hasProperty('recurrence-id'));
      for (const component of events) {
        if (component.getFirstPropertyValue('status')?.toString().toUpperCase() === 'CANCELLED') continue;
        const event = new ICAL.Event(component, { strictExceptions: true });
        if (!(event.startDate as ICAL.Time | null)) continue;
        for (const other of all)
          if (other.hasProperty('recurrence-id') && other.getFirstPropertyValue('uid') === event.uid)
            event.relateException(other);
        const zone = component.getFirstProperty('dtstart')?.getFirstParameter('tzid');
        const categories = component
          .getAllProperties('categories')
          .flatMap((one) => one.getValues().map(String));
        const kind = categories.includes('term') ? 'term' : 'closed';
        const put = (start: ICAL.Time, end: ICAL.Time, summary: string, time: number): void => {
          const first = dayOf(start, zone, timeZone);
          // An end is the moment after; the last day is the one before it.
          const last = end.isDate
            ? parseDate(dayOf(end, zone, timeZone))
                .subtract({ days: 1 })
                .toString()
            : dayOf(end, zone, timeZone);
          const until = last < first ? first : last;
          if (until < from || first > to) return;
          days.push({
            uid: time === 0 ? (event.uid ?? '') : `${event.uid ?? ''} ${first}`,
            name: summary.replace(/\s+/g, ' ').trim().slice(0, MOST_NAME) || 'Without a name',
            kind,
            from: first,
            to: until,
            allDay: start.isDate,
          });
        };
        if (!event.isRecurring()) {
          put(event.startDate, event.endDate, event.summary ?? '', 0);
          continue;
        }
        const times = event.iterator();
        for (let time = 0; time < MOST_TIMES; time++) {
          const next = times.next() as ICAL.Time | null | undefined;
          if (!next) break;
          const { startDate, endDate, item } = event.getOccurrenceDetails(next);
          if (dayOf(startDate, zone, timeZone) > to) break;
          put(startDate, endDate, item.summary ?? '', time + 1);
          if (days.length > MOST_DAYS)
            return refuse(
              `The events of this file come on more than ${MOST_DAYS} days. Take only days without school and terms out of it.`,
            );
        }
      }
    }
    if (days.length === 0) return refuse('There are no events of this school year in this file.');
    return { ok: true, days: days.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0)) };
  } catch {
    return refuse('This calendar file is damaged, so it cannot be read. Nothing of it was taken.');
  } finally {
    // What this file says of a time zone holds for no other file.
    ICAL.TimezoneService.reset();
  }
}

/** Days as a file that comes in again as the same. */
export function writeCalendar(entries: readonly Omit<DaysInFile, 'allDay'>[], stamp: Date): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('prodid', '-//Fern Basket//School calendar//EN');
  const dateOf = (day: string): ICAL.Time => {
    const { year, month, day: d } = parseDate(day);
    return new ICAL.Time({ year, month, day: d, isDate: true }, ICAL.Timezone.localTimezone);
  };
  for (const { uid, name, from, to, kind } of entries) {
    const event = new ICAL.Component('vevent');
    event.updatePropertyWithValue('uid', uid);
    event.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(stamp, true));
    event.updatePropertyWithValue('summary', name);
    event.updatePropertyWithValue('categories', kind);
    event.updatePropertyWithValue('transp', 'TRANSPARENT');
    const [begin, end] = [new ICAL.Property('dtstart'), new ICAL.Property('dtend')];
    begin.setValue(dateOf(from));
    end.setValue(dateOf(parseDate(to).add({ days: 1 }).toString()));
    event.addProperty(begin);
    event.addProperty(end);
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}
