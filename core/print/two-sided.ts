/** Round paper counters with two sides, printed on both faces of a sheet so that the faces meet. */
import { blank, GREY, INK, MARGIN_MM, PAPERS, type Paper, type Shape, type Sheet } from './sheet';
import { line } from './text';

export const COUNTER_MM = 25;
const GAP_MM = 4;
const HEAD_MM = 12;
/** The dark face is printed larger than the cut: a sheet that shifts in the printer leaves no white edge. */
const BLEED_MM = 1.2;

export interface Spot {
  x: number;
  y: number;
}

/** Centres of all counters that fit the paper, in rows, symmetrical about the middle of the width. */
export function counterSpots(paper: Paper): Spot[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const pitch = COUNTER_MM + GAP_MM;
  const inner = MARGIN_MM + BLEED_MM;
  const columns = Math.floor((widthMm - 2 * inner + GAP_MM) / pitch);
  const rows = Math.floor((heightMm - 2 * inner - HEAD_MM + GAP_MM) / pitch);
  const left = (widthMm - (columns - 1) * pitch) / 2;
  const top = HEAD_MM + (heightMm - HEAD_MM - (rows - 1) * pitch) / 2;
  return Array.from({ length: rows * columns }, (_, i) => ({
    x: left + (i % columns) * pitch,
    y: top + Math.floor(i / columns) * pitch,
  }));
}

/** Where a spot lies on the back when the sheet is flipped on its long edge. */
export const mirrored = (spot: Spot, paper: Paper): Spot => ({
  x: PAPERS[paper].widthMm - spot.x,
  y: spot.y,
});

const leaf = ({ x, y }: Spot): Shape => ({
  kind: 'path',
  d: `M${x - 6} ${y + 6} C${x - 8} ${y - 4} ${x - 1} ${y - 8} ${x + 7} ${y - 7} C${x + 8} ${y + 2} ${x + 3} ${y + 8} ${x - 6} ${y + 6} Z`,
  fill: '#FFFFFF',
});

/** Crosses in the corners of both faces: held to the light they lie on each other. */
function registers(paper: Paper): Shape[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const at = MARGIN_MM + 2;
  return [at, widthMm - at].flatMap((x) =>
    [at, heightMm - at].flatMap((y): Shape[] => [
      { kind: 'line', x1: x - 2, y1: y, x2: x + 2, y2: y, stroke: INK, strokeMm: 0.15 },
      { kind: 'line', x1: x, y1: y - 2, x2: x, y2: y + 2, stroke: INK, strokeMm: 0.15 },
    ]),
  );
}

/** Two pages: dark faces with a leaf, and light faces behind them. The sheet is filled; `titles` are its two headings. */
export function twoSidedCounters(paper: Paper, titles: { front: string; back: string }): Sheet[] {
  const spots = counterSpots(paper);
  const radius = COUNTER_MM / 2;
  const head = (text: string) =>
    line(PAPERS[paper].widthMm / 2, MARGIN_MM + 4.5, text, { sizePt: 11, anchor: 'middle', fill: GREY });
  const front = spots.flatMap((spot): Shape[] => [
    { kind: 'circle', ...spot, radius: radius + BLEED_MM, fill: '#2F6B4A' },
    { kind: 'circle', ...spot, radius, stroke: '#FFFFFF', strokeMm: 0.3, dashMm: [1.2, 1.2] },
    leaf(spot),
  ]);
  const back = spots.map((spot): Shape => ({
    kind: 'circle',
    ...mirrored(spot, paper),
    radius,
    stroke: '#B9B9B9',
    strokeMm: 0.3,
  }));
  const rings = spots.map((spot): Shape => ({
    kind: 'circle',
    ...mirrored(spot, paper),
    radius: radius - 5,
    stroke: '#D9A92E',
    strokeMm: 1.6,
  }));
  return [
    {
      ...blank(titles.front, paper, [head(titles.front), ...registers(paper), ...front]),
      begins: true,
      use: 'part',
      shared: 'two-sided counters',
    },
    {
      ...blank(titles.back, paper, [head(titles.back), ...registers(paper), ...back, ...rings]),
      back: true,
      use: 'part',
      shared: 'two-sided counters, backs',
    },
  ];
}
