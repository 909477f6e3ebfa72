import { describe, expect, it } from 'vitest';
import { SHIPPED_LANGUAGES } from './languages';
import { faultsOfLine, MOST_LINE } from './line';
import { everyLine } from './testing';

const english = '{n, plural, one {# cube} other {# cubes}} for {player}';
const faults = (message: string, language = 'es') => faultsOfLine(message, english, language);

describe('a line that somebody words', () => {
  it('is as it should be when it says the same', () => {
    expect(faults('Para {player}: {n, plural, one {# cubo} other {# cubos}}')).toEqual([]);
    expect(faults('{player}：{n}个方块', 'zh-Hans')).toEqual([]);
  });

  it('is told what it lacks, what is strange in it, and what is typed by hand', () => {
    expect(faults('{n} cubos')).toEqual(['{player} is missing: the number or word would not be said.']);
    expect(faults('{n} cubos para {player} y {otra}')).toEqual(['The English line has no {otra}.']);
    expect(faults('{n} de 10 cubos para {player}')[0]).toMatch(/^“10” is typed by hand/);
    expect(faults('  ')).toEqual(['Write the line, or go back to what ships.']);
    expect(faults('{n, plural, one {# cubo}')[0]).toMatch(/cannot be read/);
    expect(faults('x'.repeat(MOST_LINE + 1))).toEqual([`A line has room for ${MOST_LINE} characters.`]);
  });

  it('has words for every plural form of its language, by name', () => {
    expect(faults('{n, plural, one {# مكعب} other {# مكعبات}} {player}', 'ar')).toEqual([
      '{n} needs words for two, a few and many, as this language counts.',
    ]);
    expect(faults('{n, plural, other {# khối}} {player}', 'vi')).toEqual([]);
    expect(faults('{n, plural, other {# кубиків}} {player}', 'uk')[0]).toMatch(/one, a few and many/);
  });

  it('has no fault in any line that ships', () => {
    for (const language of SHIPPED_LANGUAGES)
      for (const { of, words, id, message } of everyLine(language)) {
        const faults = faultsOfLine(message, words.en[id]!, language);
        expect([of, id, language, faults]).toEqual([of, id, language, []]);
      }
  });
});
