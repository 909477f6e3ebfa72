/** Shapes moved and made larger or smaller. */
import type { Ink, Shape } from './sheet';

/** Shapes of a drawing with its origin at (x, y) of the sheet, `scale` mm for each of its units. */
export const placed = (shapes: readonly Shape[], x: number, y: number, scale = 1): Shape[] =>
  shapes.map((shape): Shape => {
    switch (shape.kind) {
      case 'text':
        return { ...shape, x: x + shape.x * scale, y: y + shape.y * scale, sizePt: shape.sizePt * scale };
      case 'line':
        return {
          ...inked(shape, scale),
          x1: x + shape.x1 * scale,
          y1: y + shape.y1 * scale,
          x2: x + shape.x2 * scale,
          y2: y + shape.y2 * scale,
        };
      case 'rect':
        return {
          ...inked(shape, scale),
          x: x + shape.x * scale,
          y: y + shape.y * scale,
          width: shape.width * scale,
          height: shape.height * scale,
          ...(shape.radius === undefined ? {} : { radius: shape.radius * scale }),
        };
      case 'circle':
        return {
          ...inked(shape, scale),
          x: x + shape.x * scale,
          y: y + shape.y * scale,
          radius: shape.radius * scale,
        };
      case 'path':
        return { ...inked(shape, scale), d: mapPath(shape.d, (px, py) => [x + px * scale, y + py * scale]) };
      case 'image':
        return {
          ...shape,
          x: x + shape.x * scale,
          y: y + shape.y * scale,
          width: shape.width * scale,
          height: shape.height * scale,
        };
    }
  });

/**
 * A drawing of width `w` and height `h` turned by a quarter to the right, its corner again at the origin. Throws
 * RangeError for text and pictures, which are not turned.
 */
export const quarterTurn = (shapes: readonly Shape[], h: number): Shape[] =>
  shapes.map((shape): Shape => {
    const turn = (x: number, y: number) => ({ x: h - y, y: x });
    switch (shape.kind) {
      case 'line': {
        const [a, b] = [turn(shape.x1, shape.y1), turn(shape.x2, shape.y2)];
        return { ...shape, x1: a.x, y1: a.y, x2: b.x, y2: b.y };
      }
      case 'rect': {
        const { x, y } = turn(shape.x, shape.y + shape.height);
        return { ...shape, x, y, width: shape.height, height: shape.width };
      }
      case 'circle':
        return { ...shape, ...turn(shape.x, shape.y) };
      case 'path':
        return {
          ...shape,
          d: mapPath(shape.d, (px, py) => {
            const { x, y } = turn(px, py);
            return [x, y];
          }),
        };
      default:
        throw new RangeError(`shapes: ${shape.kind} cannot be turned`);
    }
  });

/** Path data with every point moved. The path must have absolute commands with pairs of numbers only. */
export const mapPath = (d: string, move: (x: number, y: number) => readonly [number, number]): string =>
  d.replace(/(-?[\d.]{1,20}) (-?[\d.]{1,20})/g, (_, x: string, y: string) =>
    move(Number(x), Number(y))
      .map((n) => Math.round(n * 1000) / 1000)
      .join(' '),
  );

const inked = <S extends Ink>(shape: S, scale: number): S => ({
  ...shape,
  ...(shape.strokeMm === undefined ? {} : { strokeMm: shape.strokeMm * scale }),
  ...(shape.dashMm ? { dashMm: shape.dashMm.map((mm) => mm * scale) } : {}),
});

/** The same shapes for black and white: every colour as the grey of its lightness. */
export const inGrey = (shapes: readonly Shape[]): Shape[] =>
  shapes.map((shape) => {
    if (shape.kind === 'image') return shape;
    if (shape.kind === 'text') return { ...shape, fill: grey(shape.fill) };
    return {
      ...shape,
      ...(shape.fill ? { fill: grey(shape.fill) } : {}),
      ...(shape.stroke ? { stroke: grey(shape.stroke) } : {}),
    };
  });

/** Grey of the same lightness (weights of ITU-R BT.709). */
function grey(colour: string): string {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16)) as [number, number, number];
  const level = Math.round(0.2126 * r + 0.7152 * g + 0.0722 * b);
  return `#${level.toString(16).padStart(2, '0').repeat(3)}`;
}
