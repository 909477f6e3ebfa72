/** Everything that is printed for the copies of a kit, as one list of pages. */
import { gameFor } from '~/core/games';
import { hasSmallParts, recipeOf, type KitPart, type KitPlan } from '~/core/kits/recipe';
import { WORDED, type Worded } from '~/core/words/message';
import { instructionSheets } from './instructions';
import { labelSheets } from './labels';
import type { Sheet, SheetContext } from './sheet';

export const PACK_ITEMS = {
  instructions: 'Instruction sheets',
  records: 'Record sheets',
  parts: 'Cards, boards and counters to cut out',
  labels: 'Contents and tag labels',
} as const;
export type PackItem = keyof typeof PACK_ITEMS;

export interface PackCopy {
  tag: string;
  link: string;
}

export interface PackOrder {
  kitName: string;
  schoolName: string;
  plan: KitPlan;
  parts: readonly KitPart[];
  copies: readonly PackCopy[];
  items: readonly PackItem[];
  /** Game ids with the languages that a fluent reader has checked. */
  checked: Readonly<Record<string, readonly Worded[]>>;
}

/** All pages for all copies: copy after copy, then the labels together so that few sheets are cut. */
export function packSheets(order: PackOrder, context: SheetContext): Sheet[] {
  const recipe = recipeOf(order.plan);
  const sheets: Sheet[] = [];
  for (const copy of order.copies) {
    const drawn = new Set<string>();
    for (const { variant, reckoning, players, parts } of recipe.variants) {
      const game = gameFor(variant);
      if (order.items.includes('instructions')) {
        const unchecked = WORDED.filter(
          (language) => language !== 'en' && !order.checked[game.id]?.includes(language),
        );
        const source = {
          game,
          params: variant.params,
          players,
          minutes: reckoning.length.minutes.mean,
          parts,
          unchecked,
          link: copy.link,
        };
        sheets.push(
          ...instructionSheets(source, context).map((sheet) => ({
            ...sheet,
            title: `${sheet.title} · ${copy.tag}`,
          })),
        );
      }
      for (const sheet of game.sheets(variant.params, context)) {
        const wanted = order.items.includes(sheet.use === 'part' ? 'parts' : 'records');
        if (!wanted || (sheet.shared && drawn.has(sheet.shared))) continue;
        if (sheet.shared) drawn.add(sheet.shared);
        sheets.push(sheet);
      }
    }
  }
  if (order.items.includes('labels')) {
    const smallParts = hasSmallParts(order.parts);
    sheets.push(
      ...labelSheets(
        order.copies.map((copy) => ({
          kitName: order.kitName,
          schoolName: order.schoolName,
          parts: order.parts,
          smallParts,
          ...copy,
        })),
        context,
      ),
    );
  }
  return sheets;
}
