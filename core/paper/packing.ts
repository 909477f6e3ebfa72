/** How many pieces of a size fit a sheet, either way round. */
/** A grid of pieces that lie the same way round, and where it begins, in mm. */
export interface Block {
  x: number;
  y: number;
  columns: number;
  rows: number;
  turned: boolean;
}

/** One or two grids of pieces beside or under each other. */
export interface Packing {
  blocks: readonly Block[];
  count: number;
  widthMm: number;
  heightMm: number;
}

/**
 * The most pieces of one size (mm) in a room, some upright and some on their side: a grid of either, or one of each,
 * divided by one straight line. Of equal ones, the simplest.
 */
export function packed(piece: Size, room: Size, gapMm: number): Packing {
  const both: Block[][] = [false, true].map((turned) => [grid(piece, room, gapMm, turned)]);
  for (const turned of [false, true]) {
    const { w, h } = lying(piece, turned);
    const [whole] = both[Number(turned)]!;
    for (let rows = whole!.rows - 1; rows > 0; rows--) {
      const down = rows * (h + gapMm);
      both.push([
        { ...whole!, rows },
        { ...grid(piece, { w: room.w, h: room.h - down }, gapMm, !turned), y: down },
      ]);
    }
    for (let columns = whole!.columns - 1; columns > 0; columns--) {
      const right = columns * (w + gapMm);
      both.push([
        { ...whole!, columns },
        { ...grid(piece, { w: room.w - right, h: room.h }, gapMm, !turned), x: right },
      ]);
    }
  }
  return best(piece, both, gapMm);
}

/** The same with all pieces one way round, for cards that are cut along shared lines. */
export const inRows = (piece: Size, room: Size, gapMm: number): Packing =>
  best(
    piece,
    [false, true].map((turned) => [grid(piece, room, gapMm, turned)]),
    gapMm,
  );

interface Size {
  w: number;
  h: number;
}

const lying = ({ w, h }: Size, turned: boolean): Size => (turned ? { w: h, h: w } : { w, h });

/** As many as fit, all one way round. */
function grid(piece: Size, room: Size, gapMm: number, turned: boolean): Block {
  const { w, h } = lying(piece, turned);
  const along = (length: number, size: number): number =>
    Math.max(0, Math.floor((length + gapMm + 1e-9) / (size + gapMm)));
  return { x: 0, y: 0, columns: along(room.w, w), rows: along(room.h, h), turned };
}

function best(piece: Size, all: readonly (readonly Block[])[], gapMm: number): Packing {
  const counted = (blocks: readonly Block[]): number =>
    blocks.reduce((total, { columns, rows }) => total + columns * rows, 0);
  const most = all.reduce((a, b) => (counted(b) > counted(a) ? b : a));
  const blocks = most.filter(({ columns, rows }) => columns * rows > 0);
  const end = (of: (block: Block, size: Size) => number): number =>
    Math.max(0, ...blocks.map((block) => of(block, lying(piece, block.turned))));
  return {
    blocks,
    count: counted(blocks),
    widthMm: end(({ x, columns }, { w }) => x + columns * (w + gapMm) - gapMm),
    heightMm: end(({ y, rows }, { h }) => y + rows * (h + gapMm) - gapMm),
  };
}
