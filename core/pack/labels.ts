/** The labels of a copy: how the bag works, what is in it, and its tag; on label sheets or on plain paper to cut. */
import type { Variant } from '~/core/games/kit/game';
import { MATERIAL_WORDS } from '~/core/materials/words';
import type { KitPart } from '~/core/kits/recipe';
import { showTag } from '~/core/kits/tag';
import { FAMILY_WORDS } from '~/core/words/family';
import type { Args, Messages } from '~/core/words/message';
import type { Language } from '~/core/words/languages';
import { saidIn, say, type Reading, type Source } from '~/core/words/reading';
import { PRINT_WORDS } from '~/core/words/print';
import {
  blank,
  CannotPrint,
  GREY,
  INK,
  MARGIN_MM,
  PAPERS,
  printable,
  type Cell,
  type Shape,
  type Sheet,
  type SheetContext,
} from '~/core/paper/sheet';
import type { LabelOrder, LabelStock } from './stock';
import { code128, qrCode } from '~/core/paper/symbols';
import { line, lineMm, paragraph, sideBySide, type Block, type TextStyle } from '~/core/paper/text';

/** Where something is written from the top down, as high as it becomes. */
type Place = Omit<Cell, 'h'>;

export interface LabelSource {
  kitName: string;
  tag: string;
  link: string;
  schoolName: string;
  /** The school's own picture, as a data address. */
  mark?: string | undefined;
  /** How families reach the school, in its own words. */
  contact?: string | undefined;
  /** The games of the bag, whose first steps stand on it where there is room. */
  begins?: readonly Variant[];
  parts: readonly KitPart[];
  /** The names of the parts at this school. */
  names?: Source;
  smallParts: boolean;
}

/** On plain paper: a wide label with the directions, and two narrow ones beside each other below it. */
const WIDE_MM = 190;
const HALF = { w: WIDE_MM / 2, h: 82 };
/** Sizes of type, from the one that is wanted to the least a label may have. */
const TYPE_PT = [12, 11.5, 11, 10.5, 10, 9.5, 9];
/** Type of a list that has room. */
const READ_PT = 11;
const PAD_MM = 3.5;
/** The least that a phone and a barcode reader make out: side of the square, width of the bars. */
const SQUARE_MM = 16;
const BARS_MM = 24;
/** Side of the school's picture. */
const MARK_MM = 11;
/** A label for the directions is no higher than about half a page. */
const LONG_MM = 125;
/** More parts than this do not fit half the width of the paper in two languages. */
const HALF_PARTS = 8;

/** All labels of all copies. Throws CannotPrint when a stock does not lie on the paper, or the text on its labels. */
export function labelSheets(
  sources: readonly LabelSource[],
  order: LabelOrder,
  context: SheetContext,
): Sheet[] {
  const { stock } = order;
  return stock ? onStock(sources, stock, order.used ?? 0, context) : onPlainPaper(sources, context);
}

function onStock(
  sources: readonly LabelSource[],
  stock: LabelStock,
  used: number,
  context: SheetContext,
): Sheet[] {
  const { widthMm, heightMm } = PAPERS[context.paper];
  const perSheet = stock.columns * stock.rows;
  const right = stock.left + stock.columns * stock.w + (stock.columns - 1) * stock.gapX;
  const bottom = stock.top + stock.rows * stock.h + (stock.rows - 1) * stock.gapY;
  if (perSheet < 1 || right > widthMm + 0.5 || bottom > heightMm + 0.5)
    throw new CannotPrint(
      `Labels: ${stock.columns} × ${stock.rows} labels of ${stock.w} × ${stock.h} mm do not lie on ${PAPERS[context.paper].name} paper. Choose the paper of the label sheet, or other measures.`,
    );
  if (used >= perSheet)
    throw new CannotPrint(`Labels: a sheet has ${perSheet} labels; fewer than that can be used already.`);
  const area = printable(PAPERS[context.paper]);
  type Face = (place: Cell, readings: readonly Reading[]) => Shape[];
  const faces = sources.flatMap((source): Face[] =>
    [bagLabel, contentsLabel, tagLabel].map(
      (label) => (place, readings) => label(source, place, { ...context, readings }),
    ),
  );
  const sheets: Shape[][] = [];
  let next = used;
  const put = (face: Face, readings: readonly Reading[]): void => {
    const at = next % perSheet;
    const x = stock.left + (at % stock.columns) * (stock.w + stock.gapX);
    const y = stock.top + Math.floor(at / stock.columns) * (stock.h + stock.gapY);
    // A label may lie nearer to the edge than a printer reaches: its text keeps away from there.
    const from = { x: Math.max(x + PAD_MM, area.x), y: Math.max(y + PAD_MM, area.y) };
    const to = {
      x: Math.min(x + stock.w - PAD_MM, area.x + area.w),
      y: Math.min(y + stock.h - PAD_MM, area.y + area.h),
    };
    const shapes = face({ ...from, w: to.x - from.x, h: to.y - from.y }, readings);
    if (sheets.length === 0 || at === 0) sheets.push([]);
    sheets.at(-1)!.push(...shapes);
    next++;
  };
  for (const face of faces)
    try {
      put(face, context.readings);
    } catch (error) {
      if (!(error instanceof CannotPrint) || context.readings.length === 1) throw error;
      // Too much for one label: a label for each language.
      for (const reading of context.readings) put(face, [reading]);
    }
  return sheets.map((shapes) => ({ ...blank('Labels', context.paper, shapes), begins: true }));
}

function onPlainPaper(sources: readonly LabelSource[], context: SheetContext): Sheet[] {
  const { widthMm, heightMm } = PAPERS[context.paper];
  const left = (widthMm - WIDE_MM) / 2;
  const sheets: { shapes: Shape[]; cells: Cell[] }[] = [];
  let y = Infinity;
  /** Room for a row of labels on this page or a new one. */
  const rowOf = (h: number): number => {
    if (y + h > heightMm - MARGIN_MM) {
      sheets.push({ shapes: [], cells: [] });
      y = MARGIN_MM;
    }
    y += h;
    return y - h;
  };
  const put = (cell: Cell, face: (place: Cell) => Shape[]): void => {
    const { shapes, cells } = sheets.at(-1)!;
    cells.push(cell);
    shapes.push(
      {
        kind: 'rect',
        x: cell.x,
        y: cell.y,
        width: cell.w,
        height: cell.h,
        stroke: GREY,
        strokeMm: 0.2,
        dashMm: [2, 1.5],
      },
      ...face({
        x: cell.x + PAD_MM,
        y: cell.y + PAD_MM,
        w: cell.w - 2 * PAD_MM,
        h: cell.h - 2 * PAD_MM,
      }),
    );
  };
  for (const source of sources) {
    // A bag of many games tells on its label how the bag works, and on their sheets how the games begin.
    const brief = { ...source, begins: [] };
    const told = heightFor(source, directions, context) > LONG_MM ? brief : source;
    const bagMm = heightFor(told, directions, context);
    put({ x: left, y: rowOf(bagMm), w: WIDE_MM, h: bagMm }, (place) => bagLabel(told, place, context));
    // A long list has a wide label for itself, as high as it needs.
    const long = source.parts.length > HALF_PARTS;
    const listMm = long ? Math.max(HALF.h, heightFor(source, contents, context)) : HALF.h;
    const below = rowOf(listMm);
    put({ x: left, y: below, w: long ? WIDE_MM : HALF.w, h: listMm }, (place) =>
      contentsLabel(source, place, context),
    );
    const tagAt = long ? { x: left, y: rowOf(HALF.h) } : { x: left + HALF.w, y: below };
    put({ ...tagAt, ...HALF }, (place) => tagLabel(source, place, context));
  }
  return sheets.map(({ shapes, cells }) => ({
    ...blank('Labels', context.paper, shapes),
    pieces: cells.map((cell, k) => ({ ...cell, material: 'label', name: `label ${k + 1}` })),
    begins: true,
  }));
}

/** The height of a label across the paper on which something is read well; at most that of the paper. */
function heightFor(
  source: LabelSource,
  what: typeof directions | typeof contents,
  context: SheetContext,
): number {
  const place = { x: 0, y: 0, w: WIDE_MM - 2 * PAD_MM };
  const { heightMm } = what(source, place, READ_PT, context);
  // A hair more, so that sums of tenths come out no larger.
  return Math.min(printable(PAPERS[context.paper]).h, heightMm + 2 * PAD_MM + 0.1);
}

/** The largest type with which something is no higher than its place. */
function fitted(what: string, place: Cell, draw: (sizePt: number) => Block): Shape[] {
  for (const sizePt of TYPE_PT) {
    const { shapes, heightMm } = draw(sizePt);
    if (heightMm <= place.h + 0.01) return shapes;
  }
  throw noRoom(what, place);
}

const noRoom = (what: string, { w, h }: Pick<Cell, 'w' | 'h'>): CannotPrint =>
  new CannotPrint(
    `Labels: there is no room for ${what} on a label of ${Math.round(w + 2 * PAD_MM)} × ${Math.round(h + 2 * PAD_MM)} mm. Choose larger labels, or plain paper.`,
  );

/** Messages that are the same in both readings, because one has no wording, are said once. */
function columnsOf<M extends Messages>(
  words: Source<M>,
  readings: readonly Reading[],
  id: keyof M & string,
  args: Args = {},
): { text: string; language: Language }[] {
  const all = readings.map((reading) => ({
    text: say(reading, words, id, args),
    language: saidIn(reading, words, id),
  }));
  return all.filter((one, i) => all.findIndex(({ language }) => language === one.language) === i);
}

/** The school's picture and the kit on the left, its tag on the right, and a line below. */
function head(source: LabelSource, place: Place, sizePt: number, measure: SheetContext['measure']): Block {
  const tag = showTag(source.tag);
  const tagMm = measure(tag, 'bold', sizePt + 1) + 3;
  const markMm = source.mark ? MARK_MM + 2 : 0;
  const name = paragraph(source.kitName, place.x + markMm, place.y, place.w - tagMm - markMm, measure, {
    sizePt: sizePt + 2,
    font: 'display',
  });
  const height = Math.max(name.heightMm, markMm && MARK_MM) + 1;
  return {
    shapes: [
      ...(source.mark
        ? [
            {
              kind: 'image',
              x: place.x,
              y: place.y,
              width: MARK_MM,
              height: MARK_MM,
              data: source.mark,
              says: source.schoolName,
            } satisfies Shape,
          ]
        : []),
      ...name.shapes,
      line(place.x + place.w, place.y + lineMm(sizePt) * 0.85, tag, {
        sizePt: sizePt + 1,
        font: 'bold',
        anchor: 'end',
      }),
      {
        kind: 'line',
        x1: place.x,
        y1: place.y + height,
        x2: place.x + place.w,
        y2: place.y + height,
        stroke: INK,
        strokeMm: 0.2,
      },
    ],
    heightMm: height + 1.5,
  };
}

const DIRECTIONS = ['bag.read', 'bag.play', 'bag.count', 'bag.tell'] as const;

/** How the bag works, step by step, how its games begin, and when it comes back. */
function bagLabel(source: LabelSource, place: Cell, context: SheetContext): Shape[] {
  const draw = (one: LabelSource) =>
    fitted('the directions', place, (sizePt) => directions(one, place, sizePt, context));
  if (!source.begins?.length) return draw(source);
  try {
    return draw(source);
  } catch (error) {
    if (!(error instanceof CannotPrint)) throw error;
    // On a small label the bag is told of, not its games.
    return draw({ ...source, begins: [] });
  }
}

/** Steps of each game on the label of its bag. */
const FIRST_STEPS = 2;

/** The name of a game, and its first steps of a turn in a line or two. */
function beginning(variant: Variant, readings: readonly Reading[]): { text: string; language: Language }[] {
  const { words } = variant.game;
  const steps = variant
    .steps()
    .filter(({ part }) => part === 'turn')
    .slice(0, FIRST_STEPS);
  const all = readings.map((reading) => ({
    text: `${say(reading, words, 'name')}: ${steps.map((step) => say(reading, words, step.id, step.args)).join(' ')}`,
    language: steps.every((step) => saidIn(reading, words, step.id) === reading.language)
      ? reading.language
      : ('en' as const),
  }));
  return all.filter((one, i) => all.findIndex(({ language }) => language === one.language) === i);
}

function directions(
  source: LabelSource,
  place: Place,
  sizePt: number,
  { readings, measure }: SheetContext,
): Block {
  const top = head(source, place, sizePt, measure);
  let y = place.y + top.heightMm;
  const shapes = [...top.shapes];
  const add = (
    id: keyof typeof PRINT_WORDS.en & string,
    style: TextStyle,
    { before = '', gap = 0.8 }: { before?: string; gap?: number } = {},
  ): void => {
    const texts = columnsOf(PRINT_WORDS, readings, id).map(({ text, language }) => ({
      text: before + text,
      language,
    }));
    const block = sideBySide(texts, place, y, style, measure);
    shapes.push(...block.shapes);
    y += block.heightMm + gap;
  };
  add('bag.title', { sizePt: sizePt + 0.5, font: 'bold' });
  DIRECTIONS.forEach((id, i) => add(id, { sizePt }, { before: `${i + 1}. ` }));
  for (const variant of source.begins ?? []) {
    const block = sideBySide(beginning(variant, readings), place, y, { sizePt }, measure);
    shapes.push(...block.shapes);
    y += block.heightMm + 0.8;
  }
  if (source.contact) {
    const told = columnsOf(FAMILY_WORDS, readings, 'reachUs', { contact: source.contact });
    const block = sideBySide(told, place, y, { sizePt }, measure);
    shapes.push(...block.shapes);
    y += block.heightMm + 0.8;
  }
  add('bag.back', { sizePt, font: 'bold' }, { gap: 0 });
  // A line to write the day on.
  shapes.push({
    kind: 'line',
    x1: place.x,
    y1: y + 7,
    x2: place.x + place.w,
    y2: y + 7,
    stroke: INK,
    strokeMm: 0.25,
  });
  return { shapes, heightMm: y + 7.5 - place.y };
}

const counted = ({ parts }: LabelSource): KitPart[] => parts.filter((part) => part.material !== 'bag');

/** What is in the bag, with a box to tick for each part. */
const contentsLabel = (source: LabelSource, place: Cell, context: SheetContext): Shape[] =>
  fitted(`the list of ${counted(source).length} parts`, place, (sizePt) =>
    contents(source, place, sizePt, context),
  );

function contents(
  source: LabelSource,
  place: Place,
  sizePt: number,
  { readings, measure }: SheetContext,
): Block {
  const top = head({ ...source, mark: undefined }, place, sizePt, measure);
  let y = place.y + top.heightMm;
  const shapes = [...top.shapes];
  for (const { material, quantity } of counted(source)) {
    const row = sideBySide(
      columnsOf<Messages>(source.names ?? MATERIAL_WORDS, readings, material, { quantity }),
      { x: place.x + 5.5, w: place.w - 5.5 },
      y,
      { sizePt },
      measure,
    );
    shapes.push(
      {
        kind: 'rect',
        x: place.x,
        y: y + lineMm(sizePt) / 2 - 1.5,
        width: 3,
        height: 3,
        stroke: INK,
        strokeMm: 0.25,
      },
      ...row.shapes,
    );
    y += row.heightMm + 0.4;
  }
  if (source.smallParts) {
    const caution = sideBySide(
      columnsOf(FAMILY_WORDS, readings, 'smallParts', { years: 3 }),
      place,
      y + 0.8,
      { sizePt, font: 'bold' },
      measure,
    );
    shapes.push(...caution.shapes);
    y += caution.heightMm + 0.8;
  }
  return { shapes, heightMm: y - place.y };
}

/** The tag in three forms: to read aloud, for the barcode reader, and for a phone. */
function tagLabel(source: LabelSource, place: Cell, context: SheetContext): Shape[] {
  const { readings, measure } = context;
  const qr = Math.min(30, place.h * 0.45);
  const left = place.w - qr - 5;
  const tag = showTag(source.tag);
  const tagPt = Math.min(26, (26 * left) / Math.max(left, measure(tag, 'bold', 26)));
  const barsMm = Math.min(40, left - 8);
  if (qr < SQUARE_MM || barsMm < BARS_MM) throw noRoom('the tag', place);
  const below = place.y + Math.max(qr, 12 + 14) + 3;
  return [
    line(place.x, place.y + 8, tag, { sizePt: tagPt, font: 'bold' }),
    ...code128(source.tag, place.x + 3, place.y + 12, barsMm, Math.max(8, qr - 13)),
    ...qrCode(source.link, place.x + place.w - qr, place.y, qr),
    ...fitted('the tag', { ...place, y: below, h: place.y + place.h - below }, (sizePt) => {
      let y = below;
      const shapes: Shape[] = [];
      for (const { text, language } of [
        ...columnsOf(FAMILY_WORDS, readings, 'scan'),
        ...columnsOf(PRINT_WORDS, readings, 'label.owner', { school: source.schoolName }),
      ]) {
        const block = paragraph(text, place.x, y, place.w, measure, { sizePt, language });
        shapes.push(...block.shapes);
        y += block.heightMm + 0.6;
      }
      return { shapes, heightMm: y - below };
    }),
  ];
}
