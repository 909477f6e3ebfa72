import { seeded, shuffled } from '~/core/chance/random';
import { partTitle } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { heading, impose, inside } from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { flock } from '~/core/paper/pictures';
import {
  blank,
  GREY,
  INK,
  type Cell,
  type Piece,
  type Shape,
  type Sheet,
  type SheetContext,
} from '~/core/paper/sheet';
import type { PuzzleParams } from '.';
import { PIECES, PUZZLE_GAP_MM, PUZZLE_MM, puzzles } from './reckon';
import { words } from './words';

const APPLE = { fill: '#F2CFC3', stroke: INK, strokeMm: 0.4 };

const LEAF = { fill: '#DDEBD3', stroke: INK, strokeMm: 0.4 };

/** How far the middle of a wave lies beside the straight line, in mm, at a quarter, half and three quarters. */
const BENDS = [-7, -2.5, 2.5, 7] as const;

/** Every wave there is: no two fit each other. */
const WAVES = BENDS.flatMap((a) => BENDS.flatMap((b) => BENDS.map((c): Wave => [a, b, c])));

export type Wave = readonly [number, number, number];

/** Both waves of every puzzle, no wave twice. */
export function wavesOf({ count }: Pick<PuzzleParams, 'count'>, seed: number): [Wave, Wave][] {
  const mixed = shuffled(WAVES, seeded(seed));
  return Array.from({ length: count }, (_, i): [Wave, Wave] => [mixed[2 * i]!, mixed[2 * i + 1]!]);
}

/** Puzzles of a left picture, their answer and a right picture, each with two waves of its own. */
export function sheets(params: PuzzleParams, context: SheetContext): Sheet<MaterialId>[] {
  const { paper, lost } = context;
  const { cells, headed } = impose(PUZZLE_MM, paper, 'shared', PUZZLE_GAP_MM);
  const title = partTitle(words, 'puzzle-piece', params.count * PIECES, context);
  const waves = wavesOf(params, context.seed);
  const all = puzzles(params).map((puzzle, i) => ({ ...puzzle, waves: waves[i]!, name: `puzzle ${i + 1}` }));
  const wanted = lost
    ? all.filter(({ name }) => lost.material === 'puzzle-piece' && lost.name === name)
    : all;
  const sheets: Sheet<MaterialId>[] = [];
  for (let first = 0; first < wanted.length; first += cells.length) {
    const here = wanted.slice(first, first + cells.length).map((puzzle, i) => ({ puzzle, cell: cells[i]! }));
    sheets.push({
      ...blank(title, paper, [
        ...(headed ? [heading(title, paper)] : []),
        ...here.flatMap(({ puzzle, cell }) => puzzleShapes(puzzle, params.max - 1, cell)),
      ]),
      pieces: here.flatMap(({ puzzle, cell }) => piecesOf(puzzle.name, cell)),
      use: 'part',
      begins: true,
    });
  }
  return sheets;
}

/** Three places side by side; the middle one is narrower. */
const thirds = ({ x, y, w, h }: Cell): [Cell, Cell, Cell] => [
  { x, y, w: w * 0.39, h },
  { x: x + w * 0.39, y, w: w * 0.22, h },
  { x: x + w * 0.61, y, w: w * 0.39, h },
];

const piecesOf = (name: string, cell: Cell): Piece<MaterialId>[] =>
  thirds(cell).map((place) => ({ ...place, material: 'puzzle-piece', name, outline: true }));

/** A puzzle whose pictures show at most `most` of a kind. */
function puzzleShapes(
  { a, b, waves }: { a: number; b: number; waves: [Wave, Wave] },
  most: number,
  cell: Cell,
): Shape[] {
  const [left, middle, right] = thirds(cell);
  const cut = { stroke: GREY, strokeMm: 0.3, dashMm: [2, 1.5] };
  const wave = (x: number, [p, q, r]: Wave): Shape => {
    const { y, h } = cell;
    return {
      kind: 'path',
      d: `M${x} ${y} C${x} ${y + h * 0.1} ${x + p} ${y + h * 0.12} ${x + p} ${y + h * 0.24} C${x + p} ${y + h * 0.38} ${x + q} ${y + h * 0.36} ${x + q} ${y + h * 0.5} C${x + q} ${y + h * 0.64} ${x + r} ${y + h * 0.62} ${x + r} ${y + h * 0.76} C${x + r} ${y + h * 0.88} ${x} ${y + h * 0.9} ${x} ${y + h}`,
      ...cut,
    };
  };
  const answer = String(a + b);
  return [
    { kind: 'rect', x: cell.x, y: cell.y, width: cell.w, height: cell.h, ...cut },
    wave(middle.x, waves[0]),
    wave(right.x, waves[1]),
    ...flock('apple', a, inside({ ...left, w: left.w - 5 }, 4), { most, ink: APPLE }),
    ...numeral(answer, middle.x + middle.w / 2, cell.y + cell.h / 2, 14),
    ...flock('leaf', b, inside({ ...right, x: right.x + 5, w: right.w - 5 }, 4), { most, ink: LEAF }),
  ];
}
