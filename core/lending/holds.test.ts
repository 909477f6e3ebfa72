import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysAfter } from './due';
import { expectedOn, setAside } from './holds';

const queues = fc
  .array(fc.boolean(), { maxLength: 8 })
  .map((had) => had.map((has, i) => ({ id: `h${i}`, copyId: has ? `c${i}` : null })));

describe('setting copies aside', () => {
  it('goes by the order of asking, to nobody twice, and leaves nobody waiting beside a free copy', () => {
    fc.assert(
      fc.property(queues, fc.integer({ min: 0, max: 10 }), (queue, n) => {
        const free = Array.from({ length: n }, (_, i) => `free${i}`);
        const given = setAside(queue, free);
        const waiting = queue.filter(({ copyId }) => copyId === null).map(({ id }) => id);
        expect(given.map(({ hold }) => hold)).toEqual(waiting.slice(0, n));
        expect(given.map(({ copy }) => copy)).toEqual(free.slice(0, given.length));
      }),
    );
  });
});

describe('the day one may expect a bag', () => {
  const later = (day: string): string => daysAfter(day, 14);
  it('is the first that is free, then the next, then the same one again', () => {
    const queue = ['a', 'b', 'c', 'd'].map((id) => ({ id, copyId: null }));
    expect([...expectedOn(queue, ['2026-12-10', '2026-12-03'], '2026-11-27', later).entries()]).toEqual([
      ['a', '2026-12-03'],
      ['b', '2026-12-10'],
      ['c', '2026-12-17'],
      ['d', '2026-12-24'],
    ]);
  });
  it('is today for whom one is set aside, and unknown where there is no copy', () => {
    const queue = [
      { id: 'a', copyId: 'x' },
      { id: 'b', copyId: null },
    ];
    expect([...expectedOn(queue, [], '2026-11-27', later)]).toEqual([['a', '2026-11-27']]);
  });
  it('never lies before that of somebody who asked earlier', () => {
    fc.assert(
      fc.property(queues, fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 5 }), (queue, days) => {
        const free = days.map((n) => daysAfter('2026-11-27', n));
        const expected = expectedOn(queue, free, '2026-11-27', later);
        const waiting = queue
          .filter(({ copyId }) => copyId === null)
          .flatMap(({ id }) => expected.get(id) ?? []);
        expect([...waiting].sort()).toEqual(waiting);
      }),
    );
  });
});
