import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { branchesOf, emptyBranches, messageOf, sentencesOf, withForms, withSentences } from './branches';
import { argumentsIn, argumentsOf, missingForms } from './inspect';
import { SHIPPED_LANGUAGES } from './languages';
import { format } from './message';
import { everyLine } from './testing';
import { turnables } from './turnables';

const texts = (message: string, language = 'en') =>
  sentencesOf(branchesOf(message, language)).map(({ when, text }) => [
    when.map(({ name, option }) => `${name} ${option}`).join(', '),
    text,
  ]);

describe('a message as sentences', () => {
  it('has one for each form, whole, with places instead of signs', () => {
    expect(texts('Put {n, plural, one {# cube} other {# cubes}} in the {part}.')).toEqual([
      ['n one', 'Put {n} cube in the {part}.'],
      ['n other', 'Put {n} cubes in the {part}.'],
    ]);
    expect(texts('Count.')).toEqual([['', 'Count.']]);
    // What is only asked in one branch is asked nowhere else.
    expect(texts('{op, select, add {Add {n, plural, =1 {one} other {#}}.} other {Look.}}')).toEqual([
      ['op add, n =1', 'Add one.'],
      ['op add, n other', 'Add {n}.'],
      ['op other', 'Look.'],
    ]);
    // Two choices of the same argument are made once; an exact number takes the form it has in the language.
    expect(texts('{n, plural, =1 {One} other {#}}: {n, plural, one {stone} other {stones}}')).toEqual([
      ['n =1', 'One: stone'],
      ['n one', '{n}: stone'],
      ['n other', '{n}: stones'],
    ]);
  });

  it.each(SHIPPED_LANGUAGES)('says the same when it is put together again, every line in %s', (language) => {
    for (const { message } of everyLine(language)) {
      const branch = branchesOf(message, language);
      const again = messageOf(branch);
      const formed = messageOf(withForms(branch, language));
      expect(argumentsOf(again)).toEqual(argumentsOf(message));
      const plain = Object.fromEntries(argumentsIn(message).map(({ name }) => [name, 4]));
      for (const { name, values } of turnables(message, plain))
        for (const value of values) {
          const args = { ...plain, [name]: value };
          expect(format(again, language, args)).toBe(format(message, language, args));
          expect(format(formed, language, args)).toBe(format(message, language, args));
        }
      // Taken apart again it is as before.
      expect(sentencesOf(branchesOf(again, language))).toEqual(sentencesOf(branch));
    }
  });

  it('keeps whatever is written into a sentence', () => {
    const branch = branchesOf('{n, plural, one {# cube} other {# cubes}}', 'en');
    const free = fc.oneof(
      fc.string().map((text) => text.replace(/[{}]/g, '(').replaceAll('\0', '')),
      // The signs that mean something in a message.
      fc.string({ unit: fc.constantFrom("'", '#', 'a', ' ', '|', '<') }),
    );
    fc.assert(
      fc.property(free, free, fc.boolean(), (one, many, counted) => {
        const place = counted ? '{n}' : '';
        const message = messageOf(withSentences(branch, [`${one}${place}`, `${place}${many}`]));
        expect(format(message, 'en', { n: 1 })).toBe(`${one}${counted ? 1 : ''}`);
        expect(format(message, 'en', { n: 7 })).toBe(`${counted ? 7 : ''}${many}`);
      }),
      { numRuns: 2000 },
    );
    expect(messageOf({ text: "l'{n} d'or" })).toBe("l''{n} d''or");
  });

  it('asks for every form of a language that has no wording yet, or lacks one', () => {
    const english = '{n, plural, one {# cube} other {# cubes}} for {player}';
    expect(sentencesOf(emptyBranches(english, 'ar')).map(({ when }) => when[0]!.option)).toEqual([
      'one',
      'two',
      'few',
      'many',
      'other',
    ]);
    expect(sentencesOf(emptyBranches(english, 'vi'))).toEqual([
      { when: [{ name: 'n', kind: 'plural', option: 'other' }], text: '' },
    ]);
    const mended = withForms(branchesOf('{n, plural, one {# куб} other {# кубів}}', 'uk'), 'uk');
    expect(missingForms(messageOf(mended), 'uk')).toEqual([]);
    expect(format(messageOf(mended), 'uk', { n: 5 })).toBe('5 кубів');
  });
});
