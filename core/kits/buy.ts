/** Packs that cover what is short, as cheaply as they can. */
import { Type, type Static } from '@sinclair/typebox';
import { ownIds } from '~/core/check/ids';
import { Whole } from '~/core/check/schema';

/** More pieces than any school is short of. */
const MOST_PIECES = 1_000_000;

/** A pack as it is sold. */
export const offerSchema = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 80, title: 'Name of the offer' }),
    size: Whole(1, MOST_PIECES, { title: 'Pieces in a pack' }),
    priceCents: Whole(0, 100_000_000, { title: 'Price of a pack (cents)' }),
  },
  { additionalProperties: false },
);
export type Offer = Static<typeof offerSchema>;

export const buySchema = Type.Object(
  {
    need: Whole(0, MOST_PIECES, { title: 'Pieces needed' }),
    onHand: Whole(0, MOST_PIECES, { title: 'Pieces on hand' }),
    offers: Type.Array(offerSchema, { maxItems: 100, title: 'Offers' }),
  },
  { additionalProperties: false },
);
export type Wanted = Static<typeof buySchema>;

export interface Bought {
  short: number;
  /** Packs of each offer that is bought. */
  packs: Record<string, number>;
  costCents: number;
  /** Pieces bought beyond what is short. */
  leftover: number;
}
/** Nothing is sold of what is short. */
export interface NotSold {
  short: number;
  why: string;
}

/** The packs that are bought, in words: "2 × bag of 100". */
export const packsIn = ({ packs }: Bought, offers: readonly { id: string; name: string }[]): string[] =>
  Object.entries(packs).map(([id, n]) => `${n} × ${offers.find((one) => one.id === id)!.name}`);

/** What is paid, what is left over and how many packs it is, the better the smaller, in this order. */
type Cost = readonly [cents: number, leftover: number, packs: number];
const cheaper = (a: Cost, b: Cost): boolean =>
  a[0] !== b[0] ? a[0] < b[0] : a[1] !== b[1] ? a[1] < b[1] : a[2] < b[2];

const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/**
 * The cheapest packs that cover what is short; of equal ones those with the least left over, then the fewest. Exact, by
 * dynamic programming over the pieces that are still to be covered: every cover ends with a pack that covers the rest.
 * Throws RangeError for two offers with one id.
 */
export function buy({ need, onHand, offers }: Wanted): Bought | NotSold {
  ownIds('offer', offers);
  const short = Math.max(0, need - onHand);
  if (short > 0 && offers.length === 0)
    return { short, why: `${short} are missing, and there is no offer to buy them from.` };
  // Where all packs come in tens, so does what is still to be covered.
  const unit = offers.reduce((all, { size }) => greatestCommon(all, size), 0) || 1;
  const units = Math.ceil(short / unit);
  const best: Cost[] = [[0, 0, 0]];
  const last: number[] = [-1];
  for (let rest = 1; rest <= units; rest++) {
    let found: Cost | undefined;
    let by = -1;
    offers.forEach(({ size, priceCents }, i) => {
      const pack = size / unit;
      const before = best[Math.max(0, rest - pack)]!;
      const so: Cost = [
        before[0] + priceCents,
        before[1] + (pack > rest ? (pack - rest) * unit : 0),
        before[2] + 1,
      ];
      if (!found || cheaper(so, found)) [found, by] = [so, i];
    });
    best.push(found!);
    last.push(by);
  }
  const packs = new Map<string, number>();
  for (let rest = units; rest > 0;) {
    const { id, size } = offers[last[rest]!]!;
    packs.set(id, (packs.get(id) ?? 0) + 1);
    rest = Math.max(0, rest - size / unit);
  }
  // What the whole units cover beyond the pieces that are short is left over, too.
  return {
    short,
    packs: Object.fromEntries(packs),
    costCents: best[units]![0],
    leftover: best[units]![1] + units * unit - short,
  };
}
