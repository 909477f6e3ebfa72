/** What is asked for of a pack, as an address says it: the form of the print page, and what a job keeps. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, SomeOf, Tongue, Whole } from '~/core/check/schema';
import { CUTS, FINISHES, PAPERS, type Lost, type Paper } from '~/core/paper/sheet';
import '~/core/words/languages';
import { PACK_ITEMS, PACK_SCOPES } from './choices';
import { LABEL_STOCKS, type LabelStockName } from './stock';

/** `plain` paper with lines to cut, one of the common label sheets, or measures of one's own. */
export type StockChoice = LabelStockName | 'plain' | 'own';

/** Loans that a school may expect of a copy in two terms, when nothing else is said. */
export const USUAL_LOANS = 10;

const named = <T extends string>(list: Record<T, { name: string }>): Record<T, string> =>
  Object.fromEntries(Object.entries<{ name: string }>(list).map(([id, { name }]) => [id, name])) as Record<
    T,
    string
  >;

export const orderSchema = Type.Object({
  /** Without it what a bag needs; without a paper that of the school. */
  item: Type.Optional(SomeOf(PACK_ITEMS, { title: 'What is printed' })),
  paper: Type.Optional(OneOf<Paper>(named(PAPERS), { title: 'Paper' })),
  scope: OneOf(PACK_SCOPES, { title: 'Print', default: 'each' }),
  home: Tongue({ title: 'Home language', default: 'es' }),
  sides: OneOf({ two: 'Both sides', one: 'One side' }, { title: 'Sides', default: 'two' }),
  /** Without it that in which the copies are made. */
  finish: Type.Optional(OneOf(FINISHES, { title: 'Finish' })),
  cuts: OneOf(CUTS, { title: 'Cuts', default: 'shared' }),
  fill: OneOf({ yes: 'Yes', no: 'No' }, { title: 'Fill the sheet', default: 'yes' }),
  stock: OneOf<StockChoice>(
    { plain: 'Plain paper', own: 'Other measures', ...named(LABEL_STOCKS) },
    { title: 'Label sheet', default: 'plain' },
  ),
  used: Whole(0, 120, { title: 'Labels used already', default: 0 }),
  loans: Whole(1, 100, { title: 'Loans expected', default: USUAL_LOANS }),
});
export type Asked = Static<typeof orderSchema>;

/** The lost piece that a box names: material, name, and which variant of the kit it belongs to. */
export function lostIn(text: string | null): Lost | undefined {
  const [material, name, variant] = text?.split('|') ?? [];
  if (!material || !name) return undefined;
  return { material, name, ...(variant && /^\d{1,3}$/.test(variant) ? { variant: Number(variant) } : {}) };
}

/** How far the drawing of an order is. */
export interface JobProgress {
  state: 'drawing' | 'done' | 'failed' | 'stopped';
  pagesDone: number;
  /** Not known at first. */
  pages: number | null;
}
