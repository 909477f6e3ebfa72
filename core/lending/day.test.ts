import { describe, expect, it } from 'vitest';
import { ROLES } from '~/core/people/role';
import { dayWork, waitingOf, type DayFacts } from './day';

const NOTHING: DayFacts = {
  today: '2026-11-27',
  clashes: 0,
  toCount: [],
  dueToday: [],
  overdue: [],
  aside: [],
  rounds: [],
  mendable: [],
  unprinted: 0,
  runs: [],
  unread: 0,
  asking: 0,
  texts: 0,
  strips: 0,
  held: 0,
  failed: 0,
  lines: 0,
  languages: 0,
  kits: 1,
  copies: 1,
  families: 1,
  schoolDays: 0,
};
const bag = { tag: 'K7M4W', family: 'Family Dunlin' };
const FULL: DayFacts = {
  ...NOTHING,
  clashes: 1,
  toCount: [bag],
  dueToday: Array.from({ length: 9 }, () => bag),
  overdue: [bag],
  aside: [{ ...bag, keptUntil: '2026-12-03' }],
  rounds: [{ id: 'r', name: 'Thursday', bags: 4 }],
  mendable: [{ tag: bag.tag }],
  unprinted: 3,
  runs: [{ id: 'm', copies: 2 }],
  unread: 2,
  asking: 1,
  texts: 2,
  strips: 5,
  held: 1,
  failed: 1,
  lines: 30,
  languages: 2,
};

describe('the work of a day', () => {
  it('is nothing when nothing can be done, for whomever', () => {
    for (const role of ROLES) {
      expect(dayWork(NOTHING, role)).toEqual([]);
      expect(Object.values(waitingOf(NOTHING, role)).every((n) => n === 0)).toBe(true);
    }
  });
  it('begins with what a school cannot lend without, one after the other', () => {
    const ids = (more: Partial<DayFacts>) =>
      dayWork({ ...NOTHING, kits: 0, copies: 0, families: 0, ...more }, 'coordinator').map(({ id }) => id);
    expect(ids({})).toEqual(['first kit', 'first families', 'first days']);
    expect(ids({ kits: 1, schoolDays: 3 })).toEqual(['first bags', 'first families']);
    expect(ids({ kits: 1, families: 9, runs: [{ id: 'm', copies: 2 }] })).toEqual(['run m', 'first days']);
    expect(ids({ kits: 1, copies: 2, families: 9 })).toEqual([]);
    expect(dayWork({ ...NOTHING, kits: 0 }, 'helper')).toEqual([]);
  });
  it('has for each thing one act, a sentence, and the first of what it is about', () => {
    const tasks = dayWork(FULL, 'coordinator');
    expect(new Set(tasks.map(({ id }) => id)).size).toBe(tasks.length);
    for (const { title, why, act, count } of tasks) {
      expect(count).toBeGreaterThan(0);
      expect(why).toMatch(/\.$/);
      expect(title).not.toMatch(/\b1 \w+s\b/);
      expect(act.to).toMatch(/^\//);
    }
    const due = tasks.find(({ id }) => id === 'due')!;
    expect(due.about).toHaveLength(7);
    expect(due.about.at(-1)).toBe('and 3 more');
  });
  it('says one as one', () => {
    const one = { ...FULL, dueToday: [bag], rounds: [{ id: 'r', name: 'Thursday', bags: 1 }], unread: 1 };
    for (const { id, why, act, count } of dayWork({ ...one, unprinted: 1, held: 1, lines: 1 }, 'coordinator'))
      if (count === 1)
        expect([id, `${why} ${act.label}`]).toEqual([
          id,
          expect.not.stringMatching(/\b[Tt]h(ey|em|eir)\b(?! own)/),
        ]);
  });
  it('shows a helper and a reader theirs', () => {
    const ids = (role: (typeof ROLES)[number]): string[] => dayWork(FULL, role).map(({ id }) => id);
    expect(ids('reader')).toEqual(['lines', 'held']);
    expect(ids('helper')).toEqual(['clashes', 'count', 'round r', 'due', 'mend', 'run m', 'print']);
    for (const id of ids('helper')) expect(ids('coordinator')).toContain(id);
  });
  it('is what the stations count, thing for thing', () => {
    for (const role of ROLES) {
      const all = Object.values(waitingOf(FULL, role)).reduce((sum, n) => sum + n, 0);
      expect(all).toBe(dayWork(FULL, role).reduce((sum, { count }) => sum + count, 0));
    }
    expect(waitingOf(FULL, 'coordinator')).toMatchObject({ takeBack: 12, lend: 12, choose: 0, lookBack: 0 });
  });
});
