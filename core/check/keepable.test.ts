import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Type } from '@sinclair/typebox';
import { checkForm, checkJson } from './check';
import { MOST_DEPTH, readJson, unkeepable, visible } from './keepable';
import { Line, LongText, Whole } from './schema';

describe('text as it can be seen', () => {
  it.each([
    ['\u200bAna\u202e B', 'Ana B'],
    ['  \u3164 ', ''],
    ['a\u0000b', 'ab'],
    ['half \ud800 a character', 'half a character'],
    ['two\u00a0\u2003blanks', 'two blanks'],
    ['soft\u00adhyphen', 'softhyphen'],
    ['e\u0301', 'é'],
    ['\u2800', ''],
    ['loose\u200d', 'loose'],
  ])('of %j is %j', (text, seen) => {
    expect(visible(text)).toBe(seen);
  });

  it('keeps joiners that letters and pictures need', () => {
    for (const text of ['👩‍👧 Family', 'نامه‌ای', '❤️']) expect(visible(text)).toBe(text.normalize('NFC'));
  });

  it('takes time in its length, whatever it is made of', () => {
    for (const part of ['\u200d', 'a\u200d', ' \u200c', '\ufe0f ', '\ud800', '\u3164', "'=", ' \n'])
      for (const lines of [true, false]) {
        // In the square of its length this would take longer than a test may.
        expect(visible(`x${part.repeat(200_000)}y`, lines)).toMatch(/^x[^]*y$/);
      }
  });

  it('keeps line ends where there are lines', () => {
    expect(visible('one\r\ntwo\tthree', true)).toBe('one\ntwo\tthree');
    expect(visible('one\r\ntwo\tthree')).toBe('one two three');
  });

  it('is whole, the same when it is looked at again, and never hides anything', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.boolean(), (text, lines) => {
        const seen = visible(text, lines);
        expect(visible(seen, lines)).toBe(seen);
        for (const hidden of ['\u0000', '\u200b', '\u202e', '\ufeff']) expect(seen).not.toContain(hidden);
        expect(unkeepable(seen)).toBeUndefined();
      }),
      { numRuns: 500 },
    );
  });
});

describe('values from outside', () => {
  it('are refused where they have no end, or hold what cannot be kept', () => {
    expect(unkeepable({ a: { b: [1, Infinity] } })).toMatchObject({ path: 'a.b.1' });
    expect(unkeepable({ a: 'x\u0000' })).toMatchObject({ path: 'a' });
    expect(unkeepable({ a: '\ud800' })).toMatchObject({ path: 'a' });
    expect(unkeepable({ 'a\u0000': 1 })).toBeDefined();
    expect(unkeepable({ a: [true, null, 'fine', 1e300] })).toBeUndefined();
    let deep: unknown = 1;
    for (let i = 0; i < 5000; i++) deep = [deep];
    expect(unkeepable(deep)?.sentence).toMatch(/nested too deeply/);
  });

  it('are read from JSON to a depth, however long the text', () => {
    expect(readJson('{"a":"[[[[ \\" [[["}')).toEqual({ a: '[[[[ " [[[' });
    expect(() => readJson('['.repeat(2_000_000))).toThrow(RangeError);
    expect(readJson('['.repeat(MOST_DEPTH) + ']'.repeat(MOST_DEPTH))).toBeDefined();
    expect(() => readJson('{"a":}')).toThrow(SyntaxError);
    expect(() => readJson(`[${'1,'.repeat(100_000)}1]`)).toThrow(RangeError);
  });

  it('make a sentence and never an error, whatever they are', () => {
    const schema = Type.Object({ n: Whole(1, 9, { title: 'Number' }), t: Line(9, { title: 'Text' }) });
    fc.assert(
      fc.property(fc.anything({ withBigInt: false, withDate: false, withTypedArray: false }), (value) => {
        const checked = checkJson(schema, JSON.parse(JSON.stringify(value) ?? 'null'));
        if (!checked.ok)
          for (const sentence of Object.values(checked.errors)) expect(sentence).toMatch(/\.$/);
      }),
    );
  });
});

describe('numbers in forms', () => {
  const schema = Type.Object({
    copies: Whole(1, 60, { title: 'Copies' }),
    note: LongText(50, { title: 'Note' }),
  });
  it.each(['1e999', '-1e999', 'Infinity', 'NaN', '1e1', '0x10', '9'.repeat(400), '1.5', '٣', ' '])(
    'are refused in a sentence when they are written as %j',
    (copies) => {
      const checked = checkForm(schema, { copies, note: '' });
      expect(checked).toMatchObject({
        ok: false,
        errors: {
          copies: expect.stringMatching(
            /^Copies (must be a whole number from 1 to 60|must be from 1 to 60|is missing)\.$/,
          ) as string,
        },
      });
    },
  );

  it('are read from a form with forty thousand other fields in no time', () => {
    const form = new FormData();
    for (let i = 0; i < 40_000; i++) form.append(`field ${i}`, 'x');
    form.set('copies', '7');
    expect(checkForm(schema, form)).toEqual({ ok: true, value: { copies: 7, note: '' } });
  });

  it('and texts do not come from what every object has', () => {
    expect(checkForm(Type.Object({ constructor: Line(9, { title: 'C' }) }), {})).toMatchObject({ ok: false });
  });
});
