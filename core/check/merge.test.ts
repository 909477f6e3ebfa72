import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { merge, mergeSets, same } from './merge';

const base = { name: 'A', reach: '1', tags: ['x', 'y'], under: false };

describe('two changes of one thing', () => {
  it('of different fields are both kept', () => {
    expect(merge(base, { ...base, reach: '2' }, { ...base, under: true })).toEqual({
      merged: { ...base, reach: '2', under: true },
      clashes: [],
      taken: [{ field: 'under', from: false, to: true }],
    });
  });

  it('of one field are told, unless they are the same', () => {
    expect(merge(base, { ...base, name: 'B' }, { ...base, name: 'C' }).clashes).toEqual([
      { field: 'name', base: 'A', mine: 'B', theirs: 'C' },
    ]);
    expect(merge(base, { ...base, name: 'B' }, { ...base, name: 'B' }).clashes).toEqual([]);
  });

  it('of a list without order add up', () => {
    const { merged, clashes } = merge(
      base,
      { ...base, tags: ['y', 'mine'] },
      { ...base, tags: ['x', 'y', 'theirs'] },
      ['tags'],
    );
    expect([merged.tags, clashes]).toEqual([['y', 'theirs', 'mine'], []]);
  });

  it('of which nobody knows the beginning are all told', () => {
    expect(merge(undefined, { ...base, name: 'B' }, base).clashes.map(({ field }) => field)).toEqual([
      'name',
    ]);
  });

  const thing = fc.record({ a: fc.nat(3), b: fc.nat(3), c: fc.array(fc.nat(3), { maxLength: 3 }) });
  it('lose nothing without a word', () => {
    fc.assert(
      fc.property(thing, thing, thing, (was, mine, theirs) => {
        const { merged, clashes, taken } = merge(was, mine, theirs);
        for (const field of ['a', 'b', 'c'] as const) {
          const told = clashes.some((one) => one.field === field);
          const [I, They] = [!same(was[field], mine[field]), !same(was[field], theirs[field])];
          expect(told).toBe(I && They && !same(mine[field], theirs[field]));
          if (!told) expect(merged[field]).toEqual(I ? mine[field] : theirs[field]);
          expect(taken.some((one) => one.field === field)).toBe(They && !I);
        }
      }),
    );
  });

  it('of sets: what either added is there, what either took away is not', () => {
    const set = fc.uniqueArray(fc.nat(8));
    fc.assert(
      fc.property(set, set, set, (was, mine, theirs) => {
        const merged = mergeSets(was, mine, theirs);
        expect(new Set(merged).size).toBe(merged.length);
        for (let one = 0; one <= 8; one++) {
          const [w, m, t] = [was, mine, theirs].map((list) => list.includes(one));
          expect(merged.includes(one)).toBe(w ? m && t : m || t);
        }
      }),
    );
  });
});

describe('the same', () => {
  it('does not mind the order of names, and minds everything else', () => {
    expect(same({ a: 1, b: [1, { c: 2 }] }, { b: [1, { c: 2 }], a: 1 })).toBe(true);
    for (const [a, b] of [
      [[1], { 0: 1 }],
      [null, undefined],
      [1, '1'],
      [
        [1, 2],
        [2, 1],
      ],
      [{ a: 1 }, {}],
    ])
      expect(same(a, b)).toBe(false);
  });
});
