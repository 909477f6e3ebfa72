/** The pages of a print order before they are drawn, and what they cost in paper, money and time. */
import { printCost, workOf, type PrintCost, type Printing, type Work } from '~/core/pack/cost';
import { packOf, piecesOf, type PackOrder, type PieceChoice } from '~/core/pack/pack';
import { CannotPrint, forTwoSides, type Sheet } from '~/core/paper/sheet';
import { contextOf, type Task } from './task';

export interface Preview {
  /** Pages of the first copy of each kit, as one-sided printing gives them. */
  pages: Sheet[];
  /** The work of one copy, kit by kit; copies that take the same are told once. */
  each: { kits: string[]; work: Work; cost?: PrintCost }[];
  all: Work;
  /** What to change, when it cannot be printed. */
  problem?: string;
}
export type Asked = Omit<Task, 'about'> & { loans: number; printing: Printing };
export interface Pieces {
  plans: PackOrder['plan'][];
  context: Task['context'];
}

const NOTHING: Work = { pages: 0, sheets: 0, pouches: 0, cuts: 0, minutes: 0, costCents: 0 };

/** Kits whose copies take the same are told of together. */
function toldOnce(each: readonly { kit: string; work: Work; cost?: PrintCost }[]): Preview['each'] {
  const told = new Map<string, Preview['each'][number]>();
  for (const { kit, ...same } of each) {
    const key = JSON.stringify(same);
    const before = told.get(key);
    if (!before) told.set(key, { kits: [kit], ...same });
    else if (!before.kits.includes(kit)) before.kits.push(kit);
  }
  return [...told.values()];
}

/** The pages of one copy, and the work of one and of all. Copies differ by tag and link only, so one stands for all. */
export function layOut(task: Asked): Preview {
  try {
    const packs = task.packs.map((order) => ({
      order,
      pack: packOf(order, contextOf(task.context)),
      first: order.copies[0],
    }));
    const bags = task.packs.every(({ scope }) => scope === 'each');
    const ofOne = packs.map(({ order, pack, first }) => ({
      kit: order.kitName,
      pages: [...pack.of(bags ? first : undefined), ...pack.together(first ? [first] : [])],
    }));
    const pages = ofOne.flatMap((one) => one.pages);
    const alike = packs.flatMap(({ order, pack, first }) => {
      const one = pack.of(bags ? first : undefined);
      return [
        ...(bags ? order.copies : [undefined]).flatMap(() => one),
        ...pack.together(order.copies.map(() => first!)),
      ];
    });
    const sided = (sheets: Sheet[]): Sheet[] => (task.twoSided ? forTwoSides(sheets) : sheets);
    const how = { finish: task.context.finish, twoSided: task.twoSided, printing: task.printing };
    const copies = bags ? task.packs.reduce((sum, { copies: all }) => sum + all.length, 0) : 0;
    return {
      pages,
      each: toldOnce(
        ofOne.map(({ kit, pages: mine }) => ({
          kit,
          work: workOf(sided(mine), { ...how, copies: bags ? 1 : 0 }),
          ...(mine.length ? { cost: printCost(sided(mine), task.loans, how) } : {}),
        })),
      ),
      all: workOf(sided(alike), { ...how, copies }),
    };
  } catch (error) {
    // A saved setting that fits its game no more must not take the whole station down.
    const problem =
      error instanceof CannotPrint
        ? error.message
        : 'One of these kits cannot be laid out: a game in it was changed. Save its variant anew, or choose other copies.';
    return { pages: [], each: [], all: NOTHING, problem };
  }
}

/** Every piece that can be printed again by itself, of the kits in this order. */
export const piecesIn = ({ plans, context }: Pieces): PieceChoice[] =>
  plans.flatMap((plan) => piecesOf(plan, contextOf(context)));
