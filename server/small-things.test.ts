import { describe, expect, it } from 'vitest';
import { byIntent } from './forms';
import { readDay } from './days';
import { isId } from './ids';
import { familyLink, isLoopback, newLinkKey } from './links';
import { passwordFits, hashPassword } from './people/password';
import { secureRandom } from './random';

describe('a day from a form', () => {
  it('is a day of the calendar, or nothing', () => {
    expect(readDay('2026-11-24')).toBe('2026-11-24');
    expect(readDay('2028-02-29')).toBe('2028-02-29');
    for (const wrong of ['2026-02-30', '2026-13-01', '24.11.2026', '', 'tomorrow', '2026-1-1', null])
      expect([wrong, readDay(wrong)]).toEqual([wrong, undefined]);
  });
});

describe('an id from an address', () => {
  it('has the form of a row id, so that the database never sees anything else', () => {
    expect(isId(crypto.randomUUID())).toBe(true);
    for (const wrong of ['', '1', "'; drop table loan; --", `${crypto.randomUUID()}x`, null, 7])
      expect(isId(wrong)).toBe(false);
  });
});

describe('family links', () => {
  it('are long and never the same', () => {
    const keys = Array.from({ length: 500 }, newLinkKey);
    expect(new Set(keys).size).toBe(500);
    for (const key of keys) expect(key).toMatch(/^[\w-]{22}$/);
  });

  it('open the address in use, or the one the school is reached by', () => {
    const request = new Request('http://127.0.0.1:4600/print?copy=1');
    expect(familyLink(request, 'abc')).toBe('http://127.0.0.1:4600/p/abc');
    process.env.PUBLIC_URL = 'https://baskets.school.invalid/';
    expect(familyLink(request, 'abc')).toBe('https://baskets.school.invalid/p/abc');
    delete process.env.PUBLIC_URL;
  });

  it('are known to be out of reach for phones when they name this machine', () => {
    expect(
      [
        'http://127.0.0.1:4600/p/a',
        'http://localhost/p/a',
        'http://[::1]:80/p/a',
        'https://baskets.school.invalid/p/a',
      ].map(isLoopback),
    ).toEqual([true, true, true, false]);
  });
});

describe('secure random numbers', () => {
  it('reach both ends of their range', () => {
    const drawn = new Set(Array.from({ length: 400 }, () => secureRandom.whole(0, 3)));
    expect([...drawn].sort()).toEqual([0, 1, 2, 3]);
    expect([secureRandom.chance(0), secureRandom.chance(1)]).toEqual([false, true]);
  });
});

describe('passwords', () => {
  it('are salted: the same one twice gives two hashes that both fit', async () => {
    const [one, two] = await Promise.all([hashPassword('twine'), hashPassword('twine')]);
    expect(one).not.toBe(two);
    expect(await passwordFits('twine', one)).toBe(true);
    expect(await passwordFits('twine', two)).toBe(true);
    expect(await passwordFits('Twine', two)).toBe(false);
  });
});

describe('a button', () => {
  const sent = (intent?: string): FormData => {
    const form = new FormData();
    if (intent !== undefined) form.set('intent', intent);
    return form;
  };
  const actions = { stop: () => 'stopped', '': () => 'saved' };
  it('does what it is there for, and what no button is there for is refused', () => {
    expect([byIntent(sent('stop'), actions), byIntent(sent(), actions)]).toEqual(['stopped', 'saved']);
    for (const strange of ['Stop', 'constructor', '__proto__', 'toString'])
      expect(() => byIntent(sent(strange), actions)).toThrow();
    expect(() => byIntent(sent(), { stop: () => 'stopped' })).toThrow();
  });
});
