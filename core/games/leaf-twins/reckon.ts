import { fact, LETTERS } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import { figure, know, levels, mend, need, type Answers, type Ladder, type Params } from '~/core/games/kit';
import { impose } from '~/core/paper/cards';
import { PAPERS, type Cell } from '~/core/paper/sheet';
import { count as inWords, listed } from '~/core/words/numbers';
import type { TwinParams } from '.';
import { MOST_DOTS, mostOf, twinsOf } from './rules';

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

/** Where the shapes lie on one sheet of the paper. */
export const places = ({ shapeMm, gapMm, paper }: TwinParams) =>
  impose(shapeMm, paper, 'shared', gapMm).cells;

/** The most places that lie one under the other. */
function rowsOf(cells: readonly Cell[]): number {
  const deep = new Map<Cell, number>();
  for (const cell of [...cells].sort((a, b) => a.y - b.y)) {
    const over = [...deep].filter(
      ([{ x, y, w, h }]) => y + h <= cell.y + 1e-9 && x < cell.x + cell.w && cell.x < x + w,
    );
    deep.set(cell, 1 + Math.max(0, ...over.map(([, rows]) => rows)));
  }
  return Math.max(0, ...deep.values());
}

export const faults = (params: TwinParams): FieldErrors => ({
  ...(places(params).length === 0
    ? {
        shapeMm: `A shape of ${params.shapeMm.w} × ${params.shapeMm.h} mm does not fit ${PAPERS[params.paper].name} paper. Make it smaller.`,
      }
    : {}),
  ...(params.twins === 'dots' && params.which === 'own' && mostOf(params) > MOST_DOTS
    ? {
        own: `Nobody counts ${mostOf(params)} dots on a shape. Take numbers up to ${MOST_DOTS}, or the same numeral twice.`,
      }
    : {}),
  ...(params.twins === 'letters' && params.letters.length < 2
    ? { letters: 'One letter alone has nothing to be told from. Choose two or more.' }
    : {}),
});

/** Whether the back of the board has a fact triangle: where there are numbers with two parts, and few enough to fill in. */
export const hasTriangle = (params: TwinParams): boolean =>
  params.twins !== 'letters' && mostOf(params) >= 3 && mostOf(params) <= MOST_DOTS;

export function ladder(params: TwinParams): Ladder {
  const { twins, which } = params;
  if (twins !== 'letters' && which === 'run')
    return levels(params, 'count', [5, 6, 8, 10, 12, 15, 20], (count) => `Use ${count} shapes`);
  // Of one's own numbers or letters: one less, or one more.
  const rung = (label: string, change: Partial<TwinParams>) => ({
    label,
    params: { ...params, ...change } as Params,
  });
  if (twins === 'letters') {
    const { letters } = params;
    const next = LETTERS.find((letter) => !letters.includes(letter));
    return {
      ...(letters.length > 2 && { easier: rung('One letter less', { letters: letters.slice(0, -1) }) }),
      ...(next && { harder: rung(`The ${next} too`, { letters: [...letters, next] }) }),
    };
  }
  const { own } = params;
  const next = own.length < 20 ? unused(params) : undefined;
  return {
    ...(own.length > 2 && { easier: rung('One number less', { own: own.slice(0, -1) }) }),
    ...(next !== undefined && { harder: rung(`The ${next} too`, { own: [...own, next] }) }),
  };
}

/** The smallest number above the largest that is there, or below, that has no shape yet. */
function unused({ own, twins }: TwinParams): number | undefined {
  const most = twins === 'dots' ? MOST_DOTS : 100;
  const all = Array.from({ length: most + 1 }, (_, n) => n).filter((n) => !own.includes(n));
  return all.find((n) => n > Math.max(...own)) ?? all.at(-1);
}

/** Fact triangles of wholes up to `count`: two parts of at least 1, the smaller first. */
export function factFamilies(count: number): { all: number; doubles: number } {
  let all = 0;
  for (let whole = 2; whole <= count; whole++) all += Math.floor(whole / 2);
  return { all, doubles: Math.floor(count / 2) };
}

export function reckon(params: TwinParams): Answers {
  const { twins, which, shape, gapMm, paper } = params;
  const all = twinsOf(params);
  const count = all.length;
  const most = mostOf(params);
  const cells = places(params);
  const perSheet = cells.length;
  const onSide = cells.filter(({ turned }) => turned).length;
  const sheets = Math.ceil(count / perSheet);
  // The sheets of a board lie side by side: it is as deep as the fullest of them.
  const boardRows = rowsOf(cells.slice(0, count));
  const families = factFamilies(most);
  return {
    figures: [
      figure(
        'perSheet',
        'Shapes on a sheet',
        perSheet,
        'shapes',
        `${onSide === 0 ? 'Upright' : onSide === perSheet ? 'On their side' : `${perSheet - onSide} upright and ${onSide} on their side`}, ${gapMm} mm apart, on ${PAPERS[paper].name}.`,
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
        sheets === 1
          ? `${count} outlines on one sheet, where the shapes lie on theirs.`
          : `${inWords(perSheet, 'outline')} on a sheet; its ${sheets} sheets lie side by side.`,
      ),
      ...(hasTriangle(params)
        ? [
            figure(
              'factFamilies',
              'Fact triangles on the back',
              families.all,
              'families',
              `Two parts and a whole up to ${most}; ${families.doubles === 1 ? 'one is a double, which needs' : `${families.doubles} are doubles, which need`} one numeral twice.`,
            ),
          ]
        : []),
    ],
    parts: [
      need(
        'cut-shape',
        count,
        twins === 'letters'
          ? 'Capital letters.'
          : which === 'own'
            ? `With ${listed(all.map(({ shape: text }) => text))}.`
            : `Numbered from 1 to ${count}.`,
      ),
      need(
        'shape-board',
        1,
        `Outlines with ${{ dots: 'dots', numerals: 'numerals', letters: 'small letters' }[twins]} on the front${hasTriangle(params) ? ', a fact triangle on the back' : ''}.`,
      ),
      ...(hasTriangle(params) ? [need('wipe-marker', 1, 'For the triangle on the back.')] : []),
    ],
    prep: [
      `Print ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} of shapes and the board; laminate, then cut ${count} times around a ${SHAPES[shape]}.`,
    ],
    turns: point(count),
    setUpMinutes: 1,
    practice: all.flatMap(({ value }) =>
      twins === 'letters'
        ? [{ fact: fact('letter', value), meetings: 1 }]
        : [
            { fact: fact('quantity', value), meetings: 1 },
            ...(twins === 'dots' ? [{ fact: fact('count', value), meetings: 1 }] : []),
          ],
    ),
    space: {
      place: 'table',
      // The board, and the shapes before it.
      widthMm: Math.max(sheets * PAPERS[paper].widthMm, 400),
      depthMm: PAPERS[paper].heightMm + 200,
    },
    players: { fewest: 1, most: 2, alone: true },
    notices: [
      sheets > 1 &&
        know(
          'board-of-sheets',
          `The board takes ${sheets} sheets, taped side by side from behind.`,
          fitOne(params),
        ),
      twins === 'dots' &&
        most > 12 &&
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
    if (places({ ...params, shapeMm }).length >= twinsOf(params).length)
      return mend(`Make the shapes ${side} mm`, params, { shapeMm });
  }
  return undefined;
}
