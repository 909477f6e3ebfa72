import { describe, expect, it } from 'vitest';
import { betweenTerms } from './calendar';
import { weeksOf } from './term';
import { touchedBy } from './touched';

const WEEK = [1, 2, 3, 4, 5];
const festival = { from: '2026-12-10', to: '2026-12-11', name: 'Ferry festival' };

describe('a term week by week', () => {
  const loans = [
    { lentOn: '2026-11-30', dueOn: '2026-12-14' },
    { lentOn: '2026-12-03', dueOn: '2026-12-14' },
    { lentOn: '2026-12-03', dueOn: '2026-12-04' },
  ];
  const weeks = weeksOf('2026-12-02', '2026-12-16', { weekdays: WEEK, closed: [festival] }, loans);

  it('begins on the Monday before and has the days of the school’s week', () => {
    expect(weeks.map(({ monday }) => monday)).toEqual(['2026-11-30', '2026-12-07', '2026-12-14']);
    for (const { days } of weeks) expect(days).toHaveLength(5);
    const saturdays = weeksOf('2026-12-02', '2026-12-02', { weekdays: [6], closed: [] }, []);
    expect(saturdays[0]!.days.map(({ day }) => day)).toEqual(['2026-12-05']);
  });

  it('counts what goes out and comes home on its day, and what is away over each weekend', () => {
    const days = weeks.flatMap((week) => week.days);
    const of = (day: string) => days.find((one) => one.day === day)!;
    expect([of('2026-12-03').goOut, of('2026-12-04').comeHome, of('2026-12-14').comeHome]).toEqual([2, 1, 2]);
    expect(weeks.map(({ away }) => away)).toEqual([2, 2, 0]);
    // Nothing is counted twice or lost.
    expect(days.reduce((sum, { comeHome }) => sum + comeHome, 0)).toBe(loans.length);
  });

  it('names the days without school', () => {
    const closed = weeks.flatMap(({ days }) => days.filter(({ school }) => !school));
    expect(closed.map(({ day, closed: name }) => [day, name])).toEqual([
      ['2026-12-10', 'Ferry festival'],
      ['2026-12-11', 'Ferry festival'],
    ]);
  });
});

describe('what lies between terms', () => {
  it('has no school, whatever order they are named in; terms that meet or overlap leave nothing', () => {
    const [one, two, three] = [
      { name: 'One', from: '2026-09-01', to: '2026-12-18' },
      { name: 'Two', from: '2027-01-04', to: '2027-03-31' },
      { name: 'Three', from: '2027-04-01', to: '2027-06-30' },
    ];
    expect(betweenTerms([three, two, one])).toEqual([
      { from: '2026-12-19', to: '2027-01-03', name: 'the days before Two' },
    ]);
    const whole = { name: 'Year', from: '2026-09-01', to: '2027-06-30' };
    expect(betweenTerms([whole, two])).toEqual([]);
    expect(betweenTerms([])).toEqual([]);
  });
});

describe('loans that a closure touches', () => {
  const rules = { calendar: { weekdays: WEEK, closed: [festival] } };
  const loan = (id: string, dueOn: string) => ({ id, lentOn: '2026-11-26', dueOn });

  it('are those due on a day without school from today on, and go to the next one', () => {
    const found = touchedBy(
      [
        loan('on', '2026-12-09'),
        loan('in', '2026-12-10'),
        loan('weekend', '2026-12-12'),
        loan('past', '2026-11-28'),
      ],
      rules,
      '2026-12-01',
    );
    expect(found.map(({ move }) => move)).toEqual([
      { loanId: 'in', from: '2026-12-10', to: '2026-12-14' },
      { loanId: 'weekend', from: '2026-12-12', to: '2026-12-14' },
    ]);
  });

  it('are due on a day with school once they are moved', () => {
    const [moved] = touchedBy([loan('in', '2026-12-10')], { ...rules, backOn: 4 }, '2026-12-01');
    expect(moved!.move.to).toBe('2026-12-17');
    expect(touchedBy([loan('in', moved!.move.to)], rules, '2026-12-01')).toEqual([]);
  });
});
