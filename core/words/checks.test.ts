import { describe, expect, it } from 'vitest';
import { checkOf, holds, schoolsWord, stateOf, wordsChanged, type ReadLine } from './checks';

const now = { message: 'Junten {n} fichas.', english: 'Collect {n} counters.' };
const read = (more: Partial<ReadLine> = {}): ReadLine => ({
  ...now,
  english: now.english,
  message: now.message,
  right: true,
  note: '',
  by: 'Tobin',
  unsure: false,
  invited: false,
  at: new Date(0),
  ...more,
});
const voice = (more: Partial<ReadLine> = {}) => {
  const { by, right, note, unsure, invited } = read(more);
  return { by, right, note, unsure, invited };
};
/** Said through a link, so many hours later. */
const invited = (by: string, hours: number, more: Partial<ReadLine> = {}): ReadLine =>
  read({ by, invited: true, at: new Date(hours * 3_600_000), ...more });

describe('where a line stands', () => {
  it('is what was said of it, for the wording and the English that were read', () => {
    expect(stateOf([], now)).toEqual({ kind: 'unchecked' });
    expect(stateOf([read()], now)).toEqual({ kind: 'checked', voices: [voice()] });
    expect(stateOf([read({ right: false, note: 'too stiff' })], now)).toEqual({
      kind: 'doubt',
      voices: [voice({ right: false, note: 'too stiff' })],
    });
    // The tick was taken back, and nothing else was said.
    expect(stateOf([read({ right: false })], now)).toEqual({ kind: 'unchecked' });
  });

  it('is stale once the English changes, and not checked once it is worded anew itself', () => {
    expect(stateOf([read()], { ...now, english: 'Gather {n} counters.' })).toEqual({
      kind: 'stale',
      by: 'Tobin',
      note: '',
      right: true,
      english: now.english,
    });
    expect(stateOf([read()], { ...now, message: 'Recojan {n} fichas.' })).toEqual({ kind: 'unchecked' });
    // Of the oldest checks it is not known which English they were held against: they hold.
    expect(stateOf([read({ english: null })], { ...now, english: 'Gather {n} counters.' }).kind).toBe(
      'checked',
    );
  });

  it('counts as right exactly where the check holds', () => {
    for (const message of [now.message, 'other'])
      for (const english of [now.english, 'other', null]) {
        const line = read({ message, english });
        expect(stateOf([line], now).kind === 'checked').toBe(holds(line, now));
      }
  });

  it('keeps the words of readers who disagree, until the school decides', () => {
    const yes = invited('Nadia', 1);
    const no = invited('Omar', 2, { right: false, note: 'Nobody says it so.' });
    expect(stateOf([yes], now).kind).toBe('checked');
    for (const both of [
      [yes, no],
      [no, yes],
    ]) {
      const state = stateOf(both, now);
      expect(state.kind === 'doubt' && state.voices.map(({ by }) => by).sort()).toEqual(['Nadia', 'Omar']);
      expect(checkOf(state)).toMatchObject({ right: false, note: 'Nobody says it so.' });
      // The school has said nothing since: its tick is open again.
      expect(schoolsWord(state)).toEqual({ right: false, note: '' });
    }
    // Not sure is a doubt, and a word that was taken back is none.
    expect(stateOf([yes, invited('Omar', 2, { right: false, unsure: true })], now).kind).toBe('doubt');
    expect(stateOf([yes, invited('Omar', 2, { right: false })], now)).toEqual(stateOf([yes], now));
    // The school's word settles what was said before it, and not what is said after it.
    const decided = read({ by: 'Maren', at: new Date(3 * 3_600_000) });
    expect(stateOf([yes, no, decided], now)).toEqual({ kind: 'checked', voices: [voice({ by: 'Maren' })] });
    expect(schoolsWord(stateOf([yes, no, decided], now))).toEqual({ right: true, note: '', by: 'Maren' });
    expect(stateOf([decided, { ...no, at: new Date(4 * 3_600_000) }], now).kind).toBe('doubt');
    // What was said of another wording is not counted with it.
    expect(stateOf([{ ...no, message: 'other' }, yes], now)).toEqual(stateOf([yes], now));
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
