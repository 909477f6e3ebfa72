/** What a game's own sheets are put together with: each part under the game's name and its count in two languages. */
import type { MaterialId } from '~/core/materials/catalogue';
import { MATERIAL_WORDS } from '~/core/materials/words';
import { nameOf, say, type Source } from '~/core/words/reading';
import {
  cardSheets,
  heading,
  NUMBER_MM,
  numberGrid,
  wholeSheet,
  type Card,
  type CardSet,
} from '~/core/paper/cards';
import { numeral } from '~/core/paper/numerals';
import { MARGIN_MM, PAPERS, type Cell, type Shape, type Sheet, type SheetContext } from '~/core/paper/sheet';

/** "Blanket the Board: 11 papelitos · 11 calling slips". */
export function partTitle(
  words: Source,
  material: MaterialId,
  quantity: number,
  { readings }: Pick<SheetContext, 'readings'>,
): string {
  const counts = readings.map((reading) => say(reading, MATERIAL_WORDS, material, { quantity }));
  return `${nameOf({ words }, readings[0])}: ${[...new Set(counts)].join(' · ')}`;
}

/** Cards of one material of a game. */
export const partCards = (
  words: Source,
  material: MaterialId,
  size: CardSet['size'],
  cards: readonly Card[],
  context: SheetContext,
  outline?: CardSet['outline'],
): Sheet<MaterialId>[] =>
  cardSheets(
    { material, title: partTitle(words, material, cards.length, context), size, outline },
    cards,
    context,
  );

/** The part of a sheet below its heading. */
export function bodyOf({ paper }: Pick<SheetContext, 'paper'>): Cell {
  const { widthMm, heightMm } = PAPERS[paper];
  const top = MARGIN_MM + 9;
  return {
    x: MARGIN_MM + 3,
    y: top,
    w: widthMm - 2 * (MARGIN_MM + 3),
    h: heightMm - top - MARGIN_MM - 3,
  };
}

/** A part that fills a sheet of its own. */
export function partSheet(
  words: Source,
  material: MaterialId,
  name: string,
  draw: (place: Cell) => readonly Shape[],
  context: SheetContext,
  back?: (place: Cell) => readonly Shape[],
): Sheet<MaterialId>[] {
  const title = partTitle(words, material, 1, context);
  const place = bodyOf(context);
  return wholeSheet(
    { material, name, title, use: 'part' },
    [heading(title, context.paper), ...draw(place)],
    context,
    back?.(place),
  );
}

/** The largest place with these proportions in the middle of a place. */
export function within({ x, y, w, h }: Cell, proportion: number): Cell {
  const width = Math.min(w, h * proportion);
  const height = width / proportion;
  return { x: x + (w - width) / 2, y: y + (h - height) / 2, w: width, h: height };
}

/** The three signs that are laid between two numbers to compare them. */
export const signCards = (words: Source, context: SheetContext): Sheet<MaterialId>[] =>
  partCards(words, 'sign-card', NUMBER_MM, ['<', '=', '>'].map(signCard), context);

/** The signs of a sentence that is laid with cards. */
export const operationCards = (
  words: Source,
  signs: readonly string[],
  context: SheetContext,
): Sheet<MaterialId>[] => partCards(words, 'operation-card', NUMBER_MM, signs.map(signCard), context);

const signCard = (sign: string): Card => ({
  name: sign,
  draw: ({ x, y, w, h }) => numeral(sign, x + w / 2, y + h / 2, Math.min(w, h) * 0.7),
});

/** A mat of numbers. */
export const matSheet = (
  words: Source,
  numbers: readonly number[],
  columns: number,
  context: SheetContext,
): Sheet<MaterialId>[] =>
  partSheet(words, 'mat', 'mat', (place) => numberGrid(numbers, columns, place), context);
