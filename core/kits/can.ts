/** Whether so many copies can be made of what the store has, what to buy, and what can be made now. */
import { isStored } from '~/core/materials/catalogue';
import { SHIPPED, type Catalogue } from '~/core/materials/school';
import { buy, packsIn, type Offer } from './buy';
import { mostCopies } from './most-copies';
import { MOST_PIECES, type OnHand } from './store';

export interface WantedKit {
  id: string;
  copies: number;
  parts: readonly { material: string; quantity: number }[];
}
export type NamedOffer = Offer & { material: string; name: string };

export interface Need {
  material: string;
  need: number;
  /** What nobody has spoken for; null where it was never counted, which is taken to be enough. */
  free: number | null;
  short: number;
  /** The cheapest packs that cover what is short, in words, and their price; not where nothing is sold. */
  packs?: string[];
  costCents?: number;
}

export interface Can {
  /** What the copies take of the store, the shortest first. */
  needs: Need[];
  /** Price of all that is short; undefined where something of it is not sold. */
  costCents: number | undefined;
  /** The most copies of each kit that can be made, no more than are wanted: of what is there, and with the budget. */
  now: Record<string, number>;
  withBudget: { copies: Record<string, number>; costCents: number };
}

export interface CanAsked {
  kits: readonly WantedKit[];
  free: OnHand;
  offers: readonly NamedOffer[];
  budgetCents: number;
}
/** Answers for these kits, the free stock, the offers and a budget in cents. */
export async function canMake(
  { kits, free, offers, budgetCents }: CanAsked,
  catalogue: Catalogue = SHIPPED,
): Promise<Can> {
  const total = new Map<string, number>();
  for (const { parts, copies } of kits)
    for (const { material, quantity } of parts)
      if (isStored(catalogue.of(material)))
        total.set(material, (total.get(material) ?? 0) + Math.ceil(quantity) * copies);
  const needs = [...total].map(([material, need]): Need => {
    const there = free[material] === undefined ? 0 : free[material];
    const short = there === null ? 0 : Math.max(0, need - there);
    if (short === 0) return { material, need, free: there, short };
    const mine = offers.filter((one) => one.material === material);
    const bought = buy({
      need,
      onHand: there!,
      offers: mine.map(({ id, size, priceCents }) => ({ id, size, priceCents })),
    });
    return 'packs' in bought
      ? { material, need, free: there, short, packs: packsIn(bought, mine), costCents: bought.costCents }
      : { material, need, free: there, short };
  });
  const short = needs.filter((one) => one.short > 0);
  const asked = {
    kits: kits.map(({ id, parts }) => ({
      id,
      worth: 1,
      parts: Object.fromEntries(
        parts
          .filter(({ material }) => total.has(material))
          .map(({ material, quantity }) => [material, Math.ceil(quantity)]),
      ),
    })),
    onHand: Object.fromEntries(
      [...total.keys()].map((material) => [
        material,
        free[material] === null ? MOST_PIECES : (free[material] ?? 0),
      ]),
    ),
    atMost: Object.fromEntries(kits.map(({ id, copies }) => [id, copies])),
  };
  const now = await mostCopies(asked);
  const bought =
    budgetCents > 0 && short.length
      ? await mostCopies({
          ...asked,
          budgetCents,
          offers: Object.fromEntries(
            short.map(({ material }) => [
              material,
              offers
                .filter((one) => one.material === material)
                .map(({ id, size, priceCents }) => ({ id, size, priceCents })),
            ]),
          ),
        })
      : { copies: now.copies, costCents: 0 };
  return {
    needs: needs.toSorted((a, b) => b.short / b.need - a.short / a.need),
    costCents: short.some(({ costCents }) => costCents === undefined)
      ? undefined
      : short.reduce((sum, { costCents }) => sum + costCents!, 0),
    now: now.copies,
    withBudget: { copies: bought.copies, costCents: bought.costCents },
  };
}

/** Whole shares of a total in proportion to weights, by largest remainders; equal ones where nothing weighs. */
export function shareOut(total: number, weights: readonly number[]): number[] {
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const exact = weights.map((weight) => (all > 0 ? (total * weight) / all : total / weights.length));
  const shares = exact.map(Math.floor);
  const left = total - shares.reduce((sum, share) => sum + share, 0);
  exact
    .map((share, i) => ({ i, rest: share - Math.floor(share) }))
    .toSorted((a, b) => b.rest - a.rest || a.i - b.i)
    .slice(0, left)
    .forEach(({ i }) => shares[i]!++);
  return shares;
}
