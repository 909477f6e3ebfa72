/** A print order read from an address, so that what is previewed is what is printed. */
import { gameFor } from '~/core/games';
import { PACK_ITEMS, packSheets, type PackItem } from '~/core/print/pack';
import { forTwoSides, PAPERS, type Paper, type Sheet } from '~/core/print/sheet';
import { WORDED, type Worded } from '~/core/words/message';
import { listCopies, type CopyRow } from '~/data/queries/kits';
import type { School } from '~/data/queries/people';
import { checkedLanguages } from '~/data/queries/words';
import { isId } from '../ids';
import { familyLink } from '../links';
import { measure } from './fonts';

export interface PrintOrder {
  copies: CopyRow[];
  items: PackItem[];
  paper: Paper;
  home: Worded;
  twoSided: boolean;
}

const ITEMS = Object.keys(PACK_ITEMS) as PackItem[];
/** A seed for everything that is mixed: the same order prints the same pages. */
const SEED = 1;

/** What is asked for; without a choice of copies, those whose pack was not printed yet. */
export async function readOrder(search: URLSearchParams, school: School): Promise<PrintOrder> {
  const wanted = search.getAll('copy').filter(isId);
  const run = search.get('run');
  const all = await listCopies();
  const copies = all.filter((copy) =>
    wanted.length ? wanted.includes(copy.id) : run ? copy.buildRunId === run : copy.printedAt === null,
  );
  const items = ITEMS.filter((item) => search.getAll('item').includes(item));
  const paper = search.get('paper');
  return {
    copies,
    items: items.length ? items : ITEMS,
    paper: paper && paper in PAPERS ? (paper as Paper) : school.paper,
    home: WORDED.find((language) => language === search.get('home')) ?? 'es',
    twoSided: search.get('sides') !== 'one',
  };
}

/** All pages of an order; copies of several build runs follow one another. */
export async function orderSheets(request: Request, order: PrintOrder, school: School): Promise<Sheet[]> {
  const checked = await checkedLanguages();
  const context = {
    paper: order.paper,
    languages: order.home === 'en' ? (['en'] as const) : ([order.home, 'en'] as const),
    seed: SEED,
    measure,
  };
  const runs = [...new Set(order.copies.map((copy) => copy.buildRunId))];
  const sheets = runs.flatMap((run) => {
    const copies = order.copies.filter((copy) => copy.buildRunId === run);
    const { kitName, plan, parts } = copies[0]!;
    return packSheets(
      {
        kitName,
        schoolName: school.name,
        plan,
        parts,
        items: order.items,
        checked,
        copies: copies.map(({ tag, linkKey }) => ({ tag, link: familyLink(request, linkKey) })),
      },
      context,
    );
  });
  return order.twoSided ? forTwoSides(sheets) : sheets;
}

/** Names of games in this order with wording that nobody has checked. */
export async function uncheckedIn(order: PrintOrder): Promise<string[]> {
  if (order.home === 'en') return [];
  const checked = await checkedLanguages();
  const variants = order.copies.flatMap((copy) => copy.plan.variants);
  const names = variants
    .filter(({ gameId }) => !checked[gameId]?.includes(order.home))
    .map((variant) => gameFor(variant).words.en.name!);
  return [...new Set(names)];
}
