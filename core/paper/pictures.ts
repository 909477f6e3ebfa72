/**
 * Our own drawings as outlines in a box of 100 × 100: twelve shapes to cut out, one a month and none tied to a
 * religion, and two animals of a pond.
 */
import { mapPath } from './place';
import { INK, type Cell, type Ink, type Shape } from './sheet';

export const OUTLINES = {
  mitten:
    'M22 96 L22 70 C14 60 12 34 24 16 C34 2 58 2 66 16 C70 24 71 34 70 44 C76 34 90 30 94 40 C98 52 84 62 74 72 L74 96 Z',
  heart: 'M50 96 C10 66 2 46 2 28 C2 4 36 0 50 22 C64 0 98 4 98 28 C98 46 90 66 50 96 Z',
  kite: 'M50 2 L94 40 L56 86 L66 98 L34 98 L44 86 L6 40 Z',
  umbrella:
    'M46 4 L54 4 L54 10 C82 12 97 34 98 56 C90 48 80 48 74 56 C68 50 60 50 54 54 L54 84 C54 100 28 100 28 84 L36 84 C36 92 46 92 46 84 L46 54 C40 50 32 50 26 56 C20 48 10 48 2 56 C3 34 18 12 46 10 Z',
  flower:
    'M50 30 C40 6 60 2 64 12 C74 0 88 12 82 24 C98 22 100 40 88 46 C98 54 94 72 80 68 C84 84 66 92 58 80 C52 98 34 94 34 80 C20 90 6 78 14 66 C2 64 0 44 14 42 C2 30 14 14 28 20 C28 4 46 4 50 30 Z',
  fish: 'M2 22 L24 40 C36 20 66 14 82 30 C90 38 96 46 98 50 C96 54 90 62 82 70 C66 86 36 80 24 60 L2 78 C10 60 10 40 2 22 Z',
  sun: 'M50 2 L60 18 L74 8 L76 26 L94 24 L86 40 L98 50 L86 60 L94 76 L76 74 L74 92 L60 82 L50 98 L40 82 L26 92 L24 74 L6 76 L14 60 L2 50 L14 40 L6 24 L24 26 L26 8 L40 18 Z',
  boat: 'M48 4 L54 4 C74 18 86 36 90 58 L54 58 L54 66 L98 66 C94 84 84 96 70 96 L30 96 C16 96 6 84 2 66 L48 66 L48 58 L14 58 C18 40 30 24 48 14 Z',
  apple:
    'M50 26 C54 14 60 6 72 2 C74 14 66 22 56 26 C72 18 96 26 96 54 C96 78 78 98 62 98 C56 98 54 95 50 95 C46 95 44 98 38 98 C22 98 4 78 4 54 C4 26 34 18 50 26 Z',
  leaf: 'M6 96 C8 88 12 82 16 78 C2 52 10 14 94 4 C98 62 68 96 26 84 C20 88 16 92 12 98 Z',
  acorn:
    'M46 2 L56 2 L56 14 C82 16 96 28 96 42 C96 46 93 48 88 48 C86 74 70 90 50 98 C30 90 14 74 12 48 C7 48 4 46 4 42 C4 28 20 16 46 14 Z',
  star: 'M50 3 L62 36 L98 38 L70 60 L80 96 L50 76 L20 96 L30 60 L2 38 L38 36 Z',
  duck: 'M4 34 C10 30 16 30 22 32 C20 14 40 6 50 20 C56 30 50 40 46 48 C62 56 80 54 98 38 C98 70 80 88 52 88 C26 88 12 72 20 54 C22 48 24 44 24 40 C16 42 8 40 4 34 Z',
} as const;
export type PictureName = keyof typeof OUTLINES;

/** A drawing that fills its place, whatever its proportions. */
export const picture = (name: PictureName, { x, y, w, h }: Cell, ink: Ink): Shape => ({
  kind: 'path',
  d: mapPath(OUTLINES[name], (px, py) => [x + (px * w) / 100, y + (py * h) / 100]),
  ...ink,
});

/** Where a numeral or dots find room inside a drawing, as parts of its box. */
export const HEART_OF: Readonly<Record<PictureName, Cell>> = {
  mitten: { x: 0.24, y: 0.3, w: 0.44, h: 0.5 },
  heart: { x: 0.22, y: 0.28, w: 0.56, h: 0.38 },
  kite: { x: 0.26, y: 0.24, w: 0.48, h: 0.36 },
  umbrella: { x: 0.2, y: 0.2, w: 0.6, h: 0.28 },
  flower: { x: 0.24, y: 0.3, w: 0.52, h: 0.42 },
  fish: { x: 0.34, y: 0.3, w: 0.46, h: 0.4 },
  sun: { x: 0.27, y: 0.27, w: 0.46, h: 0.46 },
  boat: { x: 0.2, y: 0.69, w: 0.6, h: 0.25 },
  apple: { x: 0.2, y: 0.36, w: 0.6, h: 0.46 },
  leaf: { x: 0.28, y: 0.3, w: 0.46, h: 0.42 },
  acorn: { x: 0.26, y: 0.34, w: 0.48, h: 0.4 },
  star: { x: 0.34, y: 0.38, w: 0.32, h: 0.3 },
  duck: { x: 0.34, y: 0.56, w: 0.4, h: 0.26 },
};
export const heartOf = (name: PictureName, { x, y, w, h }: Cell): Cell => {
  const part = HEART_OF[name];
  return { x: x + part.x * w, y: y + part.y * h, w: part.w * w, h: part.h * h };
};

/** So many drawings in rows of five; one of a few is no larger than one of `most`, the most that are shown so. */
export function flock(
  name: PictureName,
  n: number,
  { x, y, w, h }: Cell,
  { most = 5, ink = { stroke: INK, strokeMm: 0.4 } }: { most?: number; ink?: Ink } = {},
): Shape[] {
  const rows = Math.ceil(n / 5);
  const across = Math.min(5, Math.max(n, most));
  const side = Math.min(w / across, h / rows);
  const [left, top] = [x + (w - side * Math.min(across, n)) / 2, y + (h - side * rows) / 2];
  return Array.from({ length: n }, (_, i) =>
    picture(
      name,
      {
        x: left + (i % 5) * side + side * 0.1,
        y: top + Math.floor(i / 5) * side + side * 0.1,
        w: side * 0.8,
        h: side * 0.8,
      },
      ink,
    ),
  );
}
