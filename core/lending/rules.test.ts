import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { limitReached, notLonger, rulesInWords, USUAL_LENDING } from './rules';

const TODAY = '2026-11-27';
const days = fc.array(fc.constantFrom('2026-11-20', '2026-11-26', TODAY), { maxLength: 4 });

describe('how many bags a family has', () => {
  it('is never more than the rule, however they come', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.boolean(),
        fc.nat({ max: 12 }),
        (most, backFirst, asks) => {
          const out: string[] = [];
          for (let i = 0; i < asks; i++)
            if (!limitReached({ bagsAtOnce: most, backFirst }, out, TODAY)) out.push(TODAY);
          expect(out.length).toBe(Math.min(most, asks));
        },
      ),
    );
  });
  it('may grow on the day it took the first, and not on a later one, where those before come back first', () => {
    const rules = { bagsAtOnce: null, backFirst: true };
    expect(limitReached(rules, [], TODAY)).toBeUndefined();
    expect(limitReached(rules, [TODAY], TODAY)).toBeUndefined();
    expect(limitReached(rules, ['2026-11-26', TODAY], TODAY)).toBe(
      'Another bag goes out when those before are back, and this family still has 1 bag.',
    );
  });
  it('is not limited until a school says so', () => {
    fc.assert(fc.property(days, (out) => limitReached(USUAL_LENDING, out, TODAY) === undefined));
  });
});

describe('keeping a bag longer', () => {
  it('is for as often as the rule says, and for nobody while others wait', () => {
    expect(notLonger({ renewals: null }, 40, false)).toBeUndefined();
    expect(notLonger({ renewals: null }, 0, true)).toBe('waiting');
    expect(notLonger({ renewals: 2 }, 1, false)).toBeUndefined();
    expect(notLonger({ renewals: 2 }, 2, false)).toBe('often');
    expect(notLonger({ renewals: 0 }, 0, false)).toBe('never');
  });
});

it('says each rule in a sentence', () => {
  expect(rulesInWords({ ...USUAL_LENDING, bagsAtOnce: 1, renewals: 1, backFirst: true })).toEqual([
    'A family has up to 1 bag at once.',
    'It gets another one on a later day only when those before are back.',
    'It may keep a bag longer once, when nobody else waits for it.',
  ]);
  expect(rulesInWords({ ...USUAL_LENDING, renewals: 0 })[2]).toBe('No bag is kept longer.');
});
