import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nameKey } from '~/core/people/name';
import { ownPath } from './links';
import { tellError, withoutKeys } from './log';
import { browserWords } from './people/browser';

describe('the address after signing in', () => {
  it.each([
    ['/lend?copy=K7M4W&x=1', '/lend?copy=K7M4W&x=1'],
    ['/.//elsewhere.invalid/x', '/'],
    ['//elsewhere.invalid', '/'],
    ['/\\elsewhere.invalid', '/'],
    ['/\telsewhere', '/'],
    ['http://elsewhere.invalid', '/'],
    ['', '/'],
    [null, '/'],
  ])('of %j is %j', (next, path) => {
    expect(ownPath(next)).toBe(path);
  });

  it('is one of this server, whatever is asked for', () => {
    const part = fc.constantFrom(
      '/',
      '\\',
      '.',
      '..',
      '//',
      '%2e',
      '%2f',
      '@',
      ':',
      ';',
      '?',
      '#',
      'a',
      'http:',
      '\t',
      '\n',
      ' ',
    );
    fc.assert(
      fc.property(fc.array(part, { maxLength: 12 }), (parts) => {
        const path = ownPath(parts.join('') || null);
        expect(new URL(path, 'https://school.invalid/sign-in').origin).toBe('https://school.invalid');
        expect(path).toMatch(/^\/(?![/\\])/);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('the log', () => {
  const secrets = ['$argon2id$v=19$abc', '555-0199', 'se rieron mucho', 'Familia Vela'];
  const failed = Object.assign(
    new Error(
      `Failed query: update "family" set "reach" = $1 where name = 'Familia Vela'\nparams: ${secrets.join(',')}`,
    ),
    {
      cause: Object.assign(new Error(`invalid input syntax: "${secrets[1]}"`), {
        code: '22P02',
        severity: 'ERROR',
        detail: `Key (name)=(${secrets[3]})`,
        constraint: 'family_name_is_taken',
        table: 'family',
      }),
    },
  );

  it('tells where and of what kind an error was, and nothing of what it was about', () => {
    const told = JSON.stringify(tellError(failed));
    for (const secret of secrets) expect(told).not.toContain(secret);
    expect(told).toContain('update \\"family\\" set \\"reach\\" = $1');
    expect(tellError(failed)).toMatchObject({
      cause: { code: '22P02', constraint: 'family_name_is_taken', table: 'family' },
    });
    expect(tellError('a text').type).toBe('string');
    expect(tellError(new TypeError('x is not a function')).type).toBe('TypeError: x is not a function');
  });

  it('holds no address that opens anything', () => {
    expect(withoutKeys('/p/abcdefghijklmnopqrstuv/answer.data')).toBe('/p/…/answer.data');
    expect(withoutKeys('/new-password/abcdefgh?x=1')).toBe('/new-password/…');
    expect(withoutKeys('/lend?family=1')).toBe('/lend');
  });
});

describe('names of people', () => {
  it('that look alike to a computer are one', () => {
    expect(new Set(['Maren', 'MAREN', 'Ｍａｒｅｎ', ' maren ', 'ma\u0072en'].map(nameKey)).size).toBe(1);
    expect(nameKey('José')).toBe(nameKey('JOSE\u0301'));
    expect(nameKey('José')).not.toBe(nameKey('Jose'));
  });
});

describe('a browser in a few words', () => {
  it.each([
    [
      'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) HeadlessChrome/156.0 Safari/537.36',
      'Chrome on Linux',
    ],
    ['Mozilla/5.0 (Windows NT 10.0; rv:140.0) Gecko/20100101 Firefox/140.0', 'Firefox on Windows'],
    ['curl/8', 'another browser'],
    [null, 'another browser'],
  ])('from %j is %j', (agent, words) => {
    expect(browserWords(agent)).toBe(words);
  });
});
