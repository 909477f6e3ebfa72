import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { daysAfter, daysBetween, dueState, dueWords, mayAnswer, showDay } from './due';
import { sameName } from './families';
import { randomTag, readTag, showTag, TAG_ALPHABET, tagFrom } from '~/core/kits/tag';

const anyTag = fc.string({ unit: fc.constantFrom(...TAG_ALPHABET), minLength: 4, maxLength: 4 }).map(tagFrom);
const isTag = (text: string): boolean => readTag(text).kind === 'tag';

describe('tags', () => {
  it('use no characters that look alike and a prime number of them', () => {
    expect(TAG_ALPHABET).not.toMatch(/[0OQD1ILZ25S8BUVGAE]/);
    expect(new Set(TAG_ALPHABET).size).toBe(17);
  });

  it('catch every single wrong character', () => {
    fc.assert(
      fc.property(anyTag, (tag) => {
        for (let at = 0; at < tag.length; at++) {
          for (const other of TAG_ALPHABET)
            if (other !== tag[at]) expect(isTag(tag.slice(0, at) + other + tag.slice(at + 1))).toBe(false);
        }
      }),
    );
  });

  it('catch every swap of neighbours', () => {
    fc.assert(
      fc.property(anyTag, (tag) => {
        for (let at = 0; at + 1 < tag.length; at++) {
          if (tag[at] !== tag[at + 1])
            expect(isTag(tag.slice(0, at) + tag[at + 1]! + tag[at]! + tag.slice(at + 2))).toBe(false);
        }
      }),
    );
  });

  it('are read in any case, with dash or blanks', () => {
    fc.assert(
      fc.property(anyTag, (tag) => {
        for (const typed of [tag, tag.toLowerCase(), showTag(tag), ` ${tag.slice(0, 2)} ${tag.slice(2)} `])
          expect(readTag(typed)).toEqual({ kind: 'tag', tag });
      }),
    );
  });

  it('tell a misread tag from a name', () => {
    const tag = randomTag(seeded(1));
    expect(readTag(`${tag[1]}${tag[0]}${tag.slice(2)}`).kind).toBe(tag[0] === tag[1] ? 'tag' : 'misread');
    expect(readTag('3CYRO')).toMatchObject({
      kind: 'misread',
      reason: expect.stringContaining('O') as string,
    });
    expect(readTag('Vela').kind).toBe('other');
    expect(readTag('Figueira').kind).toBe('other');
    expect(readTag('Lagoa').kind).toBe('other');
    expect(() => tagFrom('ABCD')).toThrow(RangeError);
  });
});

describe('days of a loan', () => {
  it('are counted without a clock, over the change of the hour and the year', () => {
    expect(daysAfter('2026-12-20', 21)).toBe('2027-01-10');
    expect(daysBetween('2026-10-20', '2026-11-10')).toBe(21);
    expect(daysBetween('2026-03-10', '2026-03-01')).toBe(-9);
    fc.assert(
      fc.property(
        fc.integer({ min: -800, max: 800 }),
        (n) => daysBetween('2026-11-24', daysAfter('2026-11-24', n)) === n,
      ),
    );
  });

  it('are said in words', () => {
    const today = '2026-11-24';
    expect(
      ['2026-11-22', '2026-11-23', today, '2026-11-25', '2026-12-15'].map((day) => dueWords(day, today)),
    ).toEqual(['2 days overdue', '1 day overdue', 'due today', 'due in 1 day', 'due in 21 days']);
    expect(['2026-11-22', today, '2026-11-27', '2026-11-28'].map((day) => dueState(day, today))).toEqual([
      'overdue',
      'today',
      'soon',
      'later',
    ]);
    expect(showDay('2026-12-15')).toBe('Tue, Dec 15');
  });

  it('let a family answer until 14 days after the basket came home', () => {
    expect(mayAnswer(null, '2026-11-24')).toBe(true);
    expect(mayAnswer('2026-11-10', '2026-11-24')).toBe(true);
    expect(mayAnswer('2026-11-09', '2026-11-24')).toBe(false);
  });
});

describe('names of families', () => {
  it('are compared in any case and spacing', () => {
    expect(sameName(' Family  Dunlin ')).toBe(sameName('family dunlin'));
  });
});
