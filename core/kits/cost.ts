/** What a copy costs: its parts, its paper, the work if it is paid; and what a loan of it costs with wear. */
import { SHIPPED, type Catalogue } from '~/core/materials/school';

export interface CostAsked {
  parts: readonly { material: string; quantity: number }[];
  offers: readonly { material: string; size: number; priceCents: number }[];
  /** Cents to print, and to laminate, all pages of one copy; of a marker and a cloth to wipe them; of a loan's share of both. */
  paperCents: number;
  wipingCents: number;
  paperOfLoanCents: number;
  /** Seconds of one person's work, and what an hour of it costs; 0 where nobody is paid. */
  seconds: number;
  hourCents: number;
  /** Loans that a page of this finish lasts, and a bought part. */
  paperLoans: number;
  partLoans: number;
}

export interface CopyCost {
  partsCents: number;
  /** Of them what lasts, and what a loan uses up. */
  lastingCents: number;
  paperCents: number;
  wipingCents: number;
  labourCents: number;
  copyCents: number;
  /** One loan: what is used up, and its share of what lasts. */
  loanCents: number;
}

/** Cents of one piece at the cheapest of the offers; of the catalogue's pack where there is none. */
export function pieceCents(
  material: string,
  offers: CostAsked['offers'],
  catalogue: Catalogue = SHIPPED,
): number {
  const mine = offers
    .filter((one) => one.material === material)
    .map(({ size, priceCents }) => priceCents / size);
  const { pack } = catalogue.of(material);
  return mine.length ? Math.min(...mine) : pack.priceCents / pack.size;
}

/** Cents of the parts that are bought, packs shared out; paper is not among them. */
export const partsCents = (
  parts: CostAsked['parts'],
  offers: CostAsked['offers'],
  catalogue: Catalogue = SHIPPED,
): number =>
  Math.round(
    kindCents('durable', parts, offers, catalogue) + kindCents('consumable', parts, offers, catalogue),
  );
const kindCents = (
  kind: 'durable' | 'consumable',
  parts: CostAsked['parts'],
  offers: CostAsked['offers'],
  catalogue: Catalogue,
): number =>
  parts
    .filter(({ material }) => catalogue.of(material).kind === kind)
    .reduce((sum, { material, quantity }) => sum + quantity * pieceCents(material, offers, catalogue), 0);

/** Reckons what a copy and a loan of it cost, in cents; paper is not among the parts. */
export function copyCost(
  {
    parts,
    offers,
    paperCents,
    wipingCents,
    paperOfLoanCents,
    seconds,
    hourCents,
    paperLoans,
    partLoans,
  }: CostAsked,
  catalogue: Catalogue = SHIPPED,
): CopyCost {
  const lasting = kindCents('durable', parts, offers, catalogue);
  const used = kindCents('consumable', parts, offers, catalogue);
  const labour = (seconds / 3600) * hourCents;
  // The work is shared by the loans that the paper lasts.
  const work = labour / paperLoans;
  // What is told adds up: each is rounded before it is added.
  const [bought, labourCents] = [partsCents(parts, offers, catalogue), Math.round(labour)];
  return {
    partsCents: bought,
    lastingCents: Math.round(lasting),
    paperCents,
    wipingCents,
    labourCents,
    copyCents: bought + paperCents + wipingCents + labourCents,
    loanCents: Math.round(lasting / partLoans + used + work) + paperOfLoanCents,
  };
}
