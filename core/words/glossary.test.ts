import { describe, expect, it } from 'vitest';
import { glossaryOf, hasWord, otherWords } from './glossary';
import { literalsOf } from './inspect';
import { SHIPPED_LANGUAGES } from './languages';
import { everyLine } from './testing';

describe('one word for one thing', () => {
  it.each(SHIPPED_LANGUAGES)('is kept by every line that ships in %s', (language) => {
    const lines = everyLine(language).map(({ of, id, message }): [string, string] => [
      `${of} ${id}`,
      message,
    ]);
    expect(
      lines
        .map(([at, message]) => [at, otherWords(message, language)] as const)
        .filter(([, found]) => found.length > 0),
    ).toEqual([]);
    // What it says instead is a word that its lines do say.
    const all = lines.map(([, message]) => literalsOf(message).join(' ')).join(' · ');
    for (const { say } of glossaryOf(language))
      expect([say, hasWord(all, say, language)]).toEqual([say, true]);
  });

  it('points out a word that is used for the same thing, wherever in the line it stands', () => {
    expect(otherWords('Tomen un naipe del mazo.', 'es')).toEqual([
      { found: 'mazo', say: 'baraja' },
      { found: 'naipe', say: 'carta' },
    ]);
    expect(otherWords('{n, plural, one {# disc} other {# discs}}', 'en')).toEqual([
      { found: 'disc', say: 'counter' },
    ]);
    expect(otherWords('ارموا الزهر ثم وبالفيشة', 'ar').map(({ found }) => found)).toEqual(['فيشة', 'زهر']);
    expect(otherWords('写出等式。', 'zh-Hans')).toEqual([{ found: '等式', say: '算式' }]);
  });

  it('takes no part of a word, and no argument, for the word', () => {
    expect(otherWords('Discover it, {disc}. The mugwort.', 'en')).toEqual([]);
    expect(otherWords('Los discolos', 'es')).toEqual([]);
    expect(otherWords('anything', 'fr')).toEqual([]);
  });
});
