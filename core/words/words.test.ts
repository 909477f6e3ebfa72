import { describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games/shelf';
import { MATERIAL_WORDS } from '~/core/materials/words';
import { FAMILY_WORDS } from './family';
import { REHEARSE_WORDS } from './rehearse';
import { REMINDER_WORDS } from './reminders';
import { argumentsIn, argumentsOf, digitsIn, missingForms, type Argument } from './inspect';
import { format, type Args } from './message';
import {
  aboutLanguage,
  allLanguages,
  isLanguage,
  languageFault,
  languageNamed,
  SHIPPED_LANGUAGES,
} from './languages';
import { centsIn, count, money, plain, share, unitFor } from './numbers';
import { OWED } from './owed';
import { PRINT_WORDS } from './print';
import { linesOf, messageIn, revised, say, type Source } from './reading';
import { readingOf } from './readings';
import { SHARED } from './shared';
import { TROUBLE_WORDS } from './trouble';

const SOURCES: [string, Source][] = [
  ['troubles', TROUBLE_WORDS],
  ['family pages', FAMILY_WORDS],
  ['reminders', REMINDER_WORDS],
  ['rehearsals', REHEARSE_WORDS],
  ['printed frames', PRINT_WORDS],
  ['materials', MATERIAL_WORDS],
  ...SHELF.map((game): [string, Source] => [game.id, game.words]),
];
const OTHERS = SHIPPED_LANGUAGES.filter((language) => language !== 'en');

/** Values for the arguments of a message: each choice once, and counts that take every plural form. */
function samples(list: readonly Argument[]): Args[] {
  const made: Args[] = [];
  const choices = Math.max(1, ...list.map(({ kind, options }) => (kind === 'select' ? options.length : 1)));
  for (let choice = 0; choice < choices; choice++)
    for (const n of [1, 2, 3, 5, 11, 100])
      made.push(
        Object.fromEntries(
          list.map(({ name, kind, options }, i) => [
            name,
            kind === 'select' ? options[choice % options.length]! : n + (kind === 'plural' ? 0 : 20 + i),
          ]),
        ),
      );
  return made;
}
const numbersIn = (text: string): string[] => (text.match(/\p{Nd}+/gu) ?? []).sort();

describe.each(SOURCES)('the wording of %s', (_, source) => {
  const ids = Object.keys(source.en);
  const wording = (language: string) => linesOf(readingOf(language), source);

  it.each(SHIPPED_LANGUAGES)(
    'has every line in %s that is not owed, with the arguments and plural forms it needs',
    (language) => {
      const lines = wording(language);
      const owed = OWED[source.id]?.includes(language) ?? false;
      // A source that owes nothing any more comes off the list.
      expect(ids.filter((id) => !(id in lines)).length > 0).toBe(owed);
      for (const id of Object.keys(lines)) {
        expect([id, argumentsOf(lines[id]!)]).toEqual([id, argumentsOf(source.en[id]!)]);
        expect([id, digitsIn(lines[id]!)]).toEqual([id, []]);
        expect([id, missingForms(lines[id]!, language)]).toEqual([id, []]);
      }
    },
  );

  it.each(OTHERS)('says the same numbers in %s as in English, whatever the counts', (language) => {
    const lines = wording(language);
    for (const id of Object.keys(lines))
      for (const args of samples(argumentsIn(source.en[id]!)))
        expect([id, args, numbersIn(format(lines[id]!, language, args))]).toEqual([
          id,
          args,
          numbersIn(format(source.en[id]!, 'en', args)),
        ]);
  });

  it('has no line twice the same in two languages by oversight', () => {
    for (const language of OTHERS) {
      const lines = wording(language);
      const same = ids.filter((id) => source.en[id] === lines[id]);
      // No is no in Spanish too.
      expect([language, same.filter((id) => !(language === 'es' && id === 'slip.no'))]).toEqual([
        language,
        [],
      ]);
    }
  });
});

describe.each(OTHERS)('the messages in %s', (language) => {
  it('all belong to a line of the source', () => {
    const sources = new Map(SOURCES.map(([, source]) => [source.id, source]));
    for (const [id, messages] of Object.entries(readingOf(language).wording))
      for (const message of Object.keys(messages))
        expect([id, message, message in ((id === 'shared' ? SHARED : sources.get(id))?.en ?? {})]).toEqual([
          id,
          message,
          true,
        ]);
  });
});

describe('languages', () => {
  it('are those of a list, each with a name, a direction and a script', () => {
    const all = allLanguages();
    expect(all.length).toBeGreaterThan(500);
    expect(new Set(all.map(({ tag }) => tag)).size).toBe(all.length);
    for (const { tag } of all) expect([tag, Intl.getCanonicalLocales(tag)]).toEqual([tag, [tag]]);
    expect(aboutLanguage('ur')).toEqual({
      tag: 'ur',
      name: 'Urdu',
      own: 'اردو',
      direction: 'rtl',
      script: 'Arab',
    });
    expect(aboutLanguage('zh-Hant').own).toBe('繁體中文');
    expect(aboutLanguage('xx-nowhere')).toMatchObject({ name: 'xx-nowhere', direction: 'ltr' });
    for (const tag of SHIPPED_LANGUAGES) expect([tag, isLanguage(tag)]).toEqual([tag, true]);
  });

  it('are refused with a reason where no font has their script, and found by any of their names', () => {
    expect(['so', 'am', 'uk', 'hi', 'bn', 'he', 'zh-Hant', 'el'].map(languageFault)).toEqual(
      Array.from({ length: 8 }, () => undefined),
    );
    expect(languageFault('th')).toBe(
      'Thai is written in Thai, and no font here has that script: its sheets could not be printed.',
    );
    expect(languageFault('klingon')).toBe('Choose a language from the list.');
    expect(['Somali', 'SOOMAALI', ' so '].map((text) => languageNamed(text)?.tag)).toEqual([
      'so',
      'so',
      'so',
    ]);
    expect([languageNamed(''), languageNamed('Elvish')]).toEqual([undefined, undefined]);
    expect([isLanguage('th'), isLanguage('es'), isLanguage('ES'), isLanguage(7)]).toEqual([
      false,
      true,
      false,
      false,
    ]);
  });
});

describe('a school’s own wording', () => {
  const changed = { es: { family: { send: 'Mandar' } }, en: { family: { send: 'Send it', skip: 'Go on' } } };
  it('lies over what ships, line by line, and over the English source', () => {
    const es = readingOf('es', changed);
    expect(say(es, FAMILY_WORDS, 'send')).toBe('Mandar');
    expect(say(es, FAMILY_WORDS, 'skip')).toBe('Ir al juego');
    expect(say(readingOf('en', changed), FAMILY_WORDS, 'send')).toBe('Send it');
    // A language without wording says the English of the school.
    const so = readingOf('so', changed);
    expect(messageIn(so, FAMILY_WORDS, 'send')).toBeUndefined();
    expect([say(so, FAMILY_WORDS, 'send'), say(so, FAMILY_WORDS, 'thanks')]).toEqual([
      'Send it',
      'Thank you',
    ]);
    expect(revised(readingOf('pt'), {})).toBe(readingOf('pt'));
  });
});

describe('messages', () => {
  it('agree in number', () => {
    const ask = (quantity: number) =>
      ['en', 'es', 'pt', 'vi', 'zh-Hans'].map((language) =>
        say(readingOf(language), MATERIAL_WORDS, 'pencil', { quantity }),
      );
    expect(ask(1)).toEqual(['1 pencil', '1 lápiz', '1 lápis', '1 bút chì', '1支铅笔']);
    expect(ask(2)).toEqual(['2 pencils', '2 lápices', '2 lápis', '2 bút chì', '2支铅笔']);
    const arabic = (quantity: number) => say(readingOf('ar'), MATERIAL_WORDS, 'small-cup', { quantity });
    expect([1, 2, 3, 11, 100].map(arabic)).toEqual([
      'كوب صغير واحد (1)',
      'كوبان صغيران (2)',
      '3 أكواب صغيرة',
      '11 كوبًا صغيرًا',
      '100 كوب صغير',
    ]);
  });

  it('find digits and arguments, in branches too', () => {
    expect(digitsIn('{n, plural, one {# of 3} other {#}}')).toEqual(['3']);
    expect(argumentsOf('{a} {n, plural, one {{b}} other {#}}')).toEqual(['a', 'b', 'n']);
  });

  it('refuse what they do not have', () => {
    expect(() => say(readingOf('en'), FAMILY_WORDS as Source, 'nope')).toThrow(/nope/);
    expect(() => format('{missing}', 'en')).toThrow(/missing/);
  });
});

describe('numbers', () => {
  it('are written as a person says them', () => {
    expect([plain(96.73), plain(4.38), plain(0.015625), plain(0), plain(1572864)]).toEqual([
      '97',
      '4.4',
      '0.016',
      '0',
      '1,572,864',
    ]);
    expect([share(0.3125), share(1 / 64), share(0), share(1)]).toEqual([
      '31 in 100',
      '1 in 64',
      'never',
      'always',
    ]);
    expect([count(1, 'copy', 'copies'), count(3, 'copy', 'copies')]).toEqual(['1 copy', '3 copies']);
  });
  it('have a unit for one and for many', () => {
    for (const [many, one] of [
      ['sheets', 'sheet'],
      ['pouches', 'pouch'],
      ['families', 'family'],
      ['pieces', 'piece'],
      ['moves', 'move'],
      ['m²', 'm²'],
      ['of 6', 'of 6'],
      ['in 100', 'in 100'],
      ['', ''],
    ] as const)
      expect([unitFor(1, many), unitFor(2, many), unitFor(1.2, many), unitFor(0, many)]).toEqual([
        one,
        many,
        many,
        many,
      ]);
  });
  it('are read as amounts of money, however they are typed', () => {
    for (const [typed, cents] of [
      ['12', 1200],
      ['12.5', 1250],
      [' $0.07 ', 7],
      ['1,99', 199],
      ['', undefined],
      ['1.999', undefined],
      ['-3', undefined],
      ['3 dollars', undefined],
      ['12345678', undefined],
    ] as const)
      expect([typed, centsIn(typed)]).toEqual([typed, cents]);
    for (const cents of [0, 5, 99, 100, 123456]) expect(centsIn(money(cents).replace(',', ''))).toBe(cents);
  });
});
