/** Code 128 and QR symbols as shapes in mm. */
import bwip from 'bwip-js/browser';
import { INK, type Shape } from './sheet';

interface RawBars {
  sbs: number[];
}
interface RawMatrix {
  pixs: number[];
  pixx: number;
  pixy: number;
}

/** What the symbol of a text is made of, worked out once: the same tag and link stand on several pages. */
function once<R>(make: (text: string) => R): (text: string) => R {
  const known = new Map<string, R>();
  return (text) => {
    const before = known.get(text);
    if (before !== undefined) return before;
    const made = make(text);
    if (known.size > MOST_KNOWN) known.clear();
    known.set(text, made);
    return made;
  };
}
const MOST_KNOWN = 500;
const barsOf = once((text) => (bwip.raw({ bcid: 'code128', text }) as unknown as [RawBars])[0]);
const matrixOf = once(
  (text) =>
    (
      bwip.raw({ bcid: 'qrcode', text, eclevel: 'M' } as Parameters<typeof bwip.raw>[0]) as unknown as [
        RawMatrix,
      ]
    )[0],
);

/**
 * A Code 128 symbol of the text, as wide as `widthMm` without its quiet zones (ten modules on each side are
 * left to the caller). Source: ISO/IEC 15417.
 */
export function code128(text: string, x: number, y: number, widthMm: number, heightMm: number): Shape[] {
  const { sbs } = barsOf(text);
  const moduleMm = widthMm / sbs.reduce((a, b) => a + b, 0);
  const shapes: Shape[] = [];
  let at = x;
  sbs.forEach((modules, i) => {
    const width = modules * moduleMm;
    if (i % 2 === 0) shapes.push({ kind: 'rect', x: at, y, width, height: heightMm, fill: INK });
    at += width;
  });
  return shapes;
}

/** A QR symbol with middle error correction; four modules of quiet zone on each side are left to the caller. Source: ISO/IEC 18004. */
export function qrCode(text: string, x: number, y: number, sizeMm: number): Shape[] {
  const { pixs, pixx } = matrixOf(text);
  // To a hundredth of a millimetre, which no printer tells apart, and which is short to write.
  const edge = (from: number, modules: number): number =>
    Math.round((from + (modules * sizeMm) / pixx) * 100) / 100;
  // One path for the whole symbol: neighbouring modules must not show hairlines between them.
  const parts: string[] = [];
  for (let row = 0; row < pixs.length / pixx; row++) {
    for (let column = 0; column < pixx; column++) {
      let run = 0;
      while (column + run < pixx && pixs[row * pixx + column + run]) run++;
      if (run === 0) continue;
      const [left, right] = [edge(x, column), edge(x, column + run)];
      const [top, bottom] = [edge(y, row), edge(y, row + 1)];
      parts.push(`M${left} ${top} L${right} ${top} L${right} ${bottom} L${left} ${bottom} Z`);
      column += run;
    }
  }
  return [{ kind: 'path', d: parts.join(' '), fill: INK, says: text }];
}
