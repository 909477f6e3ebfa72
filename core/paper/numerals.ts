/**
 * Numerals and signs as children learn to write them, drawn with one pen: an open 4, a 1 with a foot that is no 7,
 * a plain 7, and a line under 6 and 9 where they could be turned round. Our own drawing.
 */
import { LETTER_SIGNS } from './letters';
import { INK, type Shape } from './sheet';

/** Each sign in a box 10 high; `w` is its width, `d` its path. */
const SIGNS: Readonly<Record<string, { w: number; d: string }>> = {
  '0': { w: 6, d: 'M3 0 C1 0 0 2 0 5 C0 8 1 10 3 10 C5 10 6 8 6 5 C6 2 5 0 3 0 Z' },
  '1': { w: 4.4, d: 'M0.5 2.2 L2.4 0 L2.4 10 M0.5 10 L4.3 10' },
  '2': { w: 6, d: 'M0.3 2.6 C0.5 1 1.6 0 3.1 0 C4.8 0 5.8 1.1 5.8 2.7 C5.8 5 2.6 7.2 0.2 10 L6 10' },
  '3': {
    w: 6,
    d: 'M0.4 1.7 C1 0.6 2 0 3.1 0 C4.7 0 5.6 1 5.6 2.4 C5.6 3.9 4.4 4.7 2.6 4.7 C4.7 4.7 6 5.7 6 7.3 C6 9 4.7 10 3 10 C1.7 10 0.6 9.4 0 8.3',
  },
  '4': { w: 6, d: 'M1.5 0 L0.2 6.4 L6 6.4 M4.4 3.4 L4.4 10' },
  '5': {
    w: 6,
    d: 'M5.4 0 L1 0 L0.6 4.6 C1.3 4 2.2 3.7 3 3.7 C4.8 3.7 6 5 6 6.8 C6 8.7 4.7 10 3 10 C1.7 10 0.6 9.4 0 8.4',
  },
  '6': {
    w: 6,
    d: 'M4.7 0 C2.2 1.6 0 4 0 6.9 C0 8.8 1.3 10 3 10 C4.7 10 6 8.8 6 7.1 C6 5.4 4.7 4.2 3.1 4.2 C1.6 4.2 0.4 5.1 0 6.5',
  },
  '7': { w: 6, d: 'M0.2 0 L5.8 0 L2 10' },
  '8': {
    w: 6,
    d: 'M3 4.7 C1.4 4.3 0.5 3.4 0.5 2.3 C0.5 1 1.5 0 3 0 C4.5 0 5.5 1 5.5 2.3 C5.5 3.4 4.6 4.3 3 4.7 C1.2 5.2 0 6.2 0 7.5 C0 9 1.3 10 3 10 C4.7 10 6 9 6 7.5 C6 6.2 4.8 5.2 3 4.7 Z',
  },
  '9': {
    w: 6,
    d: 'M5.9 3 C5.9 1.3 4.7 0 3 0 C1.3 0 0 1.3 0 3 C0 4.7 1.3 5.9 3 5.9 C4.7 5.9 5.9 4.7 5.9 3 L5.3 10',
  },
  '+': { w: 6, d: 'M0.5 5.4 L5.5 5.4 M3 2.9 L3 7.9' },
  '−': { w: 6, d: 'M0.5 5.4 L5.5 5.4' },
  '×': { w: 6, d: 'M1 3.4 L5 7.4 M5 3.4 L1 7.4' },
  '÷': { w: 6, d: 'M0.5 5.4 L5.5 5.4 M3 2.6 L3 2.65 M3 8.2 L3 8.25' },
  '=': { w: 6, d: 'M0.5 4.2 L5.5 4.2 M0.5 6.8 L5.5 6.8' },
  '<': { w: 6, d: 'M5.3 2 L0.7 5.2 L5.3 8.4' },
  '>': { w: 6, d: 'M0.7 2 L5.3 5.2 L0.7 8.4' },
  ' ': { w: 2.4, d: '' },
  ...LETTER_SIGNS,
};
const SPACE = 1.9;
const PEN = 1.15;

/** Width of a numeral or a sentence of numbers and signs, for a height in mm, the pen included. */
export function numeralWidth(text: string, heightMm: number): number {
  const inner = [...text].reduce((sum, char) => sum + signOf(char).w, 0) + SPACE * ([...text].length - 1);
  return ((inner + PEN) * heightMm) / 10;
}

function signOf(char: string): { w: number; d: string } {
  const sign = SIGNS[char];
  if (!sign) throw new RangeError(`text: "${char}" is no numeral, no sign and no letter`);
  return sign;
}

/** Whether the numeral could be read upside down as another one. */
const turnsRound = (text: string): boolean => /^[01689]+$/.test(text) && /[69]/.test(text);

/**
 * A number or a sentence of numbers with its middle at (x, y), `heightMm` high. One path, which says its text.
 * Throws RangeError for a character that is neither a digit nor a sign nor a letter.
 */
export function numeral(text: string, x: number, y: number, heightMm: number, ink = INK): Shape[] {
  const scale = heightMm / 10;
  const round = (n: number): number => Math.round(n * 1000) / 1000;
  let at = x - (numeralWidth(text, heightMm) - PEN * scale) / 2;
  const top = y - heightMm / 2;
  const left = at;
  const parts: string[] = [];
  for (const char of text) {
    const { w, d } = signOf(char);
    if (d)
      parts.push(
        d.replace(
          /(-?[\d.]{1,20}) (-?[\d.]{1,20})/g,
          (_, px: string, py: string) =>
            `${round(at + Number(px) * scale)} ${round(top + Number(py) * scale)}`,
        ),
      );
    at += (w + SPACE) * scale;
  }
  const right = at - SPACE * scale;
  return [
    { kind: 'path', d: parts.join(' '), stroke: ink, strokeMm: PEN * scale, round: true, says: text },
    ...(turnsRound(text)
      ? [
          {
            kind: 'line',
            x1: left,
            y1: y + heightMm * 0.68,
            x2: right,
            y2: y + heightMm * 0.68,
            stroke: ink,
            strokeMm: 0.6 * scale,
          } satisfies Shape,
        ]
      : []),
  ];
}

/** The largest height of a text that fits `widthMm`, at most `mostMm`. */
export const fitNumeral = (text: string, widthMm: number, mostMm: number): number =>
  Math.min(mostMm, widthMm / numeralWidth(text, 1));
