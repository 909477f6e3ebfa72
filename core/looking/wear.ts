/**
 * How fast a part goes: losses per loan with a gamma prior, and spares by the negative binomial that follows. Where it is
 * known what each loan lost, losses may come in clumps (`clumps.ts`).
 */
import { Type, type Static } from '@sinclair/typebox';
import jstat from 'jstat';
import { Whole } from '~/core/check/schema';
import { clumped } from './clumps';

const above = (title: string) => Type.Number({ exclusiveMinimum: 0, maximum: 1e6, title });

export const wearSchema = Type.Object(
  {
    lost: Type.Number({ minimum: 0, maximum: 1e6, title: 'Lost' }),
    loans: Type.Number({ minimum: 0, maximum: 1e6, title: 'Loans' }),
    prior: Type.Optional(
      Type.Object(
        { lost: above('Losses of the prior'), loans: above('Loans of the prior') },
        { additionalProperties: false },
      ),
    ),
    /** Pieces lost by each loan that lost some; the others lost none. With it, losses may come in clumps. */
    each: Type.Optional(
      Type.Array(Whole(1, 1_000_000, { title: 'Losses of a loan' }), { maxItems: 100_000 }),
    ),
    /** So many pieces lie in a bag: no loan loses more. */
    inBag: Type.Optional(Whole(1, 1_000_000, { title: 'Pieces in a bag' })),
    next: Type.Number({ minimum: 0, maximum: 1e6, title: 'Loans to come' }),
    assurance: Type.Optional(Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 1, title: 'Assurance' })),
  },
  { additionalProperties: false },
);
export type WearAsked = Static<typeof wearSchema>;

export interface Wear {
  perLoan: number;
  /** Its central 90 % interval. */
  low: number;
  high: number;
  /** So many spares suffice for the loans to come, with that assurance. */
  spares: number;
}

const USUAL_PRIOR = { lost: 0.5, loans: 1 };
/** The same where it is known what each loan lost: so weak that a few loans outweigh it. */
const WEAK_PRIOR = { lost: 0.05, loans: 0.1 };
const USUAL_ASSURANCE = 0.95;
const TAIL = 0.05;

/** The point below which a gamma variable of this shape and rate lies with probability `p`. */
function gammaQuantile(p: number, shape: number, rate: number): number {
  const below = (x: number): number => jstat.jStat.lowRegGamma(shape, x);
  let [low, high] = [0, Math.max(1, shape)];
  while (below(high) < p) high *= 2;
  for (let i = 0; i < 200 && high - low > 1e-14 * high; i++) {
    const middle = (low + high) / 2;
    if (below(middle) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2 / rate;
}

/** Nobody keeps more spares than that, and counting on would keep everybody waiting. */
const MOST_SPARES = 20_000_000;

/** The smallest number that a negative binomial variable does not exceed with probability `assurance`. */
function negativeBinomialQuantile(assurance: number, shape: number, chance: number): number {
  // In logarithms: the first term may be smaller than any number that a computer holds.
  let log = shape * Math.log(chance);
  let sum = Math.exp(log);
  let n = 0;
  while (sum < assurance) {
    log += Math.log(((n + shape) / (n + 1)) * (1 - chance));
    sum += Math.exp(log);
    if (++n > MOST_SPARES) throw new RangeError('So many losses ask for more than 20 million spares.');
    // What is left is less than rounding: no more is added.
    if (n > shape && log < -745 && sum > 0.5) break;
  }
  return n;
}

/**
 * How fast a part goes, and how many spares to have. Throws RangeError where these are more than anybody keeps, and where
 * what each loan lost does not add up to what was lost.
 */
export function wear({
  lost,
  loans,
  each,
  inBag,
  prior = each ? WEAK_PRIOR : USUAL_PRIOR,
  next,
  assurance = USUAL_ASSURANCE,
}: WearAsked): Wear {
  if (each) {
    if (each.length > loans) throw new RangeError('More loans lost something than there were loans.');
    if (each.reduce((sum, one) => sum + one, 0) !== lost)
      throw new RangeError('What each loan lost does not add up to what was lost.');
    const most = Math.max(0, ...each);
    if (inBag !== undefined && most > inBag) throw new RangeError('A loan lost more than lies in a bag.');
    return clumped({ each, loans, prior, inBag, next, assurance });
  }
  const shape = prior.lost + lost;
  const rate = prior.loans + loans;
  return {
    perLoan: shape / rate,
    low: gammaQuantile(TAIL, shape, rate),
    high: gammaQuantile(1 - TAIL, shape, rate),
    spares: next === 0 ? 0 : negativeBinomialQuantile(assurance, shape, rate / (rate + next)),
  };
}
