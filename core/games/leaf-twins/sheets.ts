import { partCards, partTitle, within } from '~/core/games/kit';
import type { MaterialId } from '~/core/materials/catalogue';
import { dotsIn, faceIn, heading, impose, wholeSheet } from '~/core/paper/cards';
import { fitNumeral, numeral } from '~/core/paper/numerals';
import { heartOf, picture } from '~/core/paper/pictures';
import { answerBox } from '~/core/paper/record';
import {
  INK,
  MARGIN_MM,
  PAPERS,
  type Cell,
  type Shape,
  type Sheet,
  type SheetContext,
} from '~/core/paper/sheet';
import type { TwinParams } from '.';
import { words } from './words';

/** The numbered shapes to cut out; their outlines with dots on a board; a fact triangle on its back. */
export function sheets(params: TwinParams, context: SheetContext): Sheet<MaterialId>[] {
  const { count, shape, shapeMm, gapMm } = params;
  const shapes = partCards(
    words,
    'cut-shape',
    shapeMm,
    Array.from({ length: count }, (_, i) => ({
      name: String(i + 1),
      draw: (cell) => {
        const middle = heartOf(shape, cell);
        const text = String(i + 1);
        return [
          picture(shape, cell, { fill: '#E4EFDD', stroke: INK, strokeMm: 0.5 }),
          ...numeral(
            text,
            middle.x + middle.w / 2,
            middle.y + middle.h / 2,
            fitNumeral(text, middle.w, middle.h * 0.8),
          ),
        ];
      },
    })),
    context,
    { gapMm },
  );
  return [...shapes, ...boardSheets(params, context)];
}

/** The board: outlines where the shapes lie on their own sheets, so that it has as many of them. */
function boardSheets(
  { count, shape, shapeMm, gapMm }: TwinParams,
  context: SheetContext,
): Sheet<MaterialId>[] {
  const { cells, headed } = impose(shapeMm, context.paper, 'shared', gapMm);
  const title = partTitle(words, 'shape-board', 1, context);
  return Array.from({ length: Math.ceil(count / cells.length) }, (_, page) => {
    const here = cells.slice(0, count - page * cells.length);
    return wholeSheet(
      {
        material: 'shape-board',
        name: page ? `board, sheet ${page + 1}` : 'board',
        title,
        use: 'part',
      },
      [
        ...(headed ? [heading(title, context.paper)] : []),
        ...here.flatMap((cell, i) =>
          faceIn(
            (place) => [
              picture(shape, place, { stroke: INK, strokeMm: 0.5 }),
              ...dotsIn(page * cells.length + i + 1, heartOf(shape, place)),
            ],
            cell,
            cell.turned,
          ),
        ),
      ],
      context,
      triangle(context),
    );
  }).flat();
}

/** A fact triangle to fill in with a wipe-off marker: the whole at the top, both parts below. */
function triangle({ paper }: SheetContext): Shape[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const { x, y, w, h } = within(
    {
      x: MARGIN_MM + 6,
      y: MARGIN_MM + 20,
      w: widthMm - 2 * MARGIN_MM - 12,
      h: heightMm - 2 * MARGIN_MM - 40,
    },
    1.1,
  );
  const side = w * 0.2;
  const box = ({ x: bx, y: by }: Pick<Cell, 'x' | 'y'>) =>
    answerBox(bx - side / 2, by - side / 2, side, side);
  return [
    {
      kind: 'path',
      d: `M${x + w / 2} ${y} L${x + w} ${y + h} L${x} ${y + h} Z`,
      stroke: INK,
      strokeMm: 1,
      round: true,
    },
    box({ x: x + w / 2, y: y + h * 0.36 }),
    box({ x: x + w * 0.26, y: y + h * 0.82 }),
    box({ x: x + w * 0.74, y: y + h * 0.82 }),
    ...numeral('+', x + w / 2, y + h * 0.82, side * 0.6),
    ...numeral('=', x + w / 2, y + h * 0.6, side * 0.5),
  ];
}
