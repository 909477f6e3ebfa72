/** What wears: losses of parts over loans, what they cost, and how many spares and packs that takes. */
import { buy, packsIn, type Offer } from '~/core/kits/buy';
import { capital, count, listed } from '~/core/words/numbers';
import type { Wear, WearAsked } from './wear';

/** Losses of a part in the bags of a kit over the loans of a period. */
export interface Losses {
  material: string;
  kitId: string;
  lost: number;
  loans: number;
  /** The loans that lost some, and how many pieces. */
  each: readonly { loan: string; lost: number }[];
  /** So many pieces lie in a bag. */
  inBag: number;
}
/** Losses that are put together: over kits, or over parts. */
export interface Together {
  lost: number;
  loans: number;
  /** What each loan that lost some lost in all. */
  each: readonly number[];
  inBag: number;
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

export const worn = (asked: WornAsked, wear: Wear): Worn => {
  const lostCents = asked.lost * asked.pieceCents;
  const bagsCents = asked.inBags * asked.pieceCents;
  return {
    ...asked,
    ...wear,
    lostCents: Math.round(lostCents),
    bagsCents: Math.round(bagsCents),
    dear: asked.lost > 0 && lostCents > bagsCents,
  };
};

/** The losses of the bags of one kit put together, over these parts of it: each loan is one loan, whatever it lost. */
export function overParts(losses: readonly Losses[]): Together {
  const each = new Map<string, number>();
  for (const one of losses)
    for (const { loan, lost } of one.each) each.set(loan, (each.get(loan) ?? 0) + lost);
  return {
    lost: sum(losses.map(({ lost }) => lost)),
    loans: Math.max(0, ...losses.map(({ loans }) => loans)),
    each: [...each.values()],
    inBag: sum(losses.map(({ inBag }) => inBag)),
  };
}

/** The same of several kits: their loans follow one another. */
export const overKits = (kits: readonly Together[]): Together => ({
  lost: sum(kits.map(({ lost }) => lost)),
  loans: sum(kits.map(({ loans }) => loans)),
  each: kits.flatMap(({ each }) => each),
  inBag: Math.max(0, ...kits.map(({ inBag }) => inBag)),
});

/** Parts put together over the kits they lie in. */
export const byPart = (losses: readonly Losses[]): (Together & { material: string })[] =>
  [...new Set(losses.map(({ material }) => material))].map((material) => ({
    material,
    ...overKits(losses.filter((one) => one.material === material).map((one) => overParts([one]))),
  }));

const sum = (numbers: readonly number[]): number => numbers.reduce((all, one) => all + one, 0);

/** A twentieth of a loss in a tenth of a loan: what is known of a kind of part before anything is. */
const NOTHING_KNOWN = { lost: 0.05, loans: 0.1 };
/** What is known of other parts of the kind weighs as much as half a loss. */
const OF_ITS_KIND = 0.5;

/** What is expected of a part before its own loans are looked at: what other parts of its kind lose. */
export function priorOf(
  part: { material: string },
  all: readonly (Together & { material: string })[],
  kindOf: (material: string) => string,
): { lost: number; loans: number } {
  const others = all.filter(
    (one) => one.material !== part.material && kindOf(one.material) === kindOf(part.material),
  );
  if (others.length === 0) return NOTHING_KNOWN;
  const lost = NOTHING_KNOWN.lost + sum(others.map((one) => one.lost));
  const loans = NOTHING_KNOWN.loans + sum(others.map((one) => one.loans));
  return { lost: OF_ITS_KIND, loans: (OF_ITS_KIND * loans) / lost };
}

/** How to ask for the wear of losses that are put together. */
export const wearAsked = (
  { lost, loans, each, inBag }: Together,
  more: Pick<WearAsked, 'next' | 'prior' | 'assurance'>,
): WearAsked => ({ lost, loans, each: [...each], inBag: Math.max(inBag, 1, ...each), ...more });

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

/** So sure is one to lose no more than the least, the middle and the most that is told. */
export const AHEAD = [0.05, 0.5, 0.95] as const;

/** What the losses of the loans to come leave in the store, and the packs that cover what may be short. */
export function ahead(
  part: { material: string; onHand: number },
  [few, middle, most]: readonly [number, number, number],
  offers: readonly (Offer & { name: string })[],
): Ahead {
  const { material, onHand } = part;
  const bought = buy({
    need: most,
    onHand,
    offers: offers.map(({ id, size, priceCents }) => ({ id, size, priceCents })),
  });
  const cover = 'packs' in bought ? bought : undefined;
  return {
    material,
    onHand,
    left: onHand - middle,
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
