import { cardSheets, inside, numberGrid, SLIP_MM, slipFace, titleIn, type Cell } from '~/core/print/cards';
import type { Sheet, SheetContext } from '~/core/print/sheet';
import { en } from './words/en';
import { es } from './words/es';
import { boardsOf, SHAPES, slips, type BlanketParams } from './rules';

const WORDS = { en, es };

/** The boards, half a page each, and the calling slips with numeral and dots. */
export function sheets(params: BlanketParams, context: SheetContext): Sheet[] {
  const { rows, columns } = SHAPES[params.cells]!;
  const board = { w: 180, h: rows > columns ? 180 : 120 };
  return [
    ...cardSheets(
      titleIn(WORDS, 'sheet.boards', context),
      boardsOf(params).map((numbers) => (cell) => numberGrid(numbers, columns, inside(cell, 5))),
      board,
      context,
    ),
    ...cardSheets(
      titleIn(WORDS, 'sheet.slips', context),
      Array.from({ length: slips(params) }, (_, i) => (cell: Cell) => slipFace(params.from + i, cell)),
      SLIP_MM,
      context,
    ),
  ];
}
