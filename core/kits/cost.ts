/** What a copy costs: its parts, its paper, the work if it is paid; and what a loan of it costs with wear. */
import { materialOf } from '~/core/materials/catalogue';
import type { Finish } from '~/core/paper/sheet';

/** Loans that a bought part is taken to last, until losses tell otherwise. */
export const PART_LOANS = 60;

export interface CostAsked {
  parts: readonly { material: string; quantity: number }[];
  offers: readonly { material: string; size: number; priceCents: number }[];
  finish: Finish;
  /** Cents to print, and to laminate, all pages of one copy. */
  paperCents: number;
  /** Seconds of one person's work, and what an hour of it costs; 0 where nobody is paid. */
  seconds: number;
  hourCents: number;
  /** Loans that a laminated page lasts. */
  paperLoans: number;
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
export function pieceCents(material: string, offers: CostAsked['offers']): number {
  const mine = offers
    .filter((one) => one.material === material)
    .map(({ size, priceCents }) => priceCents / size);
  const { pack } = materialOf(material);
  return mine.length ? Math.min(...mine) : pack.priceCents / pack.size;
}

/** Reckons what a copy and a loan of it cost, in cents; paper is not among the parts. */
export function copyCost({
  parts,
  offers,
  finish,
  paperCents,
  seconds,
  hourCents,
  paperLoans,
}: CostAsked): CopyCost {
  const of = (kind: 'durable' | 'consumable'): number =>
    parts
      .filter(({ material }) => materialOf(material).kind === kind)
      .reduce((sum, { material, quantity }) => sum + quantity * pieceCents(material, offers), 0);
  const [lasting, used] = [of('durable'), of('consumable')];
  const labour = (seconds / 3600) * hourCents;
  // Plain paper is printed anew for every loan; laminated paper, and the work, are shared by the loans it lasts.
  const paper = finish === 'durable' ? paperCents / paperLoans : paperCents;
  const work = labour / (finish === 'durable' ? paperLoans : 1);
  return {
    partsCents: Math.round(lasting + used),
    lastingCents: Math.round(lasting),
    paperCents: Math.round(paperCents),
    labourCents: Math.round(labour),
    copyCents: Math.round(lasting + used + paperCents + labour),
    loanCents: Math.round(lasting / PART_LOANS + used + paper + work),
  };
}
