import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import { figure, know, levels, mend, need, type Answers, type Ladder } from '~/core/games/kit';
import { fitting } from '~/core/paper/packing';
import { PAPERS } from '~/core/paper/sheet';
import type { TwinParams } from '.';

/** Our own twelve shapes, one a month; none belongs to a religion. */
export const SHAPES = {
  mitten: 'mitten',
  heart: 'heart',
  kite: 'kite',
  umbrella: 'umbrella',
  flower: 'flower',
  fish: 'fish',
  sun: 'sun',
  boat: 'boat',
  apple: 'apple',
  leaf: 'leaf',
  acorn: 'acorn',
  star: 'star',
} as const;

/** How the shapes lie on one sheet of the paper. */
export const layout = ({ shapeMm, gapMm, paper }: TwinParams) => fitting(shapeMm, PAPERS[paper], gapMm);

export const faults = (params: TwinParams): FieldErrors =>
  layout(params).count === 0
    ? {
        shapeMm: `A shape of ${params.shapeMm.w} × ${params.shapeMm.h} mm does not fit ${PAPERS[params.paper].name} paper. Make it smaller.`,
      }
    : {};

export const ladder = (params: TwinParams): Ladder =>
  levels(params, 'count', [5, 6, 8, 10, 12, 15, 20], (count) => `Use ${count} shapes`);

/** Fact triangles of wholes up to `count`: two parts of at least 1, the smaller first. */
export function factFamilies(count: number): { all: number; doubles: number } {
  let all = 0;
  for (let whole = 2; whole <= count; whole++) all += Math.floor(whole / 2);
  return { all, doubles: Math.floor(count / 2) };
}

export function reckon(params: TwinParams): Answers {
  const { count, shape, shapeMm, gapMm, paper } = params;
  const { columns, rows, count: perSheet, turned } = layout(params);
  const sheets = Math.ceil(count / perSheet);
  const boardRows = Math.ceil(count / columns);
  const families = factFamilies(count);
  return {
    figures: [
      figure(
        'perSheet',
        'Shapes on a sheet',
        perSheet,
        'shapes',
        `${columns} across and ${rows} down${turned ? ', on their side' : ''}, ${gapMm} mm apart, on ${PAPERS[paper].name}.`,
      ),
      figure('sheets', 'Sheets of shapes', sheets, 'sheets', `${count} shapes at ${perSheet} a sheet.`),
      figure(
        'pouches',
        'Pouches',
        2 * sheets,
        'pouches',
        `${sheets} for the shapes and ${sheets} for the board, which has outlines of the same size.`,
      ),
      figure(
        'boardRows',
        'Rows on the board',
        boardRows,
        'rows',
        `${count} outlines at ${columns} in a row; the last row has ${count - (boardRows - 1) * columns}.`,
      ),
      figure(
        'factFamilies',
        'Fact triangles on the back',
        families.all,
        'families',
        `Two parts and a whole up to ${count}; ${families.doubles} are doubles, which need one numeral twice.`,
      ),
    ],
    parts: [
      need('cut-shape', count, `Numbered from 1 to ${count}.`),
      need('shape-board', 1, 'Outlines with dots on the front, a fact triangle on the back.'),
      need('wipe-marker', 1, 'For the triangle on the back.'),
    ],
    prep: [
      `Print ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} of shapes and the board; laminate, then cut ${count} times around a ${SHAPES[shape]}.`,
    ],
    turns: point(count),
    setUpMinutes: 1,
    practice: [
      ...Array.from({ length: count }, (_, i) => ({ fact: fact('quantity', i + 1), meetings: 1 })),
      ...Array.from({ length: count }, (_, i) => ({ fact: fact('count', i + 1), meetings: 1 })),
    ],
    space: { place: 'table', widthMm: columns * (shapeMm.w + gapMm) * 2, depthMm: 450 },
    players: { fewest: 1, most: 2, alone: true },
    notices: [
      sheets > 1 &&
        know(
          'board-of-sheets',
          `The board takes ${sheets} sheets, taped side by side from behind.`,
          fitOne(params),
        ),
      count > 12 &&
        know(
          'dots-in-fives',
          'More than twelve dots are counted, not seen: they are printed in fives so that five and ten can be read at once.',
        ),
    ],
    ladder: ladder(params),
  };
}

/** The largest square shape of which all fit one sheet, when there is one of at least 20 mm. */
function fitOne(params: TwinParams) {
  for (let side = Math.max(params.shapeMm.w, params.shapeMm.h) - 1; side >= 20; side--) {
    const shapeMm = { w: side, h: side };
    if (layout({ ...params, shapeMm }).count >= params.count)
      return mend(`Make the shapes ${side} mm`, params, { shapeMm });
  }
  return undefined;
}
