/** Paper that stands in for parts one buys: counters with two sides, dice to fold, tens and ones, tiles, cards. */
import { cardSheets, heading, inEach, inside, NUMBER_MM, wholeSheet, type Card, type CardSet } from './cards';
import { twoSidedCounters } from './counters';
import { fitNumeral, numeral } from './numerals';
import { mapPath } from './place';
import { INK, PAPERS, type Cell, type Shape, type Sheet, type SheetContext } from './sheet';

/** Spots of a die or a tile, in a square of side 1. */
const PIPS: readonly (readonly (readonly [number, number])[])[] = [
  [],
  [[0.5, 0.5]],
  [
    [0.27, 0.27],
    [0.73, 0.73],
  ],
  [
    [0.25, 0.25],
    [0.5, 0.5],
    [0.75, 0.75],
  ],
  [
    [0.27, 0.27],
    [0.73, 0.27],
    [0.27, 0.73],
    [0.73, 0.73],
  ],
  [
    [0.25, 0.25],
    [0.75, 0.25],
    [0.5, 0.5],
    [0.25, 0.75],
    [0.75, 0.75],
  ],
  [
    [0.27, 0.2],
    [0.73, 0.2],
    [0.27, 0.5],
    [0.73, 0.5],
    [0.27, 0.8],
    [0.73, 0.8],
  ],
];
/** The spots of a number from 0 to 6 in a square. */
export const pips = (n: number, x: number, y: number, side: number): Shape[] =>
  PIPS[n]!.map(([px, py]): Shape => ({
    kind: 'circle',
    x: x + px * side,
    y: y + py * side,
    radius: side * 0.09,
    fill: INK,
  }));

const DIE_MM = 32;
const FLAP_MM = 7;
/** A cross of six faces: opposite faces make 7. Columns and rows of the net, with the number on each face. */
const NET: readonly (readonly [column: number, row: number, n: number])[] = [
  [1, 0, 2],
  [0, 1, 4],
  [1, 1, 1],
  [2, 1, 3],
  [3, 1, 6],
  [1, 2, 5],
];

/** A net of a die with its flaps, in a place of 4 × 3 faces. */
function dieNet(x: number, y: number): Shape[] {
  const s = DIE_MM;
  const at = (column: number, row: number) => ({ x: x + FLAP_MM + column * s, y: y + row * s });
  const flap = (a: readonly [number, number], b: readonly [number, number]): Shape => {
    // The flap lies on the right hand of who walks from a to b on the paper, its corners slanted.
    const [dx, dy] = [(b[0] - a[0]) / s, (b[1] - a[1]) / s];
    const [nx, ny] = [-dy, dx];
    const cut = FLAP_MM * 0.7;
    return {
      kind: 'path',
      d: `M${a[0]} ${a[1]} L${a[0] + dx * cut + nx * FLAP_MM} ${a[1] + dy * cut + ny * FLAP_MM} L${b[0] - dx * cut + nx * FLAP_MM} ${b[1] - dy * cut + ny * FLAP_MM} L${b[0]} ${b[1]}`,
      stroke: INK,
      strokeMm: 0.3,
    };
  };
  const corner = (column: number, row: number): [number, number] => {
    const { x: cx, y: cy } = at(column, row);
    return [cx, cy];
  };
  return [
    ...NET.flatMap(([column, row, n]) => {
      const place = at(column, row);
      return [
        {
          kind: 'rect',
          ...place,
          width: s,
          height: s,
          stroke: INK,
          strokeMm: 0.25,
          dashMm: [1.5, 1.2],
        } satisfies Shape,
        ...pips(n, place.x, place.y, s),
      ];
    }),
    // Three flaps around the upper face, three around the lower one, and one at the start of the row.
    flap(corner(1, 0), corner(1, 1)),
    flap(corner(2, 0), corner(1, 0)),
    flap(corner(2, 1), corner(2, 0)),
    flap(corner(1, 2), corner(1, 3)),
    flap(corner(1, 3), corner(2, 3)),
    flap(corner(2, 3), corner(2, 2)),
    flap(corner(0, 1), corner(0, 2)),
  ];
}

function diceSheets(context: SheetContext): Sheet[] {
  const { paper } = context;
  const { widthMm } = PAPERS[paper];
  const title = inEach('standIn.dice', context);
  const netMm = { w: 4 * DIE_MM + FLAP_MM, h: 3 * DIE_MM };
  const left = (widthMm - netMm.w) / 2;
  const tops = [32, 32 + netMm.h + 26];
  return wholeSheet(
    { material: 'die', name: 'die', title, use: 'part' },
    [heading(title, paper), ...tops.flatMap((top) => dieNet(left, top))],
    context,
  ).map((sheet) => ({
    ...sheet,
    pieces: tops.map((top) => ({
      material: 'die',
      name: 'die',
      x: left,
      y: top - FLAP_MM,
      w: netMm.w,
      h: netMm.h + 2 * FLAP_MM,
      outline: true,
    })),
  }));
}

const UNIT_MM = 15;
/** Ten rods of ten cells, and ten ones to cut apart. */
function rodSheets(context: SheetContext): Sheet[] {
  const set = (w: number): CardSet => ({
    material: 'cube',
    title: inEach('standIn.rods', context),
    size: { w, h: UNIT_MM },
  });
  const cellsIn =
    (n: number) =>
    ({ x, y, w, h }: Cell): Shape[] => {
      const upright = h > w;
      const side = Math.min(w, h);
      return Array.from({ length: n }, (_, i): Shape => ({
        kind: 'rect',
        x: x + (upright ? 0 : i * side) + 0.8,
        y: y + (upright ? i * side : 0) + 0.8,
        width: side - 1.6,
        height: side - 1.6,
        radius: 1.5,
        fill: i < 5 ? '#9CBF8B' : '#F1E4C4',
        stroke: INK,
        strokeMm: 0.3,
      }));
    };
  const rods = Array.from({ length: 10 }, (): Card => ({ name: 'ten', draw: cellsIn(10) }));
  const ones = Array.from({ length: 20 }, (): Card => ({ name: 'one', draw: cellsIn(1) }));
  return [
    ...cardSheets(set(UNIT_MM * 10), rods, { ...context, cuts: 'shared' }),
    ...cardSheets(set(UNIT_MM), ones, { ...context, cuts: 'shared' }),
  ];
}

/** The face of a double tile: two ends with spots. */
export function tileFace(a: number, b: number, cell: Cell): Shape[] {
  const { x, y, w, h } = inside(cell, 3);
  const wide = w > h;
  const side = Math.min(Math.max(w, h) / 2, Math.min(w, h));
  const [left, top] = [x + (w - (wide ? 2 : 1) * side) / 2, y + (h - (wide ? 1 : 2) * side) / 2];
  const second = { x: left + (wide ? side : 0), y: top + (wide ? 0 : side) };
  return [
    {
      kind: 'rect',
      x: left,
      y: top,
      width: side * (wide ? 2 : 1),
      height: side * (wide ? 1 : 2),
      radius: 2,
      stroke: INK,
      strokeMm: 0.5,
    },
    {
      kind: 'line',
      x1: second.x,
      y1: second.y,
      x2: second.x + (wide ? 0 : side),
      y2: second.y + (wide ? side : 0),
      stroke: INK,
      strokeMm: 0.4,
    },
    ...pips(a, left, top, side),
    ...pips(b, second.x, second.y, side),
  ];
}
const tileSheets = (context: SheetContext): Sheet[] =>
  cardSheets(
    { material: 'tile', title: inEach('standIn.tiles', context), size: { w: 60, h: 32 } },
    Array.from({ length: 7 }, (_, a) => Array.from({ length: 7 - a }, (_, i) => ({ a, b: a + i })))
      .flat()
      .map(({ a, b }) => ({ name: `${a} and ${b}`, draw: (cell) => tileFace(a, b, cell) })),
    context,
  );

/** Our own four suits: a colour and a shape each, two of them filled as the red ones of a deck would be. */
export const SUIT_SHAPES: readonly { name: string; colour: string; d: string }[] = [
  { name: 'leaf', colour: '#2F6B4A', d: 'M-5 5 C-7 -3 -1 -7 6 -6 C7 2 2 7 -5 5 Z' },
  {
    name: 'sun',
    colour: '#B4532F',
    d: 'M-6 0 L-3 -2.4 L-4.2 -4.2 L-1.4 -3.6 L0 -6.4 L1.4 -3.6 L4.2 -4.2 L3 -2.4 L6 0 L3 2.4 L4.2 4.2 L1.4 3.6 L0 6.4 L-1.4 3.6 L-4.2 4.2 L-3 2.4 Z',
  },
  {
    name: 'wave',
    colour: '#3C6E8F',
    d: 'M-6 -1 C-4 -6 -1 -6 0 -2 C1 1 4 1 6 -3 L6 2 C4 6 1 6 0 3 C-1 -1 -4 -1 -6 4 Z',
  },
  {
    name: 'shell',
    colour: '#8A6A12',
    d: 'M0 5.5 L-6 -1 C-5 -4 -3.6 -5.4 -2.4 -4.4 C-1.6 -6.4 1.6 -6.4 2.4 -4.4 C3.6 -5.4 5 -4 6 -1 Z',
  },
  {
    name: 'stone',
    colour: '#6B5B8C',
    d: 'M-5.6 0.6 C-5.6 -3.6 -2 -4.6 1 -4.2 C4.6 -3.8 6.2 -1 5.4 1.8 C4.4 4.8 -0.6 4.8 -3 4 C-4.8 3.4 -5.6 2.2 -5.6 0.6 Z',
  },
  { name: 'kite', colour: '#46423A', d: 'M0 -6.4 L5 -0.6 L0 6.4 L-5 -0.6 Z' },
];
/** The shape of a suit with its middle at (x, y), about 12 × `scale` mm wide. */
export const suitShape = (suit: number, x: number, y: number, scale: number): Shape => ({
  kind: 'path',
  d: mapPath(SUIT_SHAPES[suit]!.d, (px, py) => [x + px * scale, y + py * scale]),
  fill: SUIT_SHAPES[suit]!.colour,
});

/** A card of a suit and a number: both in two corners, the number in the middle. */
export function suitFace(suit: number, number: number, cell: Cell): Shape[] {
  const { x, y, w, h } = inside(cell, 3);
  const { colour } = SUIT_SHAPES[suit]!;
  const text = String(number);
  return [
    { kind: 'rect', x, y, width: w, height: h, radius: 4, stroke: colour, strokeMm: 1.2 },
    suitShape(suit, x + 8, y + 8, 0.75),
    suitShape(suit, x + w - 8, y + h - 8, 0.75),
    ...numeral(text, x + w / 2, y + h / 2, fitNumeral(text, w * 0.5, h * 0.42), colour),
  ];
}
const deckSheets = (context: SheetContext): Sheet[] =>
  cardSheets(
    { material: 'card-deck', title: inEach('standIn.deck', context), size: NUMBER_MM },
    [0, 1, 2, 3].flatMap((suit) =>
      Array.from({ length: 10 }, (_, i): Card => ({
        name: `${SUIT_SHAPES[suit]!.name} ${i + 1}`,
        draw: (cell) => suitFace(suit, i + 1, cell),
      })),
    ),
    context,
  );

/** A numeral for each stone of a path on the floor, half a page each. */
const stoneSheets = (context: SheetContext, quantity: number): Sheet[] =>
  cardSheets(
    { material: 'floor-stone', title: inEach('standIn.stones', context), size: { w: 180, h: 120 } },
    Array.from({ length: quantity }, (_, i): Card => {
      const text = String(i + 1);
      return {
        name: text,
        draw: (cell) => {
          const { x, y, w, h } = inside(cell, 6);
          return [
            {
              kind: 'path',
              d: `M${x} ${y + h * 0.5} C${x} ${y + h * 0.1} ${x + w * 0.2} ${y} ${x + w * 0.55} ${y + h * 0.02} C${x + w * 0.9} ${y + h * 0.04} ${x + w} ${y + h * 0.3} ${x + w} ${y + h * 0.55} C${x + w} ${y + h * 0.9} ${x + w * 0.75} ${y + h} ${x + w * 0.45} ${y + h} C${x + w * 0.15} ${y + h} ${x} ${y + h * 0.85} ${x} ${y + h * 0.5} Z`,
              fill: '#F1E4C4',
              stroke: INK,
              strokeMm: 0.8,
            },
            ...numeral(text, x + w / 2, y + h / 2, fitNumeral(text, w * 0.5, h * 0.6)),
          ];
        },
      };
    }),
    context,
  );

const STAND_INS: Readonly<Record<string, (context: SheetContext, quantity: number) => Sheet[]>> = {
  'two-colour-counter': ({ paper, ...context }) =>
    twoSidedCounters(paper, {
      front: inEach('standIn.counters', context),
      back: inEach('standIn.countersBack', context),
    }),
  die: diceSheets,
  cube: rodSheets,
  block: rodSheets,
  tile: tileSheets,
  'card-deck': deckSheets,
  'floor-stone': stoneSheets,
};

/** Materials that have a stand-in of paper. */
export const hasStandIn = (material: string): boolean => material in STAND_INS;

/** Sheets that stand in for these parts. Parts with the same stand-in share it. */
export function standInSheets(
  parts: readonly { material: string; quantity: number }[],
  context: SheetContext,
): Sheet[] {
  const made = new Set<unknown>();
  return parts.flatMap(({ material, quantity }) => {
    const make = STAND_INS[material];
    if (!make || made.has(make)) return [];
    made.add(make);
    return make(context, quantity);
  });
}
