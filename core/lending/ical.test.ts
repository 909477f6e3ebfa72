import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCalendar, writeCalendar } from './ical';

const YEAR = { timeZone: 'America/Halifax', from: '2026-08-01', to: '2027-07-31' };
const file = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//test//EN', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  'UID:a@b',
  'DTSTAMP:20260801T000000Z',
  ...lines,
  'END:VEVENT',
];
const days = (...lines: string[]) => {
  const read = readCalendar(file(...lines), YEAR);
  if (!read.ok) throw new Error(read.problem);
  return read.days.map(({ from, to, allDay, name }) => [from, to, allDay, name]);
};

describe('a calendar file', () => {
  it('gives whole days without the day after, and single days', () => {
    expect(
      days(...event('SUMMARY:Winter break', 'DTSTART;VALUE=DATE:20261221', 'DTEND;VALUE=DATE:20270104')),
    ).toEqual([['2026-12-21', '2027-01-03', true, 'Winter break']]);
    expect(days(...event('SUMMARY:Snow', 'DTSTART;VALUE=DATE:20270201'))).toEqual([
      ['2027-02-01', '2027-02-01', true, 'Snow'],
    ]);
    expect(days(...event('SUMMARY:Long\\, very', 'DTSTART;VALUE=DATE:20270201', 'DURATION:P3D'))).toEqual([
      ['2027-02-01', '2027-02-03', true, 'Long, very'],
    ]);
  });

  it('tells the day at the school, whatever zone a time is written in', () => {
    // Two in the morning in UTC is the evening before in Halifax.
    expect(days(...event('SUMMARY:A', 'DTSTART:20270202T020000Z', 'DTEND:20270202T033000Z'))).toEqual([
      ['2027-02-01', '2027-02-01', false, 'A'],
    ]);
    expect(
      days(
        ...event(
          'SUMMARY:B',
          'DTSTART;TZID=Pacific/Auckland:20270202T080000',
          'DTEND;TZID=Pacific/Auckland:20270202T090000',
        ),
      ),
    ).toEqual([['2027-02-01', '2027-02-01', false, 'B']]);
    expect(days(...event('SUMMARY:C', 'DTSTART:20270202T235900', 'DTEND:20270203T000100'))).toEqual([
      ['2027-02-02', '2027-02-03', false, 'C'],
    ]);
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Far East',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:+1300',
      'TZOFFSETTO:+1300',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    expect(
      days(
        ...zone,
        ...event('SUMMARY:D', 'DTSTART;TZID=Far East:20270202T080000', 'DTEND;TZID=Far East:20270202T090000'),
      ),
    ).toEqual([['2027-02-01', '2027-02-01', false, 'D']]);
  });

  it('works repetitions out, with those that fall out and those that were moved', () => {
    expect(
      days(
        ...event(
          'SUMMARY:Staff day',
          'DTSTART;VALUE=DATE:20260904',
          'RRULE:FREQ=MONTHLY;BYDAY=1FR;COUNT=4',
          'EXDATE;VALUE=DATE:20261106',
        ),
        ...event(
          'SUMMARY:Staff day\\, moved',
          'RECURRENCE-ID;VALUE=DATE:20261002',
          'DTSTART;VALUE=DATE:20261005',
        ),
      ),
    ).toEqual([
      ['2026-09-04', '2026-09-04', true, 'Staff day'],
      ['2026-10-05', '2026-10-05', true, 'Staff day, moved'],
      ['2026-12-04', '2026-12-04', true, 'Staff day'],
    ]);
    // Without end it ends with the school year.
    expect(
      days(...event('SUMMARY:F', 'DTSTART;VALUE=DATE:20200103', 'RRULE:FREQ=WEEKLY')).length,
    ).toBeGreaterThan(40);
    expect(
      days(
        ...event('SUMMARY:G', 'STATUS:CANCELLED', 'DTSTART;VALUE=DATE:20270201'),
        ...event('SUMMARY:H', 'DTSTART;VALUE=DATE:20270202'),
      ),
    ).toHaveLength(1);
  });

  it('comes in again as it went out', () => {
    const day = fc
      .integer({ min: 0, max: 300 })
      .map((n) => new Date(Date.UTC(2026, 8, 1) + n * 86_400_000).toISOString().slice(0, 10));
    fc.assert(
      fc.property(
        fc.array(
          fc
            .tuple(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 60 }), day, day)
            .map(([name, a, b]) => ({
              name: name.replace(/[\p{C}\s]+/gu, ' ').trim() || 'x',
              from: a < b ? a : b,
              to: a < b ? b : a,
            })),
          { minLength: 1, maxLength: 8 },
        ),
        (list) => {
          const entries = list.map((one, i) => ({
            ...one,
            uid: `${i}@fern-basket`,
            kind: i % 2 ? ('term' as const) : ('closed' as const),
          }));
          const read = readCalendar(writeCalendar(entries, new Date(0)), YEAR);
          const back = read.ok ? read.days.map(({ allDay: _, ...rest }) => rest) : [];
          const order = (a: { uid: string }, b: { uid: string }) => a.uid.localeCompare(b.uid);
          expect(back.sort(order)).toEqual(entries.sort(order));
        },
      ),
      { numRuns: 200 },
    );
  });

  it('answers 2,000 broken files with a sentence or with days', () => {
    const whole = file(
      ...event(
        'SUMMARY:Staff day',
        'DTSTART;VALUE=DATE:20260904',
        'RRULE:FREQ=MONTHLY;BYDAY=1FR;COUNT=4',
        'EXDATE;VALUE=DATE:20261106',
      ),
      ...event('SUMMARY:B', 'DTSTART;TZID=Pacific/Auckland:20270202T080000', 'DURATION:PT1H'),
    );
    let read = 0;
    fc.assert(
      fc.property(
        fc.nat(whole.length),
        fc.nat(60),
        fc.oneof(
          fc.string({ maxLength: 20 }),
          fc.constantFrom('\r\n', 'RRULE:FREQ=SECONDLY', ':', ';', '99999999', 'TZID=X', '\u0000'),
        ),
        (at, length, put) => {
          const found = readCalendar(whole.slice(0, at) + put + whole.slice(at + length), YEAR);
          if (!found.ok) {
            expect(found.problem).toMatch(/^[A-Z].*\.$/);
            return;
          }
          read++;
          for (const { from, to } of found.days)
            expect([from <= to, /^\d{4}-\d\d-\d\d$/.test(from)]).toEqual([true, true]);
        },
      ),
      { numRuns: 2000 },
    );
    expect(read).toBeGreaterThan(200);
  });
});

describe('a file that asks for more than a school’s calendar does', () => {
  const problem = (...lines: string[]): string => {
    const read = readCalendar(file(...lines), YEAR);
    return read.ok ? 'it was read' : read.problem;
  };
  const on = (...rules: string[]): string[] => event('SUMMARY:x', 'DTSTART;VALUE=DATE:20260901', ...rules);
  it.each([
    ['FREQ=SECONDLY', /more than once within a day/],
    ['FREQ=HOURLY;COUNT=3', /more than once within a day/],
    ['FREQ=DAILY;BYHOUR=8,12', /more than once within a day/],
    ['FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30', /no month has/],
    ['FREQ=YEARLY;BYMONTH=4,6;BYMONTHDAY=31,-31', /no month has/],
    ['FREQ=MONTHLY;BYMONTHDAY=32', /no month has|damaged/],
  ])('is refused with a sentence: %s', (rule, why) => {
    expect(problem(...on(`RRULE:${rule}`))).toMatch(why);
  });
  it('may name the last of February, and the 31st where some months have one', () => {
    expect(problem(...on('RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29'))).toMatch(/it was read|no events/);
    expect(problem(...on('RRULE:FREQ=MONTHLY;BYMONTHDAY=31'))).toBe('it was read');
  });
  it('is refused where it names dates or days without end', () => {
    const dates = Array.from({ length: 5000 }, () => '20260902').join(',');
    expect(problem(...on(`RDATE;VALUE=DATE:${dates}`))).toMatch(/5000 single dates/);
    const many = Array.from({ length: 3 }, () => on('RRULE:FREQ=DAILY')).flat();
    expect(problem(...many)).toMatch(/more than 500 days/);
  });
  it('keeps what it says of a time zone to itself', () => {
    const zone = (offset: string): string[] => [
      'BEGIN:VTIMEZONE',
      'TZID:Harbor time',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      `TZOFFSETFROM:${offset}`,
      `TZOFFSETTO:${offset}`,
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    const late = event('SUMMARY:x', 'DTSTART;TZID=Harbor time:20260907T233000');
    const alone = days(...late);
    expect(days(...zone('-1200'), ...late)).not.toEqual(alone);
    // The next file does not know of it.
    expect(days(...late)).toEqual(alone);
    expect(
      problem(
        ...zone('-0400').map((line) => line.replace('END:STANDARD', 'RRULE:FREQ=SECONDLY\r\nEND:STANDARD')),
        ...late,
      ),
    ).toMatch(/clocks are changed more often/);
  });
});
