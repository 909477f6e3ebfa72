/** What wears: losses of parts over loans, what they cost, and how many spares and packs that takes. */
import { buy, packsIn, type Offer } from '~/core/kits/buy';
import { capital, count, listed } from '~/core/words/numbers';
import { wear, type Wear } from './wear';

/** Losses of a part in the bags of a kit over the loans of a period. */
export interface Losses {
  material: string;
  kitId: string;
  lost: number;
  loans: number;
}
/** A part over all kits, with what it costs. */
export interface WornAsked {
  material: string;
  lost: number;
  loans: number;
  /** Loans that are expected. */
  next: number;
  /** Cents of a piece. */
  pieceCents: number;
  /** How many pieces lie in all bags together. */
  inBags: number;
}
export interface Worn extends WornAsked, Wear {
  lostCents: number;
  /** What the pieces in all bags are worth. */
  bagsCents: number;
  /** Its losses cost more than all pieces in the bags are worth. */
  dear: boolean;
}

export const worn = (asked: WornAsked): Worn => {
  const lostCents = asked.lost * asked.pieceCents;
  const bagsCents = asked.inBags * asked.pieceCents;
  return {
    ...asked,
    ...wear({ lost: asked.lost, loans: asked.loans, next: asked.next }),
    lostCents: Math.round(lostCents),
    bagsCents: Math.round(bagsCents),
    dear: asked.lost > 0 && lostCents > bagsCents,
  };
};

/** Parts put together over the kits they lie in. */
export function byPart(losses: readonly Losses[]): { material: string; lost: number; loans: number }[] {
  const parts = new Map<string, { material: string; lost: number; loans: number }>();
  for (const { material, lost, loans } of losses) {
    const there = parts.get(material) ?? { material, lost: 0, loans: 0 };
    parts.set(material, { material, lost: there.lost + lost, loans: there.loans + loans });
  }
  return [...parts.values()];
}

/** What a store holds at the end of a time, with its range. */
export interface Ahead {
  material: string;
  onHand: number;
  /** The middle of what is left, and nine in ten between. */
  left: number;
  low: number;
  high: number;
  short: number;
  packs: string[];
  costCents: number;
}

/** What the losses of the loans to come leave in the store, and the packs that cover what may be short. */
export function ahead(
  part: { material: string; lost: number; loans: number; next: number; onHand: number },
  offers: readonly (Offer & { name: string })[],
): Ahead {
  const { material, lost, loans, next, onHand } = part;
  const at = (assurance: number): number => wear({ lost, loans, next, assurance }).spares;
  const [few, most] = [at(0.05), at(0.95)];
  const bought = buy({
    need: most,
    onHand,
    offers: offers.map(({ id, size, priceCents }) => ({ id, size, priceCents })),
  });
  const cover = 'packs' in bought ? bought : undefined;
  return {
    material,
    onHand,
    left: onHand - at(0.5),
    low: onHand - most,
    high: onHand - few,
    short: Math.max(0, most - onHand),
    packs: cover ? packsIn(cover, offers) : [],
    costCents: cover?.costCents ?? 0,
  };
}

/** What wears most, in a sentence. */
export function wornSentence(parts: readonly (Worn & { name: string; plural: string })[]): string {
  // What goes most surely: one loss in a single loan says little.
  const lost = parts.filter((one) => one.lost > 0).sort((a, b) => b.low - a.low);
  const [first] = lost;
  if (!first) return 'No part was lost in these loans.';
  const dear = lost.filter((one) => one.dear);
  return [
    `${capital(first.plural)} go fastest: ${count(first.lost, 'was', 'were')} lost in ${count(first.loans, 'loan')}, about ${(first.perLoan * 100).toFixed(0)} in 100 loans.`,
    ...(dear.length
      ? [
          `${capital(listed(dear.map(({ plural }) => plural)))} cost more in losses than all that lie in the bags are worth: another part may do.`,
        ]
      : []),
  ].join(' ');
}
