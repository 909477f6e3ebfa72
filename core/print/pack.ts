/** Everything that is printed for the copies of a kit, as one list of pages. */
import { gameFor } from '~/core/games';
import { hasSmallParts, recipeOf, type KitPart, type KitPlan, type Recipe } from '~/core/kits/recipe';
import { materialOf } from '~/core/kits/materials';
import { LANGUAGES, type Language } from '~/core/words/message';
import { calibrationSheets } from './calibration';
import { instructionSheets, missingLines } from './instructions';
import { labelSheets } from './labels';
import type { PackItem, PackScope } from './choices';
import { inGrey } from './place';
import type { Lost, Piece, Sheet, SheetContext } from './sheet';
import { slipSheets } from './slip';
import type { LabelOrder } from './stock';
import { qrCode } from './symbols';
import { hasStandIn, standInSheets } from './stand-ins';

export interface PackCopy {
  tag: string;
  link: string;
}

export interface PackOrder {
  kitName: string;
  schoolName: string;
  /** The school's own picture for its labels, as a data address. */
  mark?: string;
  plan: KitPlan;
  parts: readonly KitPart[];
  copies: readonly PackCopy[];
  items: readonly PackItem[];
  scope: PackScope;
  labels: LabelOrder;
  /** Game ids with the languages that a fluent reader has checked. */
  checked: Readonly<Record<string, readonly Language[]>>;
}

/**
 * All pages for all copies: copy after copy, then slips and labels together so that few sheets are cut. Throws
 * CannotPrint when something does not fit its paper.
 */
export function packSheets(order: PackOrder, context: SheetContext): Sheet[] {
  const recipe = recipeOf(order.plan);
  const sheets: Sheet[] = [];
  if (order.scope === 'lost') sheets.push(...partPages(recipe, order, context));
  else {
    // What belongs to no copy is drawn once and used for all.
    const parts = partPages(recipe, order, context);
    const copies = order.scope === 'once' ? [undefined] : order.copies;
    const instructions = instructionsFor(recipe, order, context);
    for (const copy of copies) sheets.push(...instructions(copy), ...parts);
    if (order.items.includes('slip'))
      sheets.push(
        ...slipSheets(
          order.copies.map(({ tag }) => ({ tag, kitName: order.kitName })),
          context,
        ).map((sheet) => ({ ...sheet, lasting: false })),
      );
    if (order.items.includes('labels')) sheets.push(...labelPages(order, context));
    if (order.items.includes('calibration'))
      sheets.push(...calibrationSheets(context).map((sheet) => ({ ...sheet, lasting: false })));
  }
  return context.finish === 'plain'
    ? sheets.map((sheet) => ({ ...sheet, shapes: inGrey(sheet.shapes) }))
    : sheets;
}

/** The instructions of a copy. They differ by the square that a phone reads, so they are laid out once. */
function instructionsFor(
  recipe: Recipe,
  order: PackOrder,
  context: SheetContext,
): (copy: PackCopy | undefined) => Sheet[] {
  const pages = (['instructions', 'large'] as const)
    .filter((item) => order.items.includes(item))
    .flatMap((item) =>
      recipe.variants.flatMap(({ variant, reckoning, players, parts }) => {
        const game = gameFor(variant);
        return instructionSheets(
          {
            game,
            params: variant.params,
            players,
            minutes: reckoning.length.minutes.mean,
            parts,
            unchecked: context.languages.filter(
              (language) => language !== 'en' && !order.checked[game.id]?.includes(language),
            ),
            linked: order.scope === 'each',
            large: item === 'large',
          },
          context,
        );
      }),
    );
  return (copy) =>
    copy
      ? pages.map((page) => ({
          ...page,
          title: `${page.title} · ${copy.tag}`,
          shapes: page.square
            ? [...page.shapes, ...qrCode(copy.link, page.square.x, page.square.y, page.square.w)]
            : page.shapes,
        }))
      : pages;
}

/** Sheets of the games, and paper that stands in for bought parts. Several games never ask for the same stand-in twice. */
function partPages(recipe: Recipe, order: PackOrder, context: SheetContext): Sheet[] {
  const wanted = (sheet: Sheet): boolean =>
    order.scope === 'lost' || order.items.includes(sheet.use === 'record' ? 'records' : 'parts');
  const sheets = recipe.variants.flatMap(({ variant }) =>
    gameFor(variant)
      .sheets(variant.params, context)
      .filter((sheet) => wanted(sheet)),
  );
  if (order.scope === 'lost' || !order.items.includes('standIns')) return sheets;
  return [...sheets, ...standInSheets(standIns(order), context)];
}

const standIns = ({ parts }: Pick<PackOrder, 'parts'>): KitPart[] =>
  parts.filter(({ material }) => hasStandIn(material));

const labelPages = (order: PackOrder, context: SheetContext): Sheet[] => {
  const smallParts = hasSmallParts(order.parts);
  return labelSheets(
    order.copies.map((copy) => ({
      kitName: order.kitName,
      schoolName: order.schoolName,
      mark: order.mark,
      parts: order.parts,
      smallParts,
      ...copy,
    })),
    order.labels,
    context,
  ).map((sheet) => ({ ...sheet, lasting: false }));
};

export interface PieceChoice extends Lost {
  /** "slip 7, Blanket the Board". */
  label: string;
}

/** Every piece of a kit that can be printed again by itself, each once. */
export function piecesOf(plan: KitPlan, context: SheetContext): PieceChoice[] {
  const found = new Map<string, PieceChoice>();
  for (const { variant } of recipeOf(plan).variants) {
    const game = gameFor(variant);
    const pieces = game
      .sheets(variant.params, { ...context, fill: false })
      .flatMap((sheet) => sheet.pieces ?? []);
    for (const { material, name } of pieces as Piece[])
      found.set(`${material} ${name}`, {
        material,
        name,
        label: `${materialOf(material).name} ${name}, ${variant.name}`,
      });
  }
  return [...found.values()];
}

/** Games of a plan with lines that a language has no wording for: they are printed in English and marked. */
export function missingWording(
  plan: KitPlan,
  language: Language,
): { game: string; language: string; lines: number }[] {
  return plan.variants.flatMap((variant) => {
    const game = gameFor(variant);
    const lines = missingLines(game, variant.params, language).length;
    return lines ? [{ game: game.words.en.name!, language: LANGUAGES[language].name, lines }] : [];
  });
}
