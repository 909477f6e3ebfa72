/** Everything that is printed for the copies of a kit, as one list of pages. */
import { hearing } from '~/core/games/kit/hearing';
import { open } from '~/core/own/open';
import {
  forPlayers,
  hasSmallParts,
  recordTimes,
  recipeOf,
  type KitPart,
  type KitPlan,
  type Recipe,
} from '~/core/kits/recipe';
import { materialOf } from '~/core/materials/catalogue';
import { catalogueOf, type Catalogue, type SchoolMaterial } from '~/core/materials/school';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { nameOf, type Reading } from '~/core/words/reading';
import { calibrationSheets } from '~/core/paper/calibration';
import { instructionSheets, missingLines } from './instructions';
import { labelSheets } from './labels';
import type { PackItem, PackScope } from './choices';
import { inGrey } from '~/core/paper/place';
import type { Lost, Sheet, SheetContext } from '~/core/paper/sheet';
import { gameNames } from './names';
import { slipSheets } from './slip';
import type { LabelOrder } from './stock';
import { qrCode } from '~/core/paper/symbols';
import { hasStandIn, standInSheets } from '~/core/paper/stand-ins';

export interface PackCopy {
  tag: string;
  link: string;
}

export interface PackOrder {
  kitName: string;
  schoolName: string;
  /** How families reach the school. */
  contact?: string;
  /** The school's own picture for its labels, as a data address. */
  mark?: string;
  plan: KitPlan;
  /** What the school wrote of its materials. */
  school?: readonly SchoolMaterial[];
  parts: readonly KitPart[];
  copies: readonly PackCopy[];
  items: readonly PackItem[];
  scope: PackScope;
  labels: LabelOrder;
  /** Game ids with the languages that a fluent reader has checked. */
  checked: Readonly<Record<string, readonly Language[]>>;
}

/** The pages of a pack, laid out once: those of each copy, and those that stand together for all of them. */
export interface Pack {
  /** Pages of one copy, or of what all copies share. */
  of: (copy: PackCopy | undefined) => Sheet[];
  /** Slips and labels of these copies, so that few sheets are cut, and the calibration page. */
  together: (copies: readonly PackCopy[]) => Sheet[];
}

/** Lays a pack out. Throws CannotPrint when something does not fit its paper. */
export function packOf(order: PackOrder, context: SheetContext): Pack {
  const recipe = recipeOf(order.plan, catalogueIn(order));
  const inked = (sheets: Sheet[]): Sheet[] =>
    context.finish === 'plain' ? sheets.map((sheet) => ({ ...sheet, shapes: inGrey(sheet.shapes) })) : sheets;
  const parts = inked(partPages(recipe, order, context));
  if (order.scope === 'lost') return { of: () => parts, together: () => [] };
  const instructions = inked(instructionPages(recipe, order, context));
  return {
    of: (copy) => [...(copy ? instructions.map((page) => linked(page, copy)) : instructions), ...parts],
    together: (copies) =>
      inked(
        [
          ...(order.items.includes('slip')
            ? slipSheets(
                copies.map(({ tag }) => ({ tag, kitName: order.kitName })),
                (reading) => gameNames(order.plan.variants, reading),
                context,
              )
            : []),
          ...(order.items.includes('labels') ? labelPages(order, copies, context) : []),
          ...(order.items.includes('calibration') ? calibrationSheets(context) : []),
        ].map((sheet) => ({ ...sheet, lasting: false })),
      ),
  };
}

/** All pages for all copies, in the order in which they are printed. Throws CannotPrint. */
export function packSheets(order: PackOrder, context: SheetContext): Sheet[] {
  const pack = packOf(order, context);
  const copies = order.scope === 'each' ? order.copies : [undefined];
  return [...copies.flatMap((copy) => pack.of(copy)), ...pack.together(order.copies)];
}

/** A page of instructions with the square that a phone reads, where it has a place for one. */
const linked = (page: Sheet, copy: PackCopy): Sheet => ({
  ...page,
  title: `${page.title} · ${copy.tag}`,
  repeats: page.shapes.length,
  shapes: page.square
    ? [...page.shapes, ...qrCode(copy.link, page.square.x, page.square.y, page.square.w)]
    : page.shapes,
});

/** The instructions of every game, with a place for the square of a copy when they belong to one. */
const instructionPages = (recipe: Recipe, order: PackOrder, context: SheetContext): Sheet[] =>
  (['instructions', 'large'] as const)
    .filter((item) => order.items.includes(item))
    .flatMap((item) =>
      recipe.variants.flatMap(({ variant, reckoning, players, parts }) =>
        instructionSheets(
          {
            variant: open(variant),
            players,
            minutes: reckoning.length.minutes.mean,
            parts,
            names: catalogueIn(order).words,
            unchecked: context.readings
              .map(({ language }) => language)
              .filter((language) => language !== 'en' && !order.checked[variant.gameId]?.includes(language)),
            linked: order.scope === 'each',
            heard: hearing(reckoning.practice),
            ...(order.contact ? { contact: order.contact } : {}),
            large: item === 'large',
          },
          context,
        ),
      ),
    );

/** Sheets of the games, and paper that stands in for bought parts. Several games never ask for the same stand-in twice. */
function partPages(recipe: Recipe, order: PackOrder, context: SheetContext): Sheet[] {
  const wanted = (sheet: Sheet): boolean =>
    order.scope === 'lost' || order.items.includes(sheet.use === 'record' ? 'records' : 'parts');
  const asked = context.lost?.variant;
  const sheets = recipe.variants.flatMap(({ variant }, i) =>
    asked === undefined || asked === i
      ? open(variant)
          .sheets(context)
          .filter((sheet) => wanted(sheet))
      : [],
  );
  // What is written on is used up: the records of a play as often as it is expected to be played.
  const times = order.scope === 'lost' ? 1 : recordTimes({ finish: context.finish, plays: order.plan.plays });
  const records = sheets.filter(({ use }) => use === 'record');
  for (let again = 1; again < times; again++) sheets.push(...records);
  if (order.scope === 'lost' || !order.items.includes('standIns')) return sheets;
  return [...sheets, ...standInSheets(standIns(order), context)];
}

const catalogueIn = ({ school = [] }: Pick<PackOrder, 'school'>): Catalogue => catalogueOf(school);

const standIns = ({ parts }: Pick<PackOrder, 'parts'>): KitPart[] =>
  parts.filter(({ material }) => hasStandIn(material));

const labelPages = (order: PackOrder, copies: readonly PackCopy[], context: SheetContext): Sheet[] => {
  const { kitName, schoolName, contact, mark, parts } = order;
  const catalogue = catalogueIn(order);
  const smallParts = hasSmallParts(parts, catalogue);
  const begins = order.plan.variants.map((one) => open(forPlayers(one, order.plan.players)));
  return labelSheets(
    copies.map((copy) => ({
      kitName,
      schoolName,
      contact,
      mark,
      parts,
      names: catalogue.words,
      smallParts,
      begins,
      ...copy,
    })),
    order.labels,
    context,
  );
};

export interface PieceChoice extends Lost {
  /** "calling slip: 7 (Blanket to twelve)". */
  label: string;
}

/** Every piece of a kit that can be printed again by itself, each once. */
export function piecesOf(plan: KitPlan, context: SheetContext): PieceChoice[] {
  const found = new Map<string, PieceChoice>();
  plan.variants.forEach((one, i) => {
    const pieces = open(forPlayers(one, plan.players))
      .sheets({ ...context, fill: false })
      .flatMap((sheet) => sheet.pieces ?? []);
    for (const { material, name } of pieces)
      found.set(`${material} ${name} ${i}`, {
        material,
        name,
        variant: i,
        label: `${materialOf(material).name}: ${name} (${one.name})`,
      });
  });
  return [...found.values()];
}

/** Games of a plan with lines that a reading has no wording for: they are printed in English and marked. */
export function missingWording(
  plan: KitPlan,
  reading: Reading,
): { game: string; language: string; lines: number }[] {
  return plan.variants.flatMap((one) => {
    const variant = open(one);
    const lines = missingLines(variant, reading).length;
    return lines
      ? [{ game: nameOf(variant.game), language: aboutLanguage(reading.language).name, lines }]
      : [];
  });
}
