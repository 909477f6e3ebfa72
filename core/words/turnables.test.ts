import { describe, expect, it } from 'vitest';
import { formsOf } from './inspect';
import { SHIPPED_LANGUAGES } from './languages';
import { turnables } from './turnables';

describe('the numbers of a line', () => {
  it('can be turned through every plural form of every language that ships', () => {
    const values = turnables('{n, plural, one {# cube} other {# cubes}}', { n: 6 })[0]!.values as number[];
    for (const language of SHIPPED_LANGUAGES) {
      const rules = new Intl.PluralRules(language);
      expect(new Set(values.map((n) => rules.select(n)))).toEqual(new Set(formsOf(language)));
    }
    expect(turnables('{who} has {kind, select, a {one} other {two}}', { who: 'Ada', kind: 'other' })).toEqual(
      [
        { name: 'who', values: ['Ada'] },
        { name: 'kind', values: ['other', 'a'] },
      ],
    );
  });
});
