import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { takeBack, type LineHere } from '~/core/words/exchange';
import { messageIn } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { writeXliff } from '~/core/words/xliff';
import { linesFromCsv, linesIn, linesToCsv } from './files';

const { id, words } = gameOf('two-tone-spill');
const here = (to: string): LineHere[] =>
  Object.entries<string>(words.en).map(([messageId, english]) => ({
    sourceId: id,
    messageId,
    english,
    from: english,
    to: messageIn(readingOf(to), words, messageId)!,
    place: 'Get ready, 1',
    state: 'translated' as const,
    note: '=1+1',
  }));

describe('a table of lines', () => {
  it('comes back as it went out, in every language, and says the same as XLIFF', () => {
    for (const to of ['es', 'pt', 'ar', 'vi', 'zh-Hans']) {
      const lines = here(to);
      const table = linesIn(linesToCsv('en', to, lines));
      const file = linesIn(writeXliff({ from: 'en', to, lines }));
      if (!table.ok || !file.ok) throw new Error('not read');
      const taken = takeBack(table.segments, lines, 'en', to);
      expect([taken.changes, taken.refused, taken.same]).toEqual([[], [], lines.length]);
      const plain = ({ sourceId, messageId, form, source, target }: (typeof file.segments)[number]) => [
        sourceId,
        messageId,
        form,
        source.trim(),
        target.trim(),
      ];
      expect(table.segments.map(plain)).toEqual(file.segments.map(plain));
    }
  });

  it('names the languages once, and what is missing', () => {
    const table = linesToCsv('en', 'es', here('es'));
    expect(linesFromCsv(table.replace(',en,es,', ',en,pt,'))).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/same two languages/) as string,
    });
    expect(linesFromCsv(table.replaceAll(',en,es,', ',en,tlh-xx-1,'))).toMatchObject({ ok: false });
    expect(linesFromCsv(table.replace('wording', 'words'))).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/Missing: wording/) as string,
    });
    expect(linesFromCsv(`${table}a,b\r\n`)).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/^Row \d+: This line has fewer cells/) as string,
    });
  });

  it('answers 10,000 random and broken tables with a sentence or with lines', () => {
    const lines = here('ar').slice(0, 4);
    const table = linesToCsv('en', 'ar', lines);
    let opened = 0;
    fc.assert(
      fc.property(
        fc.oneof(
          fc
            .tuple(
              fc.nat(table.length),
              fc.nat(60),
              fc.oneof(
                fc.string({ maxLength: 20 }),
                fc.constantFrom('"', ',', '\r\n', '\u0000', '{', '=1', "'"),
              ),
            )
            .map(([at, length, put]) => table.slice(0, at) + put + table.slice(at + length)),
          fc.string({ maxLength: 200 }),
        ),
        (text) => {
          const read = linesIn(text);
          if (!read.ok) {
            expect(read.problem).toMatch(/^[A-Z“].*[.”]$/s);
            return;
          }
          opened++;
          for (const { why } of takeBack(read.segments, lines, read.from, read.to).refused)
            expect(why).toMatch(/^[A-Z“{].*[.”]$/s);
        },
      ),
      { numRuns: 10_000 },
    );
    expect(opened).toBeGreaterThan(500);
  }, 300_000);
});
