/** What a copy costs: its parts, its paper, the work if it is paid; and what a loan of it costs with wear. */
import { SHIPPED, type Catalogue } from '~/core/materials/school';

export interface CostAsked {
  parts: readonly { material: string; quantity: number }[];
  offers: readonly { material: string; size: number; priceCents: number }[];
  /** Cents to print, and to laminate, all pages of one copy. */
  paperCents: number;
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

/** Reckons what a copy and a loan of it cost, in cents; paper is not among the parts. */
export function copyCost(
  { parts, offers, paperCents, seconds, hourCents, paperLoans, partLoans }: CostAsked,
  catalogue: Catalogue = SHIPPED,
): CopyCost {
  const of = (kind: 'durable' | 'consumable'): number =>
    parts
      .filter(({ material }) => catalogue.of(material).kind === kind)
      .reduce((sum, { material, quantity }) => sum + quantity * pieceCents(material, offers, catalogue), 0);
  const [lasting, used] = [of('durable'), of('consumable')];
  const labour = (seconds / 3600) * hourCents;
  // Paper, and the work, are shared by the loans they last.
  const paper = paperCents / paperLoans;
  const work = labour / paperLoans;
  return {
    partsCents: Math.round(lasting + used),
    lastingCents: Math.round(lasting),
    paperCents: Math.round(paperCents),
    labourCents: Math.round(labour),
    copyCents: Math.round(lasting + used + paperCents + labour),
    loanCents: Math.round(lasting / partLoans + used + paper + work),
  };
}
