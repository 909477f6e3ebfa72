import { partCards } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { inside, numberGrid, SLIP_MM, slipCards } from '~/core/paper/cards';
import { CannotPrint, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { BlanketParams } from '.';
import { boardsOf, differentBoards, SHAPES, slips } from './rules';
import { words } from './words';

/** The boards, half a page each, and the calling slips with numeral and dots. Throws CannotPrint when boards repeat. */
export function sheets(params: BlanketParams, context: SheetContext): Sheet<MaterialId>[] {
  const different = differentBoards(params);
  if (params.boards > different)
    throw new CannotPrint(
      `${words.en.name}: ${params.boards} boards are asked for, and there ${different === 1 ? 'is 1' : `are ${different}`} that differ with ${params.cells} of ${slips(params)} numbers. Use fewer boards, or more numbers.`,
    );
  const { rows, columns } = SHAPES[params.cells]!;
  return [
    ...partCards(
      words,
      'board',
      { w: 180, h: rows > columns ? 180 : 120 },
      boardsOf(params).map((numbers, i) => ({
        name: `board ${i + 1}`,
        draw: (cell) => {
          const grid = numberGrid(numbers, columns, inside(cell, 5));
          // On a blank board only its cells are drawn.
          return params.fill === 'blank' ? grid.filter(({ kind }) => kind === 'rect') : grid;
        },
      })),
      context,
    ),
    ...partCards(
      words,
      'slip',
      SLIP_MM,
      slipCards(Array.from({ length: slips(params) }, (_, i) => params.from + i)),
      context,
    ),
  ];
}
