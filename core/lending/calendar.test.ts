import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { due, type DueAsked } from './calendar';

/** The definition, walked day by day with nothing but dates as text. */
function walked({ lentOn, days, calendar, backOn, breaks = 'over', longBreakDays = 5 }: DueAsked) {
  const plus = (day: string, n: number): string => {
    const date = new Date(`${day}T00:00:00Z`);
    date.setUTCDate(date.getUTCDate() + n);
    return date.toISOString().slice(0, 10);
  };
  const weekday = (day: string): number => new Date(`${day}T00:00:00Z`).getUTCDay() || 7;
  const inWeek = (day: string): boolean => calendar.weekdays.includes(weekday(day));
  const closed = (day: string): boolean => calendar.closed.some(({ from, to }) => from <= day && day <= to);
  const school = (day: string): boolean => inWeek(day) && !closed(day);
  const back = (day: string): boolean => school(day) && (backOn === undefined || weekday(day) === backOn);
  let dueOn = plus(lentOn, days);
  while (!back(dueOn)) dueOn = plus(dueOn, 1);
  if (breaks === 'before') {
    // Every run of lost days around the due day, the first first.
    const runs: string[][] = [];
    let run: string[] = [];
    for (let day = plus(lentOn, -230); day <= dueOn; day = plus(day, 1)) {
      if (school(day)) {
        if (run.length) runs.push(run);
        run = [];
      } else if (inWeek(day)) run.push(day);
    }
    const long = runs.find(
      (one) => one.length >= longBreakDays && one[0]! < dueOn && one.at(-1)! >= plus(lentOn, days - 1),
    );
    if (long) {
      const before: string[] = [];
      for (let day = plus(lentOn, 1); day < long[0]!; day = plus(day, 1)) if (school(day)) before.push(day);
      dueOn = before.findLast(back) ?? before.at(-1) ?? dueOn;
    }
  }
  let schoolDays = 0;
  for (let day = plus(lentOn, 1); day <= dueOn; day = plus(day, 1)) if (school(day)) schoolDays++;
  return { dueOn, schoolDays };
}

const WEEK = [1, 2, 3, 4, 5];
const BREAK = { from: '2026-12-21', to: '2027-01-03', name: 'the winter break' };
const ask = (more: Partial<DueAsked> = {}): DueAsked => ({
  lentOn: '2026-12-10',
  days: 14,
  calendar: { weekdays: WEEK, closed: [BREAK] },
  ...more,
});

describe('a due day', () => {
  it('is the same as walked day by day, for 5,000 calendars', () => {
    const random = seeded(1405);
    const below = (n: number): number => random.whole(0, n - 1);
    const day = (n: number): string =>
      new Date(Date.UTC(2026, 7, 1) + n * 86_400_000).toISOString().slice(0, 10);
    let before = 0;
    for (let i = 0; i < 5000; i++) {
      const weekdays = [1, 2, 3, 4, 5, 6, 7].filter(() => random.chance(0.7));
      if (weekdays.length === 0) weekdays.push(1 + below(7));
      const closed = Array.from({ length: below(6) }, () => {
        const from = below(200);
        return { from: day(from), to: day(from + below(random.chance(0.3) ? 40 : 9)) };
      });
      const asked: DueAsked = {
        lentOn: day(below(180)),
        days: below(30),
        calendar: { weekdays, closed },
        ...(random.chance(0.5) ? { backOn: weekdays[below(weekdays.length)]! } : {}),
        ...(random.chance(0.7) ? { breaks: 'before' as const } : {}),
        ...(random.chance(0.5) ? { longBreakDays: 1 + below(8) } : {}),
      };
      const { why, ...found } = due(asked);
      expect([i, asked, found]).toEqual([i, asked, walked(asked)]);
      expect(why).toMatch(/^[A-Z][a-z]{2} \d{1,2}: /);
      if (/ before /.test(why)) before++;
    }
    // Breaks do matter in many of them.
    expect(before).toBeGreaterThan(150);
  });

  it('says why', () => {
    expect(due(ask())).toEqual({
      dueOn: '2027-01-04',
      schoolDays: 7,
      why: 'Jan 4: the first school day after the winter break',
    });
    expect(due(ask({ backOn: 4 })).why).toBe('Jan 7: the first Thursday with school after the winter break');
    expect(due(ask({ breaks: 'before' })).why).toBe(
      'Dec 18: the last school day before the winter break, from Dec 21 on',
    );
    expect(due(ask({ breaks: 'before', backOn: 2 }))).toMatchObject({
      dueOn: '2026-12-15',
      why: 'Dec 15: the last Tuesday with school before the winter break, from Dec 21 on',
    });
    expect(due(ask({ days: 5 })).why).toBe('Dec 15: 5 days after Dec 10');
    expect(due(ask({ days: 2 })).why).toBe('Dec 14: the first school day 2 days after Dec 10 or later');
    // No bag goes out to come home before it went.
    expect(due(ask({ lentOn: '2026-12-18', breaks: 'before' })).dueOn).toBe('2027-01-04');
  });

  it('is refused where the calendar has none', () => {
    expect(() => due(ask({ backOn: 6 }))).toThrow('no school on that day');
    expect(() =>
      due(ask({ calendar: { weekdays: WEEK, closed: [{ from: '2027-01-03', to: '2026-12-21' }] } })),
    ).toThrow('before it begins');
    expect(() =>
      due(ask({ calendar: { weekdays: WEEK, closed: [{ from: '2026-01-01', to: '9999-12-31' }] } })),
    ).toThrow('no school day');
  });
});
