import { describe, expect, it } from 'vitest';
import { weakness } from './weak';

const NAMES = ['Kittiwake Bay Elementary', 'Maren Tern'];

describe('a password that others try first', () => {
  it.each([
    ['password1234', /lists/],
    ['P@ssw0rd2024!', /lists/],
    ['iloveyou2026!', /lists/],
    ['passwordqwerty', /lists/],
    ['!!!letmein!!!', /lists/],
    ['aaaaaaaaaaaa', /repeats/],
    ['letmeinletmein', /lists|repeats/],
    ['tide1tide1tide1', /repeats/],
    ['aA1!aA1!aA1!aA1!', /repeats/],
    ['fernbasket12', /name/],
    ['Kittiwake-Bay1', /name/],
    ['maren maren 26', /name|repeats/],
    ['kittiwakeelementary', /name/],
    ['abcdefghijkl', /row|lists/],
    ['qwertyuiop12', /row|lists/],
    ['1234567890123', /row|lists/],
    ['lkjhgfdsa4321', /row|lists/],
    ['abababcabcab', /row|repeats/],
  ])('“%s” is refused with a sentence', (password, why) => {
    expect(weakness(password, NAMES)).toMatch(why);
    expect(weakness(password.toUpperCase(), NAMES)).toMatch(why);
  });

  it.each([
    'a long enough password',
    'fern-and-twine',
    'scissors-and-glue',
    'word-for-word',
    'lamp-and-ladder',
    'tide-and-timber',
    'ropes gulls and lanterns',
    'kittiwake ropes and gulls',
    'три слова подряд',
    '纸船 灯塔 海鸥 绳子 木桶 潮水',
  ])('“%s” may be kept', (password) => {
    expect(weakness(password, NAMES)).toBeUndefined();
  });

  it('is told in a moment, however long it is', () => {
    for (const text of [
      'aA1!'.repeat(50),
      'password1234qwerty'.repeat(11),
      '0123456789'.repeat(20),
      '\u0301'.repeat(200),
    ])
      expect(typeof (weakness(text, NAMES) ?? '')).toBe('string');
  });
});
