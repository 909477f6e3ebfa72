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
import { hasTriangle } from './reckon';
import { twinsOf } from './rules';
import { words } from './words';

/** A numeral or a letter in the heart of a shape. */
function face(text: string, { twins }: TwinParams, { x, y, w, h }: Cell): Shape[] {
  // Small letters hang below their line: a little smaller, and higher.
  const [high, up] = twins === 'letters' ? [h * 0.58, h * 0.08] : [h * 0.8, 0];
  return numeral(text, x + w / 2, y + h / 2 - up, fitNumeral(text, w, high));
}

/** The shapes to cut out; their outlines with dots, numerals or letters on a board; a fact triangle on its back. */
export function sheets(params: TwinParams, context: SheetContext): Sheet<MaterialId>[] {
  const { shape, shapeMm, gapMm } = params;
  const shapes = partCards(
    words,
    'cut-shape',
    shapeMm,
    twinsOf(params).map(({ shape: text }) => ({
      name: text,
      draw: (cell) => [
        picture(shape, cell, { fill: '#E4EFDD', stroke: INK, strokeMm: 0.5 }),
        ...face(text, params, heartOf(shape, cell)),
      ],
    })),
    context,
    { gapMm },
  );
  return [...shapes, ...boardSheets(params, context)];
}

/** The board: outlines where the shapes lie on their own sheets, so that it has as many of them. */
function boardSheets(params: TwinParams, context: SheetContext): Sheet<MaterialId>[] {
  const { shape, shapeMm, gapMm } = params;
  const twins = twinsOf(params);
  const { cells, headed } = impose(shapeMm, context.paper, 'shared', gapMm);
  const title = partTitle(words, 'shape-board', 1, context);
  return Array.from({ length: Math.ceil(twins.length / cells.length) }, (_, page) => {
    const here = cells.slice(0, twins.length - page * cells.length);
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
            (place) => {
              const { value, outline } = twins[page * cells.length + i]!;
              const heart = heartOf(shape, place);
              return [
                picture(shape, place, { stroke: INK, strokeMm: 0.5 }),
                ...(outline === undefined ? dotsIn(value, heart) : face(outline, params, heart)),
              ];
            },
            cell,
            cell.turned,
          ),
        ),
      ],
      context,
      hasTriangle(params) ? triangle(context) : undefined,
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
