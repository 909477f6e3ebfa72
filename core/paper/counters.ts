/** Round paper counters with two sides, printed on both faces of a sheet so that the faces meet. */
import { heading } from './cards';
import { mapPath } from './place';
import { blank, MARGIN_MM, PAPERS, type Paper, type Piece, type Shape, type Sheet } from './sheet';
import { registers } from './calibration';

export const COUNTER_MM = 25;
const GAP_MM = 4;
const HEAD_MM = 12;
/** The dark face is printed larger than the cut: a sheet that shifts in the printer leaves no white edge. */
export const BLEED_MM = 1.2;

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

const LEAF = 'M-6 6 C-8 -4 -1 -8 7 -7 C8 2 3 8 -6 6 Z';
const leaf = (spot: Spot): Shape => ({
  kind: 'path',
  d: mapPath(LEAF, (x, y) => [spot.x + x, spot.y + y]),
  fill: '#FFFFFF',
});

/** Two pages: dark faces with a leaf, and light faces with a ring behind them. The sheet is filled. */
export function twoSidedCounters(paper: Paper, titles: { front: string; back: string }): Sheet[] {
  const spots = counterSpots(paper);
  const radius = COUNTER_MM / 2;
  const front = spots.flatMap((spot): Shape[] => [
    { kind: 'circle', ...spot, radius: radius + BLEED_MM, fill: '#2F6B4A' },
    { kind: 'circle', ...spot, radius, stroke: '#FFFFFF', strokeMm: 0.3, dashMm: [1.2, 1.2] },
    leaf(spot),
  ]);
  const back = spots.flatMap((spot): Shape[] => {
    const behind = { x: PAPERS[paper].widthMm - spot.x, y: spot.y };
    return [
      { kind: 'circle', ...behind, radius, stroke: '#B9B9B9', strokeMm: 0.3 },
      { kind: 'circle', ...behind, radius: radius - 5, stroke: '#D9A92E', strokeMm: 1.6 },
    ];
  });
  const pieces = spots.map(({ x, y }): Piece => ({
    material: 'two-colour-counter',
    name: 'counter',
    x: x - radius,
    y: y - radius,
    w: COUNTER_MM,
    h: COUNTER_MM,
    outline: true,
  }));
  return [
    {
      ...blank(titles.front, paper, [heading(titles.front, paper), ...registers(paper), ...front]),
      begins: true,
      use: 'part',
      pieces,
    },
    {
      ...blank(titles.back, paper, [heading(titles.back, paper), ...registers(paper), ...back]),
      back: true,
      use: 'part',
    },
  ];
}
