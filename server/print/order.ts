/** A print order read from an address, so that what is previewed is what is printed. */
import { checkForm, type FieldErrors } from '~/core/check/check';
import { open } from '~/core/own/open';
import type { Game } from '~/core/games/kit/game';
import { lostIn, orderSchema, type Asked, type StockChoice } from '~/core/pack/order';
import { LABEL_STOCKS, labelStockSchema, type LabelOrder } from '~/core/pack/stock';
import { PACK_ITEMS, USUAL_ITEMS, type PackItem, type PackScope } from '~/core/pack/choices';
import { sheetLines } from '~/core/pack/instructions';
import { missingWording, type PackOrder, type PieceChoice } from '~/core/pack/pack';
import type { Printing } from '~/core/pack/cost';
import type { Cuts, Finish, Lost, Paper } from '~/core/paper/sheet';
import { showTag } from '~/core/kits/tag';
import type { Language } from '~/core/words/languages';
import { nameOf } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { listCopies, type CopyRow } from '~/data/queries/copies';
import { listMaterials } from '~/data/queries/materials';
import { schoolMark, type School } from '~/data/queries/schools';
import { checkedLanguages } from '~/data/queries/words';
import { readingAt, revisedBy } from '~/data/queries/wording';
import { isId } from '../ids';
import { familyLink } from '../links';
import { laidOut, piecesOf } from '../threads';
import type { Preview } from './preview';
import type { Task } from './task';

export interface PrintOrder {
  copies: CopyRow[];
  items: PackItem[];
  paper: Paper;
  home: Language;
  twoSided: boolean;
  finish: Finish;
  cuts: Cuts;
  fill: boolean;
  scope: PackScope;
  lost?: Lost;
  stock: StockChoice;
  labels: LabelOrder;
  /** What is wrong with the measures of a label sheet, by field. */
  errors: FieldErrors;
}

/** So many packs are drawn at once; a larger pile is printed in several. */
export const MOST_COPIES_AT_ONCE = 200;
/** The id of no copy. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

/** A seed for everything that is mixed: the same order prints the same pages. */
const SEED = 1;

/** What an address asks for. What no box of the form gives counts as not said. */
export function askedIn(search: URLSearchParams): Asked {
  const items = search.getAll('item').filter((item) => Object.hasOwn(PACK_ITEMS, item));
  const said: Record<string, unknown> = {
    ...Object.fromEntries(search),
    item: items.length ? [...new Set(items)] : undefined,
  };
  const checked = checkForm(orderSchema, said);
  if (checked.ok) return checked.value;
  for (const field of Object.keys(checked.errors)) delete said[field.split('.')[0]!];
  const again = checkForm(orderSchema, said);
  // What is left are defaults, which fit.
  if (!again.ok) throw new Error(Object.values(again.errors).join(' '));
  return again.value;
}

/** Loans expected of a copy, from an address. */
export const loansIn = (search: URLSearchParams): number => askedIn(search).loans;

/** What is asked for; without a choice of copies, those whose pack was not printed yet. */
export async function readOrder(
  at: SchoolHandle,
  search: URLSearchParams,
  school: School,
): Promise<PrintOrder> {
  const asked = askedIn(search);
  const wanted = search.getAll('copy').filter(isId);
  const run = search.get('run');
  const copies = await listCopies(
    at,
    wanted.length ? { ids: wanted } : run ? { runId: isId(run) ? run : NOBODY } : { unprinted: true },
    MOST_COPIES_AT_ONCE,
  );
  const { scope, home, cuts, stock, used } = asked;
  const finish = asked.finish ?? copies[0]?.finish ?? 'plain';
  const paper = asked.paper ?? school.paper;
  const lost = scope === 'lost' ? lostIn(search.get('lost')) : undefined;
  // Measures of one's own begin with those of a common sheet.
  const start = LABEL_STOCKS[paper === 'a4' ? 'a4-2x3' : 'letter-2x3'].stock;
  const measures =
    stock === 'own'
      ? checkForm(labelStockSchema, search.has('columns') ? Object.fromEntries(search) : start)
      : undefined;
  const sheet =
    stock === 'plain'
      ? undefined
      : stock === 'own'
        ? measures?.ok && measures.value
        : LABEL_STOCKS[stock].stock;
  return {
    copies,
    // In their own order, whatever order they are named in.
    items: ITEMS.filter((item) => (asked.item ?? USUAL_ITEMS).includes(item)),
    paper,
    home,
    twoSided: asked.sides === 'two',
    finish,
    cuts,
    fill: asked.fill === 'yes',
    scope,
    ...(lost ? { lost } : {}),
    stock,
    labels: { ...(sheet ? { stock: sheet } : {}), used },
    errors: measures?.ok === false ? measures.errors : {},
  };
}

const ITEMS = Object.keys(PACK_ITEMS) as PackItem[];

/** Every game in the copies of an order, with the lines that its sheet says. Copies that were built together hold the same. */
const saidIn = ({ copies }: PrintOrder): (Game & { lines: string[] })[] => {
  const plans = new Map(copies.map((copy) => [copy.buildRunId, copy.plan]));
  return [...plans.values()].flatMap(({ variants }) =>
    variants.map((one) => {
      const variant = open(one);
      return { ...variant.game, lines: sheetLines(variant) };
    }),
  );
};

/** The order as plain data, for the preview and for the worker. */
export async function taskOf(
  at: SchoolHandle,
  request: Request,
  order: PrintOrder,
  school: School,
): Promise<Task> {
  const { home, paper, finish, cuts, fill, lost } = order;
  const languages = home === 'en' ? ['en'] : [home, 'en'];
  const [checked, written, changed] = await Promise.all([
    checkedLanguages(at, saidIn(order)),
    listMaterials(at),
    revisedBy(at, languages),
  ]);
  const mark = order.items.includes('labels') ? await schoolMark(at) : null;
  const runs = [...new Set(order.copies.map((copy) => copy.buildRunId))];
  const packs = runs.map((run): PackOrder => {
    const copies = order.copies.filter((copy) => copy.buildRunId === run);
    const { kitName, plan, parts } = copies[0]!;
    return {
      kitName,
      schoolName: school.name,
      ...(school.contact ? { contact: school.contact } : {}),
      ...(mark ? { mark } : {}),
      plan,
      ...(written.length ? { school: written } : {}),
      parts,
      items: order.items,
      scope: order.scope,
      labels: order.labels,
      checked,
      copies: copies.map(({ tag, linkKey }) => ({ tag, link: familyLink(request, linkKey) })),
    };
  });
  const tags = order.copies.map((copy) => showTag(copy.tag));
  return {
    packs,
    context: {
      paper,
      languages,
      ...(Object.keys(changed).length ? { changed } : {}),
      seed: SEED,
      finish,
      cuts,
      fill,
      ...(lost ? { lost } : {}),
    },
    twoSided: order.twoSided,
    about: {
      title: `${packs[0]?.kitName ?? 'Pack'} · ${tags.length > 6 ? `${tags.length} copies` : tags.join(', ')}`,
      author: school.name,
      language: home,
      // The day, not the moment: what is printed twice on one day is the same file.
      madeOn: new Date(`${new Date().toISOString().slice(0, 10)}T00:00:00Z`),
    },
  };
}

/** The pages of one copy, and the work of one and of all. */
export const previewOf = (task: Task, loans: number, printing: Printing): Promise<Preview> => {
  const { packs, context, twoSided } = task;
  return laidOut({ packs, context, twoSided, loans, printing });
};

/** Every piece that can be printed again by itself, of the kits in this order. */
export const lostPieces = ({ packs, context }: Task): Promise<PieceChoice[]> =>
  piecesOf({ plans: packs.map(({ plan }) => plan), context: { ...context, lost: undefined } });

/** Names of games in this order with wording that nobody has checked. */
export async function uncheckedIn(at: SchoolHandle, order: PrintOrder): Promise<string[]> {
  const { home } = order;
  if (home === 'en') return [];
  const games = saidIn(order);
  const checked = await checkedLanguages(at, games);
  const names = games
    .filter(({ id }) => !(checked[id] as readonly Language[]).includes(home))
    .map((game) => nameOf(game));
  return [...new Set(names)];
}

/** The language in which a printed order tells its games beside English; undefined where it has no instructions. */
export function languageOf(search: URLSearchParams): Language | undefined {
  const items = search.getAll('item');
  if (search.get('scope') === 'lost' || (items.length > 0 && !items.includes('instructions')))
    return undefined;
  const home = search.get('home');
  const checked = checkForm(orderSchema, home === null ? {} : { home });
  return checked.ok ? checked.value.home : undefined;
}

/** Games of this order that have lines without wording in the home language. */
export async function missingIn(
  at: SchoolHandle,
  order: PrintOrder,
): Promise<{ game: string; lines: number }[]> {
  const reading = await readingAt(at, order.home);
  const plans = new Map(order.copies.map((copy) => [copy.buildRunId, copy.plan]));
  const all = [...plans.values()].flatMap((plan) => missingWording(plan, reading));
  return [...new Map(all.map((one) => [one.game, one])).values()];
}
