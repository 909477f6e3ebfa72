import { describe, expect, it } from 'vitest';
import { holds, stateOf, wordsChanged, type ReadLine } from './checks';

const now = { message: 'Junten {n} fichas.', english: 'Collect {n} counters.' };
const read = (more: Partial<ReadLine> = {}): ReadLine => ({
  ...now,
  english: now.english,
  message: now.message,
  right: true,
  note: '',
  by: 'Tobin',
  ...more,
});

describe('where a line stands', () => {
  it('is what was said of it, for the wording and the English that were read', () => {
    expect(stateOf(undefined, now)).toEqual({ kind: 'unchecked' });
    expect(stateOf(read(), now)).toEqual({ kind: 'checked', by: 'Tobin', note: '' });
    expect(stateOf(read({ right: false, note: 'too stiff' }), now)).toEqual({
      kind: 'doubt',
      by: 'Tobin',
      note: 'too stiff',
    });
    // The tick was taken back, and nothing else was said.
    expect(stateOf(read({ right: false }), now)).toEqual({ kind: 'unchecked' });
  });

  it('is stale once the English changes, and not checked once it is worded anew itself', () => {
    expect(stateOf(read(), { ...now, english: 'Gather {n} counters.' })).toEqual({
      kind: 'stale',
      by: 'Tobin',
      note: '',
      right: true,
      english: now.english,
    });
    expect(stateOf(read(), { ...now, message: 'Recojan {n} fichas.' })).toEqual({ kind: 'unchecked' });
    // Of the oldest checks it is not known which English they were held against: they hold.
    expect(stateOf(read({ english: null }), { ...now, english: 'Gather {n} counters.' }).kind).toBe(
      'checked',
    );
  });

  it('counts as right exactly where the check holds', () => {
    for (const message of [now.message, 'other'])
      for (const english of [now.english, 'other', null]) {
        const line = read({ message, english });
        expect(stateOf(line, now).kind === 'checked').toBe(holds(line, now));
      }
  });

  it('shows what changed word by word, and the pieces give both texts again', () => {
    for (const [language, before, after] of [
      ['en', 'Take 6 counters from the cup.', 'Take out 6 counters, one by one.'],
      ['ar', 'خذوا ستة أقراص من الكوب.', 'خذوا قرصًا واحدًا من الكوب.'],
      ['zh-Hans', '从杯子里拿出六个圆片。', '从袋子里拿出圆片。'],
      ['en', '', 'New.'],
      ['en', 'Gone.', ''],
      ['en', 'Same.', 'Same.'],
    ] as const) {
      const pieces = wordsChanged(before, after, language);
      const text = (how: string) =>
        pieces
          .filter((piece) => piece.how === 'same' || piece.how === how)
          .map((piece) => piece.text)
          .join('');
      expect([text('gone'), text('come')]).toEqual([before, after]);
      expect(pieces.every(({ how }) => how === 'same')).toBe(before === after);
    }
  });
});
