import { describe, expect, it } from 'vitest';
import { checkForm } from '~/core/check/check';
import { answerSchema, isEmpty } from './answer';
import type { Level } from '~/core/pack/questions';
import { nextStep, sentenceFor, type Heard } from './sentence';

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

describe('the next basket', () => {
  it('waits for three families and a majority', () => {
    expect(nextStep(heard(['a', 'tooHard', null], ['b', 'tooHard', null]))).toBeUndefined();
    expect(
      nextStep(heard(['a', 'tooHard', null], ['b', 'tooHard', null], ['c', 'justRight', null])),
    ).toMatchObject({ direction: 'easier' });
    expect(
      nextStep(heard(['a', 'tooEasy', null], ['b', 'tooEasy', null], ['c', 'tooEasy', null])),
    ).toMatchObject({ direction: 'harder' });
    expect(
      nextStep(heard(['a', 'tooEasy', null], ['b', 'tooHard', null], ['c', 'justRight', null])),
    ).toBeUndefined();
  });
});

describe('an answer', () => {
  it('may leave everything empty, and is then known to be empty', () => {
    const checked = checkForm(answerSchema, { children: '', childDid: '  ' });
    expect(checked.ok && isEmpty(checked.value)).toBe(true);
    const one = checkForm(answerSchema, { children: '0' });
    expect(one.ok && isEmpty(one.value)).toBe(false);
  });

  it('refuses what cannot be', () => {
    const checked = checkForm(answerSchema, {
      children: '13',
      minutes: '0',
      level: 'fine',
      missing: 'x'.repeat(501),
    });
    expect(checked.ok ? [] : Object.keys(checked.errors).sort()).toEqual([
      'children',
      'level',
      'minutes',
      'missing',
    ]);
  });
});
