import { describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games/shelf';
import { MATERIAL_WORDS } from '~/core/materials/words';
import { FAMILY_WORDS } from './family';
import { argumentsOf, digitsIn } from './inspect';
import { format } from './message';
import { wordedOr, WORDED } from './languages';
import { centsIn, count, money, plain, share, unitFor } from './numbers';
import { PRINT_WORDS } from './print';
import { linesOf, say, type Source } from './reading';
import { readingOf } from './readings';
import { SHARED } from './shared';
import { TROUBLE_WORDS } from './trouble';

const SOURCES: [string, Source][] = [
  ['troubles', TROUBLE_WORDS],
  ['family pages', FAMILY_WORDS],
  ['printed frames', PRINT_WORDS],
  ['materials', MATERIAL_WORDS],
  ...SHELF.map((game): [string, Source] => [game.id, game.words]),
];

describe.each(SOURCES)('the wording of %s', (_, source) => {
  const ids = Object.keys(source.en);
  const wording = { en: source.en, es: linesOf(readingOf('es'), source) };

  it('has the same lines in every language', () => {
    for (const language of WORDED) expect(Object.keys(wording[language])).toEqual(ids);
  });

  it('takes the same arguments in every language', () => {
    for (const id of ids)
      for (const language of WORDED)
        expect([id, argumentsOf(wording[language][id]!)]).toEqual([id, argumentsOf(wording.en[id]!)]);
  });

  it('writes no number that does not come from an argument', () => {
    for (const id of ids)
      for (const language of WORDED) expect([id, digitsIn(wording[language][id]!)]).toEqual([id, []]);
  });

  it('has no line twice the same in both languages by oversight', () => {
    const same = ids.filter((id) => wording.en[id] === wording.es[id]);
    // No is no in both.
    expect(same.filter((id) => id !== 'slip.no')).toEqual([]);
  });
});

describe.each(['es', 'pt', 'ar'] as const)('the messages in %s', (language) => {
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

describe('messages', () => {
  it('agree in number', () => {
    const ask = (quantity: number) =>
      WORDED.map((language) => say(readingOf(language), MATERIAL_WORDS, 'pencil', { quantity }));
    expect(ask(1)).toEqual(['1 pencil', '1 lápiz']);
    expect(ask(2)).toEqual(['2 pencils', '2 lápices']);
  });

  it('find digits and arguments, in branches too', () => {
    expect(digitsIn('{n, plural, one {# of 3} other {#}}')).toEqual(['3']);
    expect(argumentsOf('{a} {n, plural, one {{b}} other {#}}')).toEqual(['a', 'b', 'n']);
  });

  it('refuse what they do not have', () => {
    expect(() => say(readingOf('en'), FAMILY_WORDS as Source, 'nope')).toThrow(/nope/);
    expect(() => format('{missing}', 'en')).toThrow(/missing/);
  });

  it('fall back to English for a language without wording', () => {
    expect([wordedOr('es'), wordedOr('ar'), wordedOr(undefined)]).toEqual(['es', 'en', 'en']);
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
