import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pairsThatMakeOne, type IncompleteCopy } from './whole';

const parts = [
  { material: 'die' as const, quantity: 2 },
  { material: 'chip' as const, quantity: 10 },
  { material: 'card-deck' as const, quantity: 1 },
];
const copy = (
  id: string,
  missing: Record<string, number>,
  lacks: string[] = [],
  alike = 'kit',
): IncompleteCopy => ({
  id,
  alike,
  parts,
  missing,
  lacks,
});

describe('two incomplete copies', () => {
  it('make a whole one where one has what the other lacks', () => {
    expect(pairsThatMakeOne([copy('a', { die: 1 }), copy('b', { chip: 8 })])).toEqual([
      { from: 'b', into: 'a' },
    ]);
    expect(pairsThatMakeOne([copy('a', { die: 2 }), copy('b', { die: 1 })])).toEqual([]);
    expect(pairsThatMakeOne([copy('a', { die: 1 }), copy('b', { chip: 8 }, [], 'other')])).toEqual([]);
    expect(pairsThatMakeOne([copy('a', {}, ['7h']), copy('b', { chip: 8 }, ['7h'])])).toEqual([]);
    expect(pairsThatMakeOne([copy('a', {}, ['7h']), copy('b', {}, ['QS', '2c'])])).toEqual([
      { from: 'b', into: 'a' },
    ]);
    expect(pairsThatMakeOne([copy('a', {}, ['7h']), copy('b', { 'card-deck': 1 })])).toEqual([]);
  });

  it('never give what they have not, and are in one pair at most', () => {
    const any = fc.record({
      die: fc.nat(2),
      chip: fc.nat(10),
      lacks: fc.subarray(['7h', 'QS', '2c']),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 7 }), (list) => {
        const copies = list.map(({ die, chip, lacks }, i) =>
          copy(String(i), { ...(die ? { die } : {}), ...(chip ? { chip } : {}) }, lacks),
        );
        const pairs = pairsThatMakeOne(copies);
        const ids = pairs.flatMap(({ from, into }) => [from, into]);
        expect(new Set(ids).size).toBe(ids.length);
        for (const { from, into } of pairs) {
          const [a, b] = [copies[Number(from)]!, copies[Number(into)]!];
          for (const { material, quantity } of parts)
            expect((a.missing[material] ?? 0) + (b.missing[material] ?? 0)).toBeLessThanOrEqual(quantity);
          for (const card of b.lacks) expect(a.lacks).not.toContain(card);
        }
        // Nobody who is left alone could have been helped by another who is.
        const alone = copies.filter(({ id }) => !ids.includes(id));
        expect(pairsThatMakeOne(alone)).toEqual([]);
      }),
    );
  });
});
