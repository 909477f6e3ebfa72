/** Cards, slips and boards laid on sheets to be cut out. */
import type { Messages } from '~/core/words/message';
import { ENGLISH, saidIn, say, type Reading, type Source } from '~/core/words/reading';
import { PRINT_WORDS } from '~/core/words/print';
import { fitNumeral, numeral } from './numerals';
import { inRows, packed, type Packing } from './packing';
import { placed, quarterTurn } from './place';
import {
  blank,
  CannotPrint,
  GREY,
  INK,
  MARGIN_MM,
  PAPERS,
  type Cell,
  type Cuts,
  type Paper,
  type Piece,
  type Shape,
  type Sheet,
  type SheetContext,
} from './sheet';
import { line } from './text';

/** A card to be cut out: what tells it from its like, its face, and its back where it has one. */
export interface Card {
  name: string;
  draw: (cell: Cell) => Shape[];
  back?: (cell: Cell) => Shape[];
}
/** What a set of cards is. */
export interface CardSet<Material extends string = string> {
  material: Material;
  /** Heading of its sheets. */
  title: string;
  size: { w: number; h: number };
  /** Cut along an outline of its own: neighbours keep a gap, and no straight lines are drawn. */
  outline?: { gapMm: number } | undefined;
}

const HEAD_MM = 8;
/** Room of crop marks: between cards, and around them. */
const GUTTER_MM = 5;
const MARK_MM = 3.5;

/** Where a card lies; `turned`: on its side. */
export interface Laid extends Cell {
  turned: boolean;
}

export interface Imposition {
  cells: Laid[];
  cuts: Cuts;
  /** Whether there is room for a heading over the cards. */
  headed: boolean;
}

/**
 * Where cards of one size lie on a sheet, the better way round; left and right margins are even, so that backs
 * fall behind fronts. With marks, cards too large for gutters keep shared lines. Shapes with outlines of their own and a
 * gap between them may lie both ways round on one sheet. Empty when none fits.
 */
export function impose(
  card: { w: number; h: number },
  paper: Paper,
  cuts: Cuts = 'shared',
  gapMm = cuts === 'marks' ? GUTTER_MM : 0,
  headMm = HEAD_MM,
): Imposition {
  const { widthMm, heightMm } = PAPERS[paper];
  const outlined = gapMm > 0 && cuts === 'shared';
  const around = MARGIN_MM + (cuts === 'marks' ? MARK_MM : 0);
  const fit = (head: number): Packing => {
    const room = { w: widthMm - 2 * around, h: heightMm - head - 2 * around };
    return outlined ? packed(card, room, gapMm) : inRows(card, room, gapMm);
  };
  const found = fit(headMm);
  // Shapes with outlines of their own take the whole sheet when more of them fit so, without a heading.
  if (outlined && headMm > 0 && fit(0).count > found.count) return impose(card, paper, cuts, gapMm, 0);
  if (found.count === 0 && cuts === 'marks') return impose(card, paper, 'shared', 0);
  const left = (widthMm - found.widthMm) / 2;
  const top = headMm + (heightMm - headMm - found.heightMm) / 2;
  return {
    cuts,
    headed: headMm > 0,
    cells: found.blocks.flatMap(({ x, y, columns, rows, turned }) => {
      const [w, h] = turned ? [card.h, card.w] : [card.w, card.h];
      return Array.from({ length: columns * rows }, (_, i) => ({
        x: left + x + (i % columns) * (w + gapMm),
        y: top + y + Math.floor(i / columns) * (h + gapMm),
        w,
        h,
        turned,
      }));
    }),
  };
}

/** Where a cell lies on the back when the sheet is flipped on its long edge. */
export const mirrored = (cell: Cell, widthMm: number): Cell => ({ ...cell, x: widthMm - cell.x - cell.w });

/** The lines along which cells are cut: dashed frames that neighbours share, or short marks in the gutters. */
function cutLines(cells: readonly Cell[], cuts: Cuts): Shape[] {
  if (cuts === 'shared')
    return cells.map(({ x, y, w, h }): Shape => ({
      kind: 'rect',
      x,
      y,
      width: w,
      height: h,
      stroke: GREY,
      strokeMm: 0.2,
      dashMm: [2, 1.5],
    }));
  const near = 0.6;
  const reach = GUTTER_MM / 2 - 0.1;
  const mark = (x1: number, y1: number, x2: number, y2: number): Shape => ({
    kind: 'line',
    x1,
    y1,
    x2,
    y2,
    stroke: GREY,
    strokeMm: 0.2,
  });
  return cells.flatMap(({ x, y, w, h }) =>
    [x, x + w].flatMap((edge) => {
      const out = edge === x ? -1 : 1;
      return [y, y + h].flatMap((level) => {
        const down = level === y ? -1 : 1;
        return [
          mark(edge, level + down * near, edge, level + down * reach),
          mark(edge + out * near, level, edge + out * reach, level),
        ];
      });
    }),
  );
}

/**
 * A face in its cell. On cards that lie on their side it is drawn upright and turned: fronts to the right, backs to
 * the left, so that the upper edge of both is the same edge of the card.
 */
export function faceIn(
  draw: (cell: Cell) => Shape[],
  cell: Cell,
  turned: boolean,
  side: 'front' | 'back' = 'front',
): Shape[] {
  if (!turned) return draw(cell);
  const { w, h } = { w: cell.h, h: cell.w };
  const right = quarterTurn(draw({ x: 0, y: 0, w, h }), h);
  return placed(side === 'front' ? right : quarterTurn(quarterTurn(right, w), h), cell.x, cell.y);
}

/** A small corner of grey: this one is more than is needed. */
const spareMark = ({ x, y }: Cell): Shape => ({
  kind: 'path',
  d: `M${x + 0.8} ${y + 0.8} L${x + 4.4} ${y + 0.8} L${x + 0.8} ${y + 4.4} Z`,
  fill: '#9A9A9A',
});

/**
 * As many sheets as the cards take, backs behind their fronts. What is left of the last sheet is filled with
 * spares; asked for one lost piece, a sheet is filled with it. Throws CannotPrint when a card is larger than the
 * sheet.
 */
export function cardSheets<Material extends string>(
  set: CardSet<Material>,
  cards: readonly Card[],
  context: SheetContext,
): Sheet<Material>[] {
  const { paper, lost } = context;
  const { cells, cuts, headed } = impose(
    set.size,
    paper,
    set.outline ? 'shared' : context.cuts,
    set.outline?.gapMm,
  );
  if (cells.length === 0)
    throw new CannotPrint(
      `${set.title}: ${set.size.w} × ${set.size.h} mm is larger than what can be printed on ${PAPERS[paper].name} paper. Make it smaller.`,
    );
  const wanted = lost
    ? cards.filter((card) => set.material === lost.material && card.name === lost.name).slice(0, 1)
    : cards;
  if (wanted.length === 0) return [];
  const filled =
    lost || context.fill ? Math.ceil(wanted.length / cells.length) * cells.length : wanted.length;
  const all = Array.from({ length: filled }, (_, i) => wanted[i % wanted.length]!);
  const { widthMm } = PAPERS[paper];
  const sheets: Sheet<Material>[] = [];
  for (let first = 0; first < all.length; first += cells.length) {
    const here = all.slice(first, first + cells.length).map((card, i) => ({
      card,
      cell: cells[i]!,
      spare: !lost && first + i >= wanted.length,
    }));
    const spares = here.filter(({ spare }) => spare).length;
    const title = spares ? `${set.title} · ${inEach('spares', context, { spares })}` : set.title;
    const lines = set.outline
      ? []
      : cutLines(
          here.map(({ cell }) => cell),
          cuts,
        );
    sheets.push({
      ...blank(title, paper, [
        ...(headed ? [heading(title, paper)] : []),
        ...lines,
        ...here.flatMap(({ card, cell, spare }) => [
          ...faceIn(card.draw, cell, cell.turned),
          ...(spare ? [spareMark(cell)] : []),
        ]),
      ]),
      pieces: here.map(({ card, cell: { x, y, w, h }, spare }): Piece<Material> => ({
        ...{ x, y, w, h },
        material: set.material,
        name: card.name,
        ...(spare ? { spare } : {}),
        ...(set.outline ? { outline: true } : {}),
      })),
      use: 'part',
      begins: true,
    });
    if (here.some(({ card }) => card.back))
      sheets.push({
        ...blank(`${set.title} · ${inEach('back', context)}`, paper, [
          heading(`${set.title} · ${inEach('back', context)}`, paper),
          ...here.flatMap(({ card, cell }) =>
            card.back ? faceIn(card.back, mirrored(cell, widthMm), cell.turned, 'back') : [],
          ),
        ]),
        use: 'part',
        back: true,
      });
  }
  return sheets;
}

/** A sheet that is one part as it is, and not cut: a mat, a plan or a record. */
export function wholeSheet<Material extends string>(
  part: { material: Material; name: string; title: string; use: 'record' | 'part' },
  shapes: readonly Shape[],
  { paper, lost }: SheetContext,
  back?: readonly Shape[],
): Sheet<Material>[] {
  if (lost && (lost.material !== part.material || lost.name !== part.name)) return [];
  const { widthMm, heightMm } = PAPERS[paper];
  const whole: Piece<Material> = {
    material: part.material,
    name: part.name,
    x: 0,
    y: 0,
    w: widthMm,
    h: heightMm,
  };
  const front = {
    ...blank(part.title, paper, [...shapes]),
    pieces: [whole],
    use: part.use,
    begins: true,
  };
  return back ? [front, { ...blank(part.title, paper, [...back]), use: part.use, back: true }] : [front];
}

/** What stands over a sheet of parts. */
export const heading = (title: string, paper: Paper): Shape =>
  line(PAPERS[paper].widthMm / 2, MARGIN_MM + 4.5, title, { sizePt: 11, anchor: 'middle', fill: GREY });

/** A message of the printed frame in each language of the pack. */
export const inEach = (
  id: keyof typeof PRINT_WORDS.en & string,
  { readings }: Pick<SheetContext, 'readings'>,
  args = {},
): string => [...new Set(readings.map((reading) => say(reading, PRINT_WORDS, id, args)))].join(' · ');

/** The readings in which a message of the printed frame is said: English once for all that have no wording for it. */
export const spokenIn = (
  id: keyof typeof PRINT_WORDS.en & string,
  { readings }: Pick<SheetContext, 'readings'>,
): Reading[] => [
  ...new Set(
    readings.map((reading) => (saidIn(reading, PRINT_WORDS, id) === reading.language ? reading : ENGLISH)),
  ),
];

/** What stands over a sheet: a message of the game in each language of the pack. */
export const titleIn = <M extends Messages>(
  words: Source<M>,
  id: keyof M & string,
  { readings }: Pick<SheetContext, 'readings'>,
  args = {},
): string => [...new Set(readings.map((reading) => say(reading, words, id, args)))].join(' · ');

/** Dots in rows of five, with a gap after ten, so that five and ten can be seen; their middle lies at (x, y). */
export function dots(n: number, x: number, y: number, widthMm: number, ink: string = INK): Shape[] {
  const step = widthMm / 5;
  const rows = Math.ceil(n / 5);
  const gap = (row: number): number => Math.floor(row / 2) * step * 0.4;
  const height = (rows - 1) * step + gap(rows - 1);
  return Array.from({ length: n }, (_, i): Shape => {
    const row = Math.floor(i / 5);
    return {
      kind: 'circle',
      x: x + ((i % 5) - 2) * step,
      y: y + row * step + gap(row) - height / 2,
      radius: step * 0.34,
      fill: ink,
    };
  });
}
/** How high `dots` are for this width: so that they can be fitted. */
export const dotsHeight = (n: number, widthMm: number): number => {
  const rows = Math.max(1, Math.ceil(n / 5));
  return (widthMm / 5) * (rows - 0.32 + Math.floor((rows - 1) / 2) * 0.4);
};
/** Dots as large as their place allows. */
export const dotsIn = (n: number, { x, y, w, h }: Cell, ink?: string): Shape[] =>
  dots(n, x + w / 2, y + h / 2, Math.min(w, (w * h) / dotsHeight(n, w)), ink);

/**
 * A five-frame or a ten-frame as large as its place allows, `n` of its cells filled from the left, the upper row
 * first; the last `second` of them are rings, for a second colour.
 */
export function frame(n: number, of: 5 | 10, place: Cell, second = 0): Shape[] {
  const rows = of / 5;
  const side = Math.min(place.w / 5, place.h / rows);
  const left = place.x + (place.w - side * 5) / 2;
  const top = place.y + (place.h - side * rows) / 2;
  return Array.from({ length: of }, (_, i): Shape[] => {
    const [x, y] = [left + (i % 5) * side, top + Math.floor(i / 5) * side];
    const middle = { x: x + side / 2, y: y + side / 2 };
    return [
      { kind: 'rect', x, y, width: side, height: side, stroke: INK, strokeMm: Math.min(0.5, side * 0.04) },
      ...(i < n - second
        ? [{ kind: 'circle', ...middle, radius: side * 0.32, fill: INK } satisfies Shape]
        : i < n
          ? [
              {
                kind: 'circle',
                ...middle,
                radius: side * 0.28,
                stroke: INK,
                strokeMm: side * 0.08,
              } satisfies Shape,
            ]
          : []),
    ];
  }).flat();
}

/** A grid of numbers that fills a place: a board or a mat. Numbers in reading order. */
export function numberGrid(numbers: readonly number[], columns: number, place: Cell): Shape[] {
  const rows = Math.ceil(numbers.length / columns);
  const [w, h] = [place.w / columns, place.h / rows];
  const height = Math.min(h * 0.42, ...numbers.map((n) => fitNumeral(String(n), w * 0.62, h)));
  return numbers.flatMap((number, i) => {
    const [x, y] = [place.x + (i % columns) * w, place.y + Math.floor(i / columns) * h];
    return [
      { kind: 'rect', x, y, width: w, height: h, stroke: INK, strokeMm: 0.5 } satisfies Shape,
      ...numeral(String(number), x + w / 2, y + h / 2, height),
    ];
  });
}

/** The place inside a cell, away from its cuts. */
export const inside = ({ x, y, w, h }: Cell, byMm: number): Cell => ({
  x: x + byMm,
  y: y + byMm,
  w: w - 2 * byMm,
  h: h - 2 * byMm,
});

/** A slip to be drawn from a bowl. */
export const SLIP_MM = { w: 46, h: 60 };
/** The face of a slip: the numeral above, as many dots below. */
export function slipFace(number: number, cell: Cell): Shape[] {
  const { x, y, w, h } = inside(cell, 4);
  return [
    ...numeral(String(number), x + w / 2, y + h * 0.2, Math.min(14, h * 0.26)),
    ...dotsIn(number, { x: x + w * 0.06, y: y + h * 0.46, w: w * 0.88, h: h * 0.54 }),
  ];
}

/** A card of one number. */
export const NUMBER_MM = { w: 46, h: 60 };
export const numberFace = (number: number, { x, y, w, h }: Cell): Shape[] =>
  numeral(String(number), x + w / 2, y + h / 2, fitNumeral(String(number), w * 0.62, h * 0.44));

/** Card of a sentence such as 10 − 7. */
export const SENTENCE_MM = { w: 60, h: 40 };
/** The face of a sentence card: as large as its text allows, at most 12 mm high. */
export const sentenceFace = (text: string, { x, y, w, h }: Cell): Shape[] =>
  numeral(text, x + w / 2, y + h / 2, fitNumeral(text, w * 0.8, Math.min(12, h * 0.4)));

/** Number cards, each once. */
export const numberCards = (numbers: readonly number[]): Card[] =>
  numbers.map((number) => ({ name: String(number), draw: (cell) => numberFace(number, cell) }));
/** Calling slips, each once. */
export const slipCards = (numbers: readonly number[]): Card[] =>
  numbers.map((number) => ({ name: String(number), draw: (cell) => slipFace(number, cell) }));
/** Sentence cards such as 3 + 4, each once. */
export const sentenceCards = (list: readonly { a: number; b: number }[], sign: '+' | '−'): Card[] =>
  list.map(({ a, b }) => {
    const name = `${a} ${sign} ${b}`;
    return { name, draw: (cell) => sentenceFace(name, cell) };
  });
