/** How the dots of a card lie, in a box of 100 by 60: two groups clearly apart, and no two dots that touch. */
import type { Random } from '~/core/chance/random';
import { box, dot, TONE } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { Pattern, PeekCard } from './reckon';

export interface Spot {
  x: number;
  y: number;
}

/** Offsets of the spots of a die, in units of one step. */
const DICE: Record<number, readonly (readonly [number, number])[]> = {
  1: [[0, 0]],
  2: [
    [-1, -1],
    [1, 1],
  ],
  3: [
    [-1, -1],
    [0, 0],
    [1, 1],
  ],
  4: [
    [-1, -1],
    [1, -1],
    [-1, 1],
    [1, 1],
  ],
  5: [
    [-1, -1],
    [1, -1],
    [0, 0],
    [-1, 1],
    [1, 1],
  ],
  6: [
    [-1, -1],
    [1, -1],
    [-1, 0],
    [1, 0],
    [-1, 1],
    [1, 1],
  ],
};

/** Spots of one group around a middle, within a field of `width` by 48. Dots of radius `radius` do not touch. */
export function spots(
  pattern: Pattern,
  n: number,
  middle: Spot,
  width: number,
  radius: number,
  random: Random,
): Spot[] {
  const { x, y } = middle;
  switch (pattern) {
    case 'dice':
      return DICE[n]!.map(([dx, dy]) => ({ x: x + dx * radius * 2.6, y: y + dy * radius * 2.6 }));
    case 'five':
    case 'ten-frame': {
      const step = stepIn(width, radius);
      return Array.from({ length: n }, (_, i) => ({
        x: x + ((i % 5) - 2) * step,
        y: y + (pattern === 'five' ? 0 : (Math.floor(i / 5) - 0.5) * step),
      }));
    }
    case 'line': {
      const step = Math.min(width / n, radius * 3);
      return Array.from({ length: n }, (_, i) => ({ x: x + (i - (n - 1) / 2) * step, y }));
    }
    case 'scatter': {
      const placed: Spot[] = [];
      // Draws anew when the last dots find no room.
      for (let tries = 0; placed.length < n; tries++) {
        if (tries > 400) {
          placed.length = 0;
          tries = 0;
        }
        const spot = {
          x: x + (random.whole(0, 1000) / 1000 - 0.5) * (width - 2 * radius),
          y: y + (random.whole(0, 1000) / 1000 - 0.5) * (48 - 2 * radius),
        };
        if (placed.every((one) => Math.hypot(one.x - spot.x, one.y - spot.y) > 2.3 * radius))
          placed.push(spot);
      }
      return placed;
    }
  }
}

/** A frame that dots lie in: its upper left corner, and the side of a cell. */
export interface Frame extends Spot {
  side: number;
  rows: 1 | 2;
}

export interface Laid {
  radius: number;
  groups: Spot[][];
  frames: Frame[];
}

const stepIn = (width: number, radius: number): number => Math.min(width / 5, radius * 2.5);

/** Radius of the dots of a card, where its groups lie, and the frames they lie in. */
export function groupsOf(card: PeekCard, random: Random): Laid {
  const { pattern } = card;
  const two = card.groups.length === 2;
  const width = two ? 40 : 88;
  const radius = two || card.groups[0]! > 6 ? 3.6 : 4.6;
  // A line or a frame of many dots has to fit its half of the card.
  const fit = two ? Math.min(radius, width / (2.3 * Math.min(5, Math.max(...card.groups)))) : radius;
  const narrow = pattern === 'line' ? Math.min(fit, width / (2.3 * Math.max(...card.groups))) : fit;
  const middles = card.groups.map((_, i) => ({ x: two ? 26 + 48 * i : 50, y: 30 }));
  const rows = pattern === 'five' ? 1 : pattern === 'ten-frame' ? 2 : undefined;
  const side = stepIn(width, narrow);
  return {
    radius: narrow,
    groups: card.groups.map((n, i) => spots(pattern, n, middles[i]!, width, narrow, random)),
    frames: rows
      ? middles.map(({ x, y }) => ({ x: x - 2.5 * side, y: y - (rows * side) / 2, side, rows }))
      : [],
  };
}

/** The cells of a frame, as boxes. */
export const cellsIn = ({ x, y, side, rows }: Frame): { x: number; y: number; side: number }[] =>
  Array.from({ length: 5 * rows }, (_, i) => ({
    x: x + (i % 5) * side,
    y: y + Math.floor(i / 5) * side,
    side,
  }));

/** The card as shapes. */
export function draw(card: PeekCard, random: Random): Shape[] {
  const { radius, groups, frames } = groupsOf(card, random);
  return [
    box(1, 1, 98, 58, TONE.card, 3),
    ...frames.flatMap(cellsIn).map(({ x, y, side }) => box(x, y, side, side, '#FFFFFF', 0)),
    ...groups.flatMap((group, i) =>
      group.map(({ x, y }) => dot(x, y, radius, i === 0 ? TONE.fern : TONE.straw)),
    ),
  ];
}

/** Where the dots of each card lie, all of them different. */
export function arrangements(cards: readonly PeekCard[], random: Random): Laid[] {
  const known = new Set<string>();
  return cards.map((card) => {
    for (;;) {
      const laid = groupsOf(card, random);
      const key = laid.groups.map((group) => group.map(({ x, y }) => `${x} ${y}`).join(',')).join('|');
      // Only scattered dots can come twice; then they are strewn again.
      if (!known.has(key) || card.pattern !== 'scatter') {
        known.add(key);
        return laid;
      }
    }
  });
}
