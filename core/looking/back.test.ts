import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contextOf, saidOn } from '~/core/paper/testing';
import { PAPERS } from '~/core/paper/sheet';
import { supplyOf } from './copies';
import { daysOf, monthsOf, periodIn, periods } from './period';
import { median, playedOf, playedSentence } from './played';
import {
  byMonth,
  CAME,
  closing,
  countedBy,
  gaps,
  MEASURES,
  monthsSentence,
  sharesBy,
  sharesSentence,
  SMALL,
  type FamilyFact,
} from './reached';
import { forOthers, reportSheets, type ReportFacts } from './report';
import { wear } from './wear';
import { AHEAD, ahead, byPart, worn, wornSentence } from './worn';

const TERMS = [
  { name: 'Cockle term', from: '2026-05-01', to: '2026-08-20' },
  { name: 'Herring term', from: '2026-09-07', to: '2026-12-25' },
  { name: 'Lambing term', from: '2027-01-10', to: '2027-04-02' },
];
const TODAY = '2026-11-27';

describe('the days that are looked back on', () => {
  it('are the term that is on, unless an address names others', () => {
    const of = (query: string) => periodIn(new URLSearchParams(query), TERMS, TODAY);
    expect(of('')).toEqual({ id: 'term 2026-09-07', name: 'Herring term', from: '2026-09-07', to: TODAY });
    expect(of('period=term 2026-05-01')).toMatchObject({ name: 'Cockle term', to: '2026-08-20' });
    expect(of('from=2026-10-01&to=2026-10-31')).toMatchObject({
      id: 'own',
      from: '2026-10-01',
      to: '2026-10-31',
    });
    expect(of('period=year&from=2026-10-01&to=2027-10-31')).toMatchObject({ id: 'own', to: TODAY });
    expect(periodIn(new URLSearchParams(), [], TODAY)).toMatchObject({ id: 'weeks', from: '2026-09-05' });
  });
  it('never end before they begin, or after today, whatever an address says', () => {
    const text = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.constantFrom(
        '2026-02-30',
        '2026-13-01',
        '2026-11-01',
        '2099-01-01',
        '0001-01-01',
        '9999-12-31',
        '0000-00-00',
      ),
    );
    fc.assert(
      fc.property(text, text, text, (period, from, to) => {
        const found = periodIn(new URLSearchParams({ period, from, to }), TERMS, TODAY);
        expect(found.from <= found.to && found.to <= TODAY).toBe(true);
        expect(daysOf(found)).toBeLessThan(2000);
        expect(daysOf(found)).toBeGreaterThan(0);
        expect(monthsOf(found).at(-1)).toBe(found.to.slice(0, 7));
      }),
    );
  });
  it('name a term that has not begun nowhere', () => {
    expect(periods(TERMS, TODAY).map(({ name }) => name)).not.toContain('Lambing term');
    expect(monthsOf({ from: '2026-09-30', to: '2026-12-01' })).toEqual([
      '2026-09',
      '2026-10',
      '2026-11',
      '2026-12',
    ]);
  });
});

const family = (language: string, lent: number, answered = 0): FamilyFact => ({
  knownOn: '2026-08-30',
  language,
  children: 'Pip, grade 1\nJuno, kindergarten',
  group: 'Room 1',
  lent,
  answered,
  months: lent ? [{ month: '2026-10', lent, answered }] : [],
});
const many = (n: number, one: FamilyFact): FamilyFact[] => Array.from({ length: n }, () => one);
const SCHOOL = [
  ...many(18, family('en', 2, 1)),
  family('en', 0),
  ...many(2, family('pt', 1)),
  ...many(5, family('pt', 0)),
  family('ar', 1),
];

describe('who is reached', () => {
  it('is spoken of only where it is more than chance, with what would close it', () => {
    const shares = sharesBy(SCHOOL, 'language', MEASURES.reached);
    expect(shares.map(({ id, n, of, small }) => [id, n, of, small])).toEqual([
      ['en', 18, 19, false],
      ['pt', 2, 7, false],
      ['ar', 1, 1, true],
    ]);
    const [gap, ...rest] = gaps(shares);
    expect(rest).toEqual([]);
    expect(gap).toMatchObject({ less: { id: 'pt' }, more: { id: 'en' } });
    expect(gap!.low).toBeGreaterThan(0);
    expect(closing(shares, 'language')).toEqual([
      `${gap!.toClose} more bags to Portuguese-speaking families`,
    ]);
    // So many more make the share as large, and one fewer does not.
    const { less, more, toClose } = gap!;
    expect((less.n + toClose) / less.of).toBeGreaterThanOrEqual(more.share - 1e-9);
    expect((less.n + toClose - 1) / less.of).toBeLessThan(more.share);
    expect(sharesSentence(shares, MEASURES.reached)).toMatch(
      /^Portuguese: 2 of 7 .* more than chance .* 1 group is small/,
    );
  });
  it('says nothing of a difference that chance makes', () => {
    const shares = sharesBy(
      [...many(3, family('en', 1)), family('es', 0), ...many(2, family('es', 1))],
      'language',
      MEASURES.reached,
    );
    expect(gaps(shares)).toEqual([]);
    expect(sharesSentence(shares, MEASURES.reached)).toMatch(/no more than chance/);
    expect(sharesSentence([], MEASURES.reached)).toMatch(/nobody yet/);
  });
  it('counts a family in the grade of each child, and answers among those that had a bag', () => {
    expect(sharesBy(SCHOOL, 'grade', MEASURES.reached).map(({ id, of }) => [id, of])).toEqual([
      // In the order of years.
      ['K', 27],
      ['g1', 27],
    ]);
    const unknown = [{ ...family('en', 1), children: '' }, ...SCHOOL];
    expect(sharesBy(unknown, 'grade', MEASURES.reached).map(({ label }) => label)).toEqual([
      'kindergarten',
      'grade 1',
      'no grade known',
    ]);
    expect(sharesBy(SCHOOL, 'language', MEASURES.answered).map(({ id, n, of }) => [id, n, of])).toEqual([
      ['en', 18, 18],
      ['pt', 0, 2],
      ['ar', 0, 1],
    ]);
    const { reached, answered, again } = MEASURES;
    expect(byMonth(SCHOOL, ['2026-09', '2026-10'], reached).map(({ n }) => n)).toEqual([0, 21]);
    expect(byMonth([], ['2026-09'], reached)).toEqual([]);
    // Of a month in which nobody had a bag nothing can be said of answers.
    expect(byMonth(SCHOOL, ['2026-09', '2026-10'], answered).map(({ id, n, of }) => [id, n, of])).toEqual([
      ['2026-10', 18, 21],
    ]);
    const twice: FamilyFact = {
      ...family('en', 2, 1),
      months: [
        { month: '2026-09', lent: 1, answered: 1 },
        { month: '2026-11', lent: 1, answered: 0 },
      ],
    };
    const both = [...many(3, twice), family('en', 1)];
    const months = ['2026-09', '2026-10', '2026-11'];
    expect(byMonth(both, months, again).map(({ n, of }) => [n, of])).toEqual([
      [0, 3],
      [0, 1],
      [3, 3],
    ]);
    expect(byMonth(both, months, answered).map(({ n, of }) => [n, of])).toEqual([
      [3, 3],
      [0, 1],
      [0, 3],
    ]);
    expect(monthsSentence(byMonth(both, months, reached), reached)).toBe(
      'Fewest families had a bag in Oct 2026 (1 of 4), most in Nov 2026 (3 of 4).',
    );
    expect(monthsSentence(byMonth(both, months.slice(1, 2), reached), reached)).toBe(
      '1 of 4 families had a bag.',
    );
    expect(monthsSentence([], reached)).toMatch(/nobody yet/);
    // Who came in October is not missing in September.
    const late = SCHOOL.map((one, i) => (i < 7 ? { ...one, knownOn: '2026-10-12' } : one));
    expect(byMonth(late, ['2026-08', '2026-09', '2026-10'], reached).map(({ of }) => of)).toEqual([
      20, 20, 27,
    ]);
    const came = sharesBy(
      SCHOOL.map((one, i) => ({ ...one, came: i < 5 })),
      'language',
      CAME,
    );
    expect(came.reduce((sum, { n }) => sum + n, 0)).toBe(5);
    expect(came.reduce((sum, { of }) => sum + of, 0)).toBe(SCHOOL.length);
    expect(sharesSentence(came.slice(0, 1), CAME)).toMatch(/families came/);
  });
});

describe('what others may see', () => {
  it('never breaks out a small group, and loses no family while there are enough', () => {
    const group = fc.record({
      of: fc.integer({ min: 1, max: 20 }),
      part: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(group, { maxLength: 7 }), (list) => {
        const families = list.flatMap(({ of, part }, i) =>
          Array.from({ length: of }, (_, j) => family(`x${i}`, j < Math.round(of * part) ? 1 : 0)),
        );
        const shown = forOthers(countedBy(families, 'language', MEASURES.reached), 'other languages');
        for (const { of } of shown) expect(of).toBeGreaterThanOrEqual(SMALL);
        const all = shown.reduce((sum, { of }) => sum + of, 0);
        expect(all).toBe(families.length >= SMALL ? families.length : 0);
        // What was put together cannot be told apart by taking the others from the whole.
        expect(shown.filter(({ label }) => label === 'other languages').length).toBeLessThanOrEqual(1);
      }),
    );
  });
  it('counts words by the families that gave them, and a family in two small groups once', () => {
    const word = (group: string, family: string, unit: string, is = true) => ({
      group,
      label: group,
      unit,
      family,
      is,
    });
    // Nine words of one family are of one family.
    const talkative = Array.from({ length: 9 }, (_, i) => word('g1', 'a', `w${i}`));
    expect(forOthers(talkative, 'other grades')).toEqual([]);
    const six = Array.from({ length: 6 }, (_, i) => word('K', `k${i}`, `k${i}`, i < 2));
    expect(forOthers([...talkative, ...six], 'other grades')).toMatchObject([
      { label: 'other grades', n: 11, of: 15 },
    ]);
    // Three families with a child in each of two grades are three families, not six.
    const both = ['x', 'y', 'z'].flatMap((id) => [word('g2', id, id), word('g3', id, id)]);
    expect(forOthers(both, 'other grades')).toEqual([]);
    expect(forOthers([...both, ...six], 'other grades')).toMatchObject([{ n: 5, of: 9, small: false }]);
  });
  it('is two pages that stay on their paper and name no small group', () => {
    const facts: ReportFacts = {
      school: 'Kittiwake Bay Elementary',
      period: 'Herring term',
      madeOn: 'Fri, Nov 27',
      families: 27,
      reached: 21,
      loans: 40,
      answered: 18,
      languages: countedBy(SCHOOL, 'language', MEASURES.reached),
      grades: countedBy(SCHOOL, 'grade', MEASURES.reached),
      months: byMonth(SCHOOL, ['2026-09', '2026-10', '2026-11'], MEASURES.reached),
      rightByGrade: countedBy(SCHOOL, 'grade', MEASURES.answered),
      right: { n: 12, of: 30 },
      playsPerLoan: 3.2,
      minutes: 10,
      lost: { parts: ['counters, 30 in 100 loans'], pieces: 12, loans: 40, cents: '$2.10' },
      copies: ['Market day: Build 2 more.'],
      missing: ['Nothing is missing.'],
    };
    for (const paper of ['letter', 'a4'] as const) {
      const sheets = reportSheets(facts, { paper, measure: contextOf().measure });
      expect(sheets).toHaveLength(2);
      for (const { shapes } of sheets)
        for (const shape of shapes)
          if (shape.kind === 'rect') expect(shape.y + shape.height).toBeLessThan(PAPERS[paper].heightMm);
      const said = sheets.flatMap(saidOn).join(' ');
      expect(said).not.toMatch(/Arabic/);
      expect(said).toMatch(/English/);
      expect(said).toMatch(/21 of 27 families/);
    }
  });
});

describe('what wears', () => {
  it('adds up over kits, and is dear where its losses cost more than all that lie in bags', () => {
    expect(
      byPart([
        { material: 'a', kitId: 'x', lost: 2, loans: 10, inBag: 8, each: [{ loan: '1', lost: 2 }] },
        { material: 'a', kitId: 'y', lost: 1, loans: 5, inBag: 6, each: [{ loan: '2', lost: 1 }] },
      ]),
    ).toEqual([{ material: 'a', lost: 3, loans: 15, inBag: 8, each: [2, 1] }]);
    const part = { material: 'a', lost: 12, loans: 40, next: 40, pieceCents: 10 };
    const fast = wear({ lost: 12, loans: 40, next: 40 });
    expect(worn({ ...part, inBags: 8 }, fast)).toMatchObject({ lostCents: 120, bagsCents: 80, dear: true });
    expect(worn({ ...part, inBags: 30 }, fast)).toMatchObject({ dear: false, spares: fast.spares });
  });
  it('names first what goes most surely, not what was lost once', () => {
    const of = (material: string, lost: number, loans: number) => ({
      name: material,
      plural: `${material}s`,
      ...worn(
        { material, lost, loans, next: loans, pieceCents: 5, inBags: 100 },
        wear({ lost, loans, next: loans }),
      ),
    });
    expect(wornSentence([of('deck', 1, 1), of('counter', 30, 60)])).toMatch(
      /^Counters go fastest: 30 were lost in 60 loans/,
    );
    expect(wornSentence([of('deck', 0, 9)])).toMatch(/^No part was lost/);
  });
  it('tells what a store holds at the end, and packs that cover what may be short', () => {
    const offers = [{ id: 'p', name: 'bag of 20', size: 20, priceCents: 300 }];
    const spares = (next: number): [number, number, number] => {
      const [few, middle, most] = AHEAD.map(
        (assurance) => wear({ lost: 10, loans: 50, next, assurance }).spares,
      );
      return [few!, middle!, most!];
    };
    const plenty = ahead({ material: 'a', onHand: 100 }, spares(20), offers);
    expect(plenty).toMatchObject({ short: 0, packs: [], costCents: 0 });
    expect(plenty.low <= plenty.left && plenty.left <= plenty.high && plenty.high <= 100).toBe(true);
    const few = ahead({ material: 'a', onHand: 3 }, spares(50), offers);
    expect(few.short).toBe(wear({ lost: 10, loans: 50, next: 50 }).spares - 3);
    expect(few).toMatchObject({ packs: ['1 × bag of 20'], costCents: 300 });
    expect(ahead({ material: 'a', onHand: 3 }, spares(50), []).packs).toEqual([]);
  });
});

describe('how many copies', () => {
  const use = {
    kitId: 'k',
    name: 'Kit',
    weeks: 10,
    away: Array.from({ length: 20 }, (_, i) => ({ days: 12 + (i % 5), home: true })),
    lendingDays: 18,
    fresh: 500,
  };
  it('are built where too many ask in vain, and taken apart where two are idle', () => {
    expect(supplyOf({ ...use, copies: 1, asks: 30 })!.change).toBeGreaterThan(0);
    const idle = supplyOf({ ...use, copies: 12, asks: 4 })!;
    expect(idle.change).toBe(idle.copiesNeeded + 1 - 12);
    expect(idle.sentence).toMatch(/could be taken apart for their parts\.$/);
    const enough = supplyOf({ ...use, copies: 3, asks: 4 })!;
    expect(enough.copiesNeeded).toBeLessThanOrEqual(3);
    expect(enough.change).toBe(Math.min(0, enough.copiesNeeded + 1 - 3));
    expect(supplyOf({ ...use, away: [], copies: 3, asks: 0 })).toBeUndefined();
  });
});

describe('what plays', () => {
  const kit = {
    kitId: 'k',
    name: 'Kit',
    loans: 9,
    reckonedMinutes: 10,
    said: ['justRight', 'tooHard'] as const,
  };
  it('is the middle of what families say, and what a loan costs over its plays', () => {
    const found = playedOf({ ...kit, times: [2, 4], minutes: [10, 20, 90], loanCents: 60 });
    expect(found).toMatchObject({
      playsPerLoan: 3,
      minutesSaid: 20,
      ratio: 2,
      playCents: 20,
      right: { n: 1, of: 2 },
    });
    expect(playedOf({ ...kit, times: [], minutes: [], said: [] })).toEqual({
      kitId: 'k',
      name: 'Kit',
      loans: 9,
      answers: 0,
      reckonedMinutes: 10,
    });
    expect(median([3, 1, 2, 4])).toBe(2.5);
    expect(median([])).toBeUndefined();
  });
  it('is spoken of where three families say so', () => {
    const of = (minutes: number[]) => playedOf({ ...kit, times: [], minutes });
    expect(playedSentence([of([20, 20])])).toMatch(/^Too few/);
    expect(playedSentence([of([20, 20, 20])])).toBe('Kit takes longer than reckoned.');
    expect(playedSentence([of([20, 20, 20]), { ...of([20, 20, 20]), name: 'Bag' }])).toBe(
      'Kit and Bag take longer than reckoned.',
    );
    expect(playedSentence([of([5, 5, 5])])).toBe('Kit is shorter than reckoned.');
    expect(playedSentence([of([10, 10, 11])])).toMatch(/about as long/);
  });
});
