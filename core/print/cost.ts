/**
 * What printing takes: pages, paper, pouches, cuts, minutes and money. Prices and times are assumptions that the
 * Print station shows; a school's own differ.
 */
import { papersOf, type Finish, type Sheet } from './sheet';

/** Prices in cents, for packs as they are bought. */
export const PRICES = {
  paper: { name: 'Paper', size: 500, priceCents: 700 },
  card: { name: 'Card stock', size: 250, priceCents: 1400 },
  greyPage: { name: 'A page in black and white', size: 1, priceCents: 2 },
  colourPage: { name: 'A page in colour', size: 1, priceCents: 9 },
  pouch: { name: 'Laminating pouches', size: 100, priceCents: 1900 },
  marker: { name: 'Wipe-off markers', size: 24, priceCents: 2000 },
  cloth: { name: 'Wipe cloths', size: 20, priceCents: 500 },
} as const;
const cents = ({ size, priceCents }: { size: number; priceCents: number }): number => priceCents / size;

/** Minutes of one person's work. */
export const MINUTES = { page: 0.05, pouch: 0.6, cut: 0.12, outline: 0.7, copy: 3 } as const;

/** Loans that a laminated part lasts before it is made anew. */
export const DURABLE_LOANS = 30;

export interface Work {
  pages: number;
  sheets: number;
  pouches: number;
  cuts: number;
  minutes: number;
  costCents: number;
}

/** Whether a page is put in a pouch when it is made to last: parts, records and instructions, not labels and slips. */
const lasts = (sheet: Sheet): boolean => sheet.lasting !== false && sheet.shapes.length > 0;

/** Straight cuts across the sheet: pieces in a row share theirs. Cuts along an outline are counted one by one. */
export function cutsOf(sheet: Sheet): { straight: number; outline: number } {
  const pieces = sheet.pieces ?? [];
  const lines = (edges: number[]): number => new Set(edges.map((edge) => Math.round(edge * 10))).size;
  const straight = pieces.filter(
    (piece) => !piece.outline && !(piece.w >= sheet.widthMm && piece.h >= sheet.heightMm),
  );
  return {
    straight: straight.length
      ? lines(straight.flatMap(({ x, w }) => [x, x + w])) + lines(straight.flatMap(({ y, h }) => [y, y + h]))
      : 0,
    outline: pieces.filter((piece) => piece.outline).length,
  };
}

/** The work and the material of these pages. A durable page is in colour, on card, in a pouch and cut by hand. */
export function workOf(
  pages: readonly Sheet[],
  { finish, twoSided, copies }: { finish: Finish; twoSided: boolean; copies: number },
): Work {
  const printed = pages.filter((page) => page.shapes.length > 0);
  const durable = finish === 'durable';
  const papers = papersOf(pages, twoSided);
  const sheets = papers.length;
  const pouches = durable ? papers.filter((paper) => paper.some(lasts)).length : 0;
  const cuts = pages.map(cutsOf);
  const straight = cuts.reduce((sum, one) => sum + one.straight, 0);
  const outline = cuts.reduce((sum, one) => sum + one.outline, 0);
  const colour = durable ? printed.filter(lasts).length : 0;
  return {
    pages: printed.length,
    sheets,
    pouches,
    cuts: straight + outline,
    minutes: Math.ceil(
      printed.length * MINUTES.page +
        pouches * MINUTES.pouch +
        straight * MINUTES.cut +
        outline * MINUTES.outline +
        copies * MINUTES.copy,
    ),
    costCents: Math.ceil(
      (sheets - pouches) * cents(PRICES.paper) +
        pouches * (cents(PRICES.card) + cents(PRICES.pouch)) +
        colour * cents(PRICES.colourPage) +
        (printed.length - colour) * cents(PRICES.greyPage),
    ),
  };
}

export interface PrintCost {
  /** Cents of one loan when everything is printed anew for it. */
  plainCents: number;
  /** Cents of one loan when everything is laminated once, a marker and a cloth included. */
  durableCents: number;
  /** The fewest loans from which durable is not dearer; none when it never pays. */
  paysFrom?: number;
}

/**
 * What one loan costs, plain and durable, when the parts of one copy go out so many times. Plain parts are used
 * once; durable ones are made anew after `DURABLE_LOANS`. Throws RangeError for fewer loans than one.
 */
export function printCost(pages: readonly Sheet[], loans: number, twoSided: boolean): PrintCost {
  if (!Number.isInteger(loans) || loans < 1)
    throw new RangeError(`loans: ${loans} is not a number of loans from 1 on`);
  const lasting = pages.filter((page) => page.lasting !== false);
  const plain = workOf(lasting, { finish: 'plain', twoSided, copies: 0 }).costCents;
  const durable = workOf(lasting, { finish: 'durable', twoSided, copies: 0 }).costCents;
  const extras = cents(PRICES.marker) + cents(PRICES.cloth);
  const durableFor = (n: number): number => Math.ceil(n / DURABLE_LOANS) * (durable + extras);
  let paysFrom: number | undefined;
  for (let n = 1; n <= DURABLE_LOANS && paysFrom === undefined; n++)
    if (durableFor(n) <= n * plain) paysFrom = n;
  return {
    plainCents: plain,
    durableCents: Math.ceil(durableFor(loans) / loans),
    ...(paysFrom === undefined ? {} : { paysFrom }),
  };
}
