/** What printing takes: pages, paper, pouches, cuts, minutes and money. */
import { Type, type Static } from '@sinclair/typebox';
import { Whole } from '~/core/check/schema';
import { papersOf, type Finish, type Sheet } from '~/core/paper/sheet';

/** What is bought for printing, with the unit in which it is used up. */
export const SUPPLIES = {
  paper: { name: 'Paper', unit: 'sheet' },
  card: { name: 'Card stock', unit: 'sheet' },
  grey: { name: 'Printing in black and white', unit: 'page' },
  colour: { name: 'Printing in color', unit: 'page' },
  pouch: { name: 'Laminating pouches', unit: 'pouch' },
  marker: { name: 'Wipe-off markers', unit: 'marker' },
  cloth: { name: 'Wipe cloths', unit: 'cloth' },
} as const;
export type Supply = keyof typeof SUPPLIES;
export const SUPPLY_IDS = Object.keys(SUPPLIES) as Supply[];

const Cents = (title: string, usual: number) => Whole(0, 100_000, { title, default: usual });
const Pieces = (title: string, usual: number) => Whole(1, 100_000, { title, default: usual });
const Seconds = (title: string, usual: number) => Whole(0, 3600, { title, default: usual });

/** What printing is reckoned with: prices of packs, seconds of one person's work. The defaults are usual ones. */
export const printingSchema = Type.Object(
  {
    paperCents: Cents('Price of a pack of paper', 700),
    paperSize: Pieces('Sheets in a pack of paper', 500),
    cardCents: Cents('Price of a pack of card stock', 1400),
    cardSize: Pieces('Sheets in a pack of card stock', 250),
    greyCents: Cents('Price of printing in black and white', 200),
    greySize: Pieces('Pages in black and white for this price', 100),
    colourCents: Cents('Price of printing in color', 900),
    colourSize: Pieces('Pages in color for this price', 100),
    pouchCents: Cents('Price of a box of pouches', 1900),
    pouchSize: Pieces('Pouches in a box', 100),
    markerCents: Cents('Price of a box of markers', 2000),
    markerSize: Pieces('Markers in a box', 24),
    clothCents: Cents('Price of a pack of cloths', 500),
    clothSize: Pieces('Cloths in a pack', 20),
    pageSeconds: Seconds('Seconds to print a page', 3),
    cutSeconds: Seconds('Seconds for a straight cut', 7),
    outlineSeconds: Seconds('Seconds to cut along an outline', 42),
    pouchSeconds: Seconds('Seconds for a pouch', 36),
    bagSeconds: Seconds('Seconds to fill and label a bag', 180),
    labelSeconds: Seconds('Of them, seconds to label it', 20),
    partSeconds: Seconds('Seconds to find a kind of part', 15),
    pieceSeconds: Seconds('Seconds to count a piece', 1),
    checkSeconds: Seconds('Seconds to look a bag over', 45),
    printerSeconds: Seconds('Seconds until the printer is ready', 60),
    laminatorSeconds: Seconds('Seconds until the laminator is hot', 240),
    hourCents: Cents('Pay for an hour of work (dollars)', 0),
    durableLoans: Whole(1, 200, { title: 'Loans that a laminated part lasts', default: 30 }),
    plainLoans: Whole(1, 200, { title: 'Loans that a plain page lasts', default: 1 }),
    partLoans: Whole(1, 1000, { title: 'Loans that a bought part lasts', default: 60 }),
    cleanAfter: Whole(1, 200, { title: 'Loans after which parts are washed', default: 3 }),
  },
  { additionalProperties: false },
);
export type Printing = Static<typeof printingSchema>;

/** Usual prices and times; a school's own differ. */
export const USUAL_PRINTING = Object.fromEntries(
  Object.entries(printingSchema.properties).map(([name, { default: usual }]) => [name, usual]),
) as Printing;

/** Cents of one sheet, page, pouch, marker or cloth. */
export const centsOf = (printing: Printing, supply: Supply): number =>
  printing[`${supply}Cents`] / printing[`${supply}Size`];

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
  {
    finish,
    twoSided,
    copies,
    printing,
  }: { finish: Finish; twoSided: boolean; copies: number; printing: Printing },
): Work {
  const cents = (supply: Supply): number => centsOf(printing, supply);
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
      (printed.length * printing.pageSeconds +
        pouches * printing.pouchSeconds +
        straight * printing.cutSeconds +
        outline * printing.outlineSeconds +
        copies * printing.bagSeconds) /
        60,
    ),
    costCents: Math.ceil(
      (sheets - pouches) * cents('paper') +
        pouches * (cents('card') + cents('pouch')) +
        colour * cents('colour') +
        (printed.length - colour) * cents('grey'),
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
 * What one loan costs, plain and durable, when the parts of one copy go out so many times. Plain parts are made
 * anew after `plainLoans`, durable ones after `durableLoans`. Throws RangeError for fewer loans than one.
 */
export function printCost(
  pages: readonly Sheet[],
  loans: number,
  { twoSided, printing }: { twoSided: boolean; printing: Printing },
): PrintCost {
  if (!Number.isInteger(loans) || loans < 1)
    throw new RangeError(`loans: ${loans} is not a number of loans from 1 on`);
  const lasting = pages.filter((page) => page.lasting !== false);
  const cost = (finish: Finish): number =>
    workOf(lasting, { finish, twoSided, copies: 0, printing }).costCents;
  const plain = cost('plain');
  const { durableLoans, plainLoans } = printing;
  const plainFor = (n: number): number => Math.ceil(n / plainLoans) * plain;
  const durable = cost('durable') + centsOf(printing, 'marker') + centsOf(printing, 'cloth');
  const durableFor = (n: number): number => Math.ceil(n / durableLoans) * durable;
  let paysFrom: number | undefined;
  for (let n = 1; n <= durableLoans && paysFrom === undefined; n++)
    if (durableFor(n) <= plainFor(n)) paysFrom = n;
  return {
    plainCents: Math.ceil(plainFor(loans) / loans),
    durableCents: Math.ceil(durableFor(loans) / loans),
    ...(paysFrom === undefined ? {} : { paysFrom }),
  };
}
