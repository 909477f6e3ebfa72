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
const MOST_NAME = 120;

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
      for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
      const all = calendar.getAllSubcomponents('vevent');
      if (all.length > MOST_EVENTS)
        return refuse(
          `This file has ${all.length} events; up to ${MOST_EVENTS} are read. Take only the school year out of it.`,
        );
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
        }
      }
    }
    if (days.length === 0) return refuse('There are no events of this school year in this file.');
    return { ok: true, days: days.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0)) };
  } catch {
    return refuse('This calendar file is damaged, so it cannot be read. Nothing of it was taken.');
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
