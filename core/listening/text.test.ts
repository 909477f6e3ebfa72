import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readText, tagBefore, type LevelWords } from './text';

const WORDS: LevelWords = {
  tooEasy: ['easy', 'fácil', 'سهل'],
  justRight: ['ok', 'bien', 'مناسب'],
  tooHard: ['hard', 'difícil', 'صعب'],
};
const read = (text: string, games = 2) => {
  const reading = readText(text, games, WORDS);
  return reading.ok
    ? reading.games.map(({ position, said, minutes }) => [position, said, minutes])
    : reading.why;
};

describe('an answer by text', () => {
  it('is the number of a game, a word, and the minutes', () => {
    expect(read('2 ok 10')).toEqual([[1, 'justRight', 10]]);
    expect(read('1 HARD')).toEqual([[0, 'tooHard', undefined]]);
    expect(read('1 dificil 25; 2 Fácil 5')).toEqual([
      [0, 'tooHard', 25],
      [1, 'tooEasy', 5],
    ]);
    expect(read('2 easy\n1 ok 8.')).toEqual([
      [0, 'justRight', 8],
      [1, 'tooEasy', undefined],
    ]);
    expect(read('ok', 1)).toEqual([[0, 'justRight', undefined]]);
    expect(read('bien 12', 1)).toEqual([[0, 'justRight', 12]]);
  });
  it('is read in Arabic, with its own digits and commas', () => {
    expect(read('٢ مناسب ١٠، ١ صعب')).toEqual([
      [0, 'tooHard', undefined],
      [1, 'justRight', 10],
    ]);
    // Ornamental digits stand in rows without a gap between them.
    expect(read('𝟚 ok 𝟠')).toEqual([[1, 'justRight', 8]]);
  });
  it('is never guessed: what is not said exactly so is put before a person', () => {
    for (const [text, games, why] of [
      ['ok 10', 2, /which of the 2 games/],
      ['3 ok', 2, /speaks of game 3/],
      ['2 ok', 1, /one game in the bag/],
      ['1 ok, 1 hard', 2, /twice of game 1/],
      ['1 ok 2 hard', 2, /is not the number/],
      ['1 okay', 2, /is not the number/],
      ['we loved it, 1 ok', 2, /is not the number/],
      ['1 not ok', 2, /is not the number/],
      ['1 ok 500', 2, /500 minutes/],
      ['0 ok', 2, /speaks of game 0/],
      ['10', 1, /is not the number/],
      ['', 1, /Nothing/],
      ['x'.repeat(301), 1, /long/],
    ] as const)
      expect(read(text, games), text).toMatch(why);
  });
  it('is refused where one word means two things', () => {
    expect(readText('ok', 1, { ...WORDS, tooHard: ['ok'] }).ok).toBe(false);
  });
  it('answers any text with a sentence or with games of the bag', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ unit: 'grapheme', maxLength: 60 }),
          fc
            .array(fc.constantFrom('1', '2', '٣', 'ok', 'hard', ',', ' ', '\n', '10', '’', '\u200f', '😀'), {
              maxLength: 12,
            })
            .map((all) => all.join(' ')),
        ),
        fc.integer({ min: 1, max: 6 }),
        (text, games) => {
          const reading = readText(text, games, WORDS);
          if (reading.ok)
            for (const { position, said } of reading.games) {
              expect(position).toBeLessThan(games);
              expect(said).toBeDefined();
            }
          else expect(reading.why).toMatch(/^[A-Z“0-9].*\.$/s);
        },
      ),
      { numRuns: 2000 },
    );
  });
  it('may begin with the tag of the bag', () => {
    expect(tagBefore('3467-6 2 ok')).toEqual({ rest: '3467-6 2 ok' });
    const { tag, rest } = tagBefore('K7M4-W 2 ok 10');
    expect([tag ?? 'none', rest]).toEqual(tag ? ['K7M4W', '2 ok 10'] : ['none', 'K7M4-W 2 ok 10']);
    expect(tagBefore('2 ok 10').tag).toBeUndefined();
  });
});
