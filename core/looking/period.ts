/** Which days are looked back on. */
import { daysAfter, daysBetween } from '~/core/lending/due';

export interface Term {
  name: string;
  from: string;
  to: string;
}
export interface Period {
  /** As an address says it. */
  id: string;
  name: string;
  from: string;
  /** Never later than today. */
  to: string;
}

const DAY = /^\d{4}-\d{2}-\d{2}$/;
/** A date that there is. */
function dayOf(text: string | null): string | undefined {
  if (!text || !DAY.test(text)) return undefined;
  try {
    return daysAfter(text, 0) === text ? text : undefined;
  } catch {
    return undefined;
  }
}

/** The periods that are offered: terms that have begun, the newest first; the last twelve weeks; the last year. */
export function periods(terms: readonly Term[], today: string): Period[] {
  const begun = terms
    .filter(({ from }) => from <= today)
    .sort((a, b) => (a.from < b.from ? 1 : -1))
    .slice(0, 4)
    .map(({ name, from, to }): Period => ({ id: `term ${from}`, name, from, to: to < today ? to : today }));
  return [
    ...begun,
    { id: 'weeks', name: 'the last twelve weeks', from: daysAfter(today, -83), to: today },
    { id: 'year', name: 'the last year', from: daysAfter(today, -364), to: today },
  ];
}

const MOST_DAYS = 5 * 366;

/** The period that an address asks for: one that is offered, or days of its own; the first that is offered otherwise. */
export function periodIn(search: URLSearchParams, terms: readonly Term[], today: string): Period {
  const offered = periods(terms, today);
  const known = offered.find(({ id }) => id === search.get('period'));
  const [from, to] = [dayOf(search.get('from')), dayOf(search.get('to'))];
  // What is older than some years is not looked back on.
  const earliest = daysAfter(today, -MOST_DAYS);
  // Days that are named go before a name that was left as it was.
  if (from && to && from <= to && from <= today && !(known?.from === from && known.to === to))
    return {
      id: 'own',
      name: 'days of your own',
      from: from < earliest ? earliest : from,
      to: to < earliest ? earliest : to < today ? to : today,
    };
  return known ?? offered[0]!;
}

/** Days of a period, both ends among them; and weeks. */
export const daysOf = ({ from, to }: Pick<Period, 'from' | 'to'>): number => daysBetween(from, to) + 1;
export const weeksOf = (period: Pick<Period, 'from' | 'to'>): number => daysOf(period) / 7;

/** The months a period touches, the first first: "2026-11". */
export function monthsOf({ from, to }: Pick<Period, 'from' | 'to'>): string[] {
  const months: string[] = [];
  for (let day = `${from.slice(0, 7)}-01`; day <= to; day = nextMonth(day)) months.push(day.slice(0, 7));
  return months;
}
function nextMonth(day: string): string {
  const later = daysAfter(day, 32);
  return `${later.slice(0, 7)}-01`;
}
