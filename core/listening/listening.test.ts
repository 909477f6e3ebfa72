import { describe, expect, it } from 'vitest';
import { isEmpty, readAnswer } from './answer';
import type { Level } from '~/core/pack/questions';
import { sentenceFor, type Heard } from './sentence';

const heard = (...answers: [familyId: string, level: Level | null, minutes: number | null][]): Heard[] =>
  answers.map(([familyId, level, minutes]) => ({ familyId, level, minutes }));

describe('the sentence that matters', () => {
  it('says how many found it so, and how long it took', () => {
    expect(
      sentenceFor(heard(['a', 'justRight', 5], ['b', 'justRight', 12], ['c', 'tooEasy', 8]), '6 counters', 9),
    ).toBe('2 of 3 families found 6 counters just right; 5–12 minutes, against 9 expected.');
  });

  it('counts the last answer of a family that answered twice', () => {
    expect(sentenceFor(heard(['a', 'tooHard', 20], ['a', 'justRight', 6]), '5 counters', 7)).toBe(
      '1 of 1 family found 5 counters just right; 6 minutes, against 7 expected.',
    );
  });

  it('does not make a majority where there is none', () => {
    expect(sentenceFor(heard(['a', 'tooHard', null], ['b', 'tooEasy', null]), '6 counters', 9)).toBe(
      '2 families do not agree about 6 counters: 1 too easy, 1 too hard.',
    );
  });

  it('says what it can from what was answered', () => {
    expect(sentenceFor(heard(['a', null, 4]), '6 counters', 9)).toBe('4 minutes, against 9 expected.');
    expect(sentenceFor(heard(['a', null, null]), '6 counters', 9)).toBeUndefined();
    expect(sentenceFor([], '6 counters', 9)).toBeUndefined();
  });
});

describe('an answer', () => {
  const form = (fields: Record<string, string | string[]>): FormData => {
    const made = new FormData();
    for (const [name, value] of Object.entries(fields))
      for (const one of [value].flat()) made.append(name, one);
    return made;
  };
  it('may leave everything empty, and is then known to be empty', () => {
    const read = readAnswer(form({ children: '', childDid: '  ', 'g0.child': ' ' }), 2);
    expect(read.ok && isEmpty(read.value)).toBe(true);
    const one = readAnswer(form({ children: '0' }), 2);
    expect(one.ok && isEmpty(one.value)).toBe(false);
  });
  it('is whole with one word on one game', () => {
    const read = readAnswer(form({ 'g1.said': 'justRight' }), 2);
    expect(read).toMatchObject({ ok: true, value: { games: [{ position: 1, said: 'justRight', how: [] }] } });
  });
  it('tells of each game how it was worked out, by whom, and what was unclear', () => {
    const read = readAnswer(
      form({
        'g0.said': 'tooHard',
        'g0.how': ['pieces', 'countingOn'],
        'g0.child': 'Juno',
        'g0.childSaid': '¡Otra vez!',
        'g0.unclear': 'turn',
        'g7.said': 'tooEasy',
      }),
      1,
    );
    expect(read).toEqual({
      ok: true,
      value: {
        answer: { childDid: '', missing: '', anythingElse: '' },
        games: [
          {
            position: 0,
            said: 'tooHard',
            how: ['pieces', 'countingOn'],
            child: 'Juno',
            childSaid: '¡Otra vez!',
            changed: '',
            unclear: 'turn',
          },
        ],
      },
    });
  });
  it('refuses what cannot be, and says where', () => {
    const read = readAnswer(
      form({
        children: '13',
        minutes: '0',
        again: 'perhaps',
        missing: 'x'.repeat(501),
        'g0.said': 'fine',
        'g1.child': 'Juno Marie',
        'g1.how': 'magic',
      }),
      2,
    );
    expect(read.ok ? [] : Object.keys(read.errors).sort()).toEqual([
      'again',
      'children',
      'g0.said',
      'g1.child',
      'g1.how',
      'minutes',
      'missing',
    ]);
  });
});
