import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games/shelf';
import { AROUND } from '~/core/pack/sources';

import { takeBack, unitOf, type LineHere, type Returned } from './exchange';
import { faultsOfLine } from './line';
import { format } from './message';
import { messageIn } from './reading';
import { readingOf } from './readings';
import { readXliff, writeXliff } from './xliff';

const SOURCES = [...SHELF, ...AROUND];
const linesIn = (to: string, from = 'en'): LineHere[] => {
  const [read, worded] = [readingOf(from), readingOf(to)];
  return SOURCES.flatMap(({ id, words }) =>
    Object.entries<string>(words.en).map(([messageId, english]) => {
      const message = messageIn(worded, words, messageId);
      return {
        sourceId: id,
        messageId,
        english,
        from: messageIn(read, words, messageId) ?? english,
        ...(message === undefined ? {} : { to: message }),
        place: 'Get ready, 1',
        state: 'translated' as const,
        note: 'is it said “so” & <how>?',
      };
    }),
  );
};
const sent = (lines: readonly LineHere[], to: string, from = 'en'): Returned[] => {
  const read = readXliff(writeXliff({ from, to, lines }));
  if (!read.ok) throw new Error(read.problem);
  expect([read.from, read.to]).toEqual([from, to]);
  return read.segments;
};
const spill = (to: string) => linesIn(to).filter(({ sourceId }) => sourceId === 'two-tone-spill');

describe('lines out and in', () => {
  it('come back as they went out, for every line in every language, and in pairs without English', () => {
    for (const [from, to] of [
      ['en', 'es'],
      ['en', 'pt'],
      ['en', 'ar'],
      ['en', 'vi'],
      ['en', 'zh-Hans'],
      ['en', 'so'],
      ['es', 'ar'],
      ['ar', 'es'],
    ] as const) {
      const lines = linesIn(to, from);
      const taken = takeBack(sent(lines, to, from), lines, from, to);
      expect([from, to, taken.changes, taken.refused]).toEqual([from, to, [], []]);
      expect(taken.same).toBe(lines.length);
    }
  });

  it('keep the places whatever is written around them, in every form of the language', () => {
    const words = fc
      .string({ unit: 'grapheme', maxLength: 40 })
      .filter((text) => !/[{}\p{N}\p{C}]/u.test(text) && text === text.trim());
    for (const to of ['es', 'ar'])
      fc.assert(
        fc.property(fc.array(words, { minLength: 2, maxLength: 6 }), fc.nat(), (texts, pick) => {
          const lines = spill(to);
          const line = lines[pick % lines.length]!;
          const edited: LineHere[] = lines.map((one) => one);
          const segments = sent(edited, to).map((one) =>
            one.messageId === line.messageId
              ? { ...one, target: `${texts[0]} ${one.target} ${texts.slice(1).join(' ')}`.trim() }
              : one,
          );
          const taken = takeBack(segments, lines, 'en', to);
          expect(taken.refused).toEqual([]);
          const [change] = taken.changes;
          if (!change) return;
          expect(change.messageId).toBe(line.messageId);
          expect(faultsOfLine(change.becomes, line.english, to)).toEqual([]);
          // Out and in once more it is the same.
          const now = lines.map((one) =>
            one.messageId === line.messageId ? { ...one, to: change.becomes } : one,
          );
          expect(takeBack(sent(now, to), now, 'en', to).changes).toEqual([]);
        }),
        { numRuns: 25 },
      );
  });

  it('says an edited line with its number in place', () => {
    const lines = spill('es');
    const segments = sent(lines, 'es').map((one) => ({
      ...one,
      target: one.target.replace('Pongan', 'Metan'),
    }));
    const { changes } = takeBack(segments, lines, 'en', 'es');
    const cup = changes.find(({ messageId }) => messageId === 'setUp.cup')!;
    expect(format(cup.becomes, 'es', { counters: 1 })).toMatch(/^Metan 1 ficha /);
    expect(format(cup.becomes, 'es', { counters: 7 })).toMatch(/^Metan 7 fichas /);
    expect(cup.sentences.map(({ when }) => when)).toEqual(['counters: 1', 'counters: 0, 2, 3 …']);
  });

  it('refuses what cannot be said, each with its reason, and takes the rest', () => {
    const lines = spill('es');
    const back = (edit: (one: Returned) => Returned[]) =>
      takeBack(sent(lines, 'es').flatMap(edit), lines, 'en', 'es');
    const whys = (edit: (one: Returned) => Returned[]) => back(edit).refused.map(({ why }) => why);
    const cup = (one: Returned) => one.messageId === 'setUp.cup';
    expect(
      whys((one) => [cup(one) ? { ...one, target: one.target.replace('{counters}', '') } : one])[0],
    ).toMatch(/\{counters\} is missing/);
    expect(whys((one) => [cup(one) ? { ...one, target: '' } : one])).toEqual(['The wording is empty.']);
    expect(whys((one) => (cup(one) && one.form === 'counters-one' ? [] : [one]))[0]).toMatch(
      /^A form is missing: counters: 1\./,
    );
    expect(whys((one) => [cup(one) ? { ...one, source: `${one.source}!` } : one])[0]).toMatch(
      /has changed since the file was written/,
    );
    expect(whys((one) => [cup(one) ? { ...one, messageId: 'setUp.cups' } : one])).toEqual([
      'There is no such line here.',
    ]);
    expect(whys((one) => (cup(one) ? [one, one] : [one]))).toEqual([
      'The same sentence stands in the file twice.',
    ]);
    expect(whys((one) => [cup(one) ? { ...one, form: `${one.form}s` } : one])[0]).toMatch(/no sentence/);
    expect(whys((one) => [cup(one) ? { ...one, target: `${one.target} {` } : one])[0]).toMatch(/brace/);
    expect(whys((one) => [cup(one) ? { ...one, target: `${one.target} {dice}` } : one])[0]).toMatch(
      /no \{dice\}/,
    );
    expect(whys((one) => [cup(one) ? { ...one, target: `6 y ${one.target}` } : one])[0]).toMatch(/by hand/);
    // The other lines of such a file are right.
    expect(back((one) => [cup(one) ? { ...one, target: '' } : one]).same).toBe(lines.length - 1);
  });

  it('counts a line as final only where all of its sentences are', () => {
    const lines = spill('es');
    const { final } = takeBack(
      sent(lines, 'es').map((one, i) => ({
        ...one,
        state:
          one.messageId === 'goal' || (one.messageId === 'setUp.cup' && i % 2 === 0) ? 'final' : 'translated',
      })),
      lines,
      'en',
      'es',
    );
    expect(final).toEqual([{ sourceId: 'two-tone-spill', messageId: 'goal' }]);
  });

  it('is a file that other tools can read: codes are explained, ids are names, the first language stands beside', () => {
    const file = writeXliff({ from: 'en', to: 'ar', lines: spill('ar') });
    expect(file).toMatch(
      /^<\?xml version="1\.0" encoding="UTF-8"\?><xliff xmlns="urn:oasis:names:tc:xliff:document:2\.0"/,
    );
    for (const [, id] of file.matchAll(/ id="([^"]*)"/g)) expect(id).toMatch(/^[\w.:-]+$/);
    const units = file.split('<unit ').slice(1);
    for (const unit of units) {
      const known = [...unit.matchAll(/<data id="(d\d+)"/g)].map(([, id]) => id);
      for (const [, ref] of unit.matchAll(/dataRef="(d\d+)"/g)) expect(known).toContain(ref);
      // Every code of a unit has an id of its own, in each language.
      for (const name of ['source', 'target']) {
        const ids = [...unit.matchAll(new RegExp(`<${name}[^>]*>(.*?)</${name}>`, 'g'))].flatMap(
          ([, inside]) => [...inside!.matchAll(/<ph id="([^"]+)"/g)].map(([, id]) => id),
        );
        expect(new Set(ids).size).toBe(ids.length);
      }
    }
    expect(
      unitOf(
        spill('ar').find(({ messageId }) => messageId === 'setUp.cup')!,
        'en',
        'ar',
      ).segments,
    ).toHaveLength(6);
  });

  it('answers 10,000 random and broken files with a sentence or with lines, and never falls over', () => {
    const lines = spill('ar').slice(0, 6);
    const file = writeXliff({ from: 'en', to: 'ar', lines });
    let opened = 0;
    let refused = 0;
    const broken = fc.oneof(
      // Pieces cut out, put in twice, or replaced.
      fc
        .tuple(
          fc.nat(file.length),
          fc.nat(400),
          fc.oneof(
            fc.string({ maxLength: 30 }),
            fc.constantFrom(
              '<',
              '&',
              '</target>',
              '<ph/>',
              '<ph id="1"/>',
              ']]>',
              '&#0;',
              '&x;',
              '<!--',
              '<?a?>',
              '<segment>',
              ' state="final"',
              '\u0000',
              '{',
              '}}',
              "'{'",
            ),
          ),
        )
        .map(([at, length, put]) => file.slice(0, at) + put + file.slice(at + length)),
      fc.tuple(fc.nat(file.length), fc.nat(file.length)).map(([a, b]) => file.slice(0, a) + file.slice(b)),
      fc.string({ maxLength: 200 }),
      fc.constantFrom(
        '',
        '<',
        '<a/>',
        '<xliff/>',
        '<!DOCTYPE x [<!ENTITY a "b">]><xliff>&a;</xliff>',
        '<xliff version="1.2"></xliff>',
      ),
    );
    fc.assert(
      fc.property(broken, (text) => {
        const read = readXliff(text);
        if (!read.ok) {
          refused++;
          expect(read.problem).toMatch(/^[A-Z][^<>]*\.( Nothing of it was taken\.)?$/);
          return;
        }
        opened++;
        const taken = takeBack(read.segments, lines, read.from, read.to);
        for (const { why } of taken.refused) expect(why).toMatch(/^[A-Z“{].*[.”]$/);
        // What is taken can be said.
        for (const { becomes, english } of taken.changes) {
          if (read.to === 'ar') expect(faultsOfLine(becomes, english, 'ar')).toEqual([]);
        }
      }),
      { numRuns: 10_000 },
    );
    // Both happen, or nothing was tried.
    expect([opened > 50, refused > 1000]).toEqual([true, true]);
  }, 300_000);
});
