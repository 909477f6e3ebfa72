import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitNumeral, numeral, numeralWidth } from './numerals';
import type { Shape } from './sheet';

/** The box of the pen's way, its width included. */
function boxOf(shape: Shape) {
  const { d, strokeMm } = shape as Extract<Shape, { kind: 'path' }>;
  const numbers = d.match(/-?[\d.]+/g)!.map(Number);
  const xs = numbers.filter((_, i) => i % 2 === 0);
  const ys = numbers.filter((_, i) => i % 2 === 1);
  const pen = strokeMm! / 2;
  return {
    left: Math.min(...xs) - pen,
    right: Math.max(...xs) + pen,
    top: Math.min(...ys) - pen,
    bottom: Math.max(...ys) + pen,
  };
}
const sentence = fc
  .tuple(fc.nat(99), fc.constantFrom('+', '−', '×', '÷'), fc.nat(99))
  .map(([a, sign, b]) => `${a} ${sign} ${b} = ${a}`);

describe('numerals', () => {
  it('say what they show, and lie about their middle in the width they are reckoned to have', () => {
    fc.assert(
      fc.property(sentence, fc.integer({ min: 4, max: 40 }), (text, height) => {
        const [path] = numeral(text, 100, 50, height) as [Shape];
        expect(path).toMatchObject({ kind: 'path', says: text, round: true });
        const { left, right, top, bottom } = boxOf(path);
        const width = numeralWidth(text, height);
        expect(right - left).toBeLessThanOrEqual(width + 0.01);
        expect(right - left).toBeGreaterThan(width * 0.85);
        expect(Math.abs((left + right) / 2 - 100)).toBeLessThan(width * 0.06);
        expect(top).toBeGreaterThanOrEqual(50 - height * 0.56 - 0.01);
        expect(bottom).toBeLessThanOrEqual(50 + height * 0.56 + 0.01);
      }),
    );
  });

  it('fit a width', () => {
    fc.assert(
      fc.property(sentence, fc.integer({ min: 10, max: 200 }), (text, width) => {
        const height = fitNumeral(text, width, 12);
        expect(height).toBeLessThanOrEqual(12);
        expect(numeralWidth(text, height)).toBeLessThanOrEqual(width + 1e-9);
      }),
    );
  });

  it.each(['6', '9', '66', '69', '96', '90', '16', '81', '10', '7', '25', '3 + 6'])(
    'underline %s exactly when it could be read upside down',
    (text) => {
      const could = ['6', '9', '66', '69', '96', '90', '16'].includes(text);
      const under = numeral(text, 0, 0, 10).filter((shape) => shape.kind === 'line');
      expect(under).toHaveLength(could ? 1 : 0);
    },
  );

  it('have an open 4, a 1 that is no 7, and a plain 7', () => {
    const strokes = (text: string) => (numeral(text, 0, 0, 10)[0] as { d: string }).d.match(/M/g)!.length;
    const closed = (text: string) => /Z/.test((numeral(text, 0, 0, 10)[0] as { d: string }).d);
    expect([strokes('4'), closed('4')]).toEqual([2, false]);
    // A stem with its flag, and a foot; a 7 is one stroke without either.
    expect([strokes('1'), strokes('7')]).toEqual([2, 1]);
    expect([closed('0'), closed('8')]).toEqual([true, true]);
  });

  it('have every letter, capitals between their lines and small ones no lower than they hang', () => {
    for (const letter of 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz') {
      const [path] = numeral(letter, 100, 50, 20) as [Shape];
      const { left, right, top, bottom } = boxOf(path);
      expect(path).toMatchObject({ says: letter });
      expect(right - left).toBeLessThanOrEqual(numeralWidth(letter, 20) + 0.01);
      expect(top).toBeGreaterThanOrEqual(50 - 10 - 1.2);
      expect(bottom).toBeLessThanOrEqual(50 + (letter < 'a' ? 10 + 2 : 16) + 1.2);
    }
  });

  it('refuse what they cannot draw', () => {
    expect(() => numeral('3 €', 0, 0, 10)).toThrow('"€" is no numeral, no sign and no letter');
  });
});
