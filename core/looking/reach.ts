/**
 * Who is reached: shares with Wilson's score interval (1927), differences with Newcombe's hybrid score interval (1998,
 * method 10), both at 95 % and without correction for continuity.
 */
import { Type, type Static } from '@sinclair/typebox';
import { Whole } from '~/core/check/schema';

export const reachSchema = Type.Object(
  {
    groups: Type.Array(
      Type.Object(
        {
          id: Type.String({ minLength: 1, maxLength: 80, title: 'Group' }),
          reached: Whole(0, 1e9, { title: 'Reached' }),
          of: Whole(1, 1e9, { title: 'Of how many' }),
        },
        { additionalProperties: false },
      ),
      { maxItems: 100, title: 'Groups' },
    ),
  },
  { additionalProperties: false },
);
export type ReachAsked = Static<typeof reachSchema>;

export interface Share {
  share: number;
  low: number;
  high: number;
}
export interface Difference {
  a: string;
  b: string;
  /** The share of a less that of b. */
  difference: number;
  low: number;
  high: number;
}

/** The 97.5 % point of the normal distribution. */
const Z = 1.959963984540054;

/** Wilson's interval of a share. */
export function wilson(reached: number, of: number): Share {
  const share = reached / of;
  const middle = reached + Z ** 2 / 2;
  const half = Z * Math.sqrt(reached * (1 - share) + Z ** 2 / 4);
  const whole = of + Z ** 2;
  return {
    share,
    // At the ends the bound is the end itself, not a rounding beside it.
    low: reached === 0 ? 0 : (middle - half) / whole,
    high: reached === of ? 1 : (middle + half) / whole,
  };
}

/** Newcombe's interval of the difference of two shares. */
export function newcombe(a: Share, b: Share): Omit<Difference, 'a' | 'b'> {
  const difference = a.share - b.share;
  return {
    difference,
    low: difference - Math.hypot(a.share - a.low, b.high - b.share),
    high: difference + Math.hypot(a.high - a.share, b.share - b.low),
  };
}

/** Shares of groups, and each pair of them in the order of the input. Throws RangeError for more reached than there are. */
export function reach({ groups }: ReachAsked): { groups: Record<string, Share>; pairs: Difference[] } {
  const shares = new Map<string, Share>();
  for (const { id, reached, of } of groups) {
    if (reached > of) throw new RangeError(`${id}: ${reached} are reached, and there are only ${of}.`);
    if (shares.has(id)) throw new RangeError(`Each group needs an id of its own: ${id}.`);
    shares.set(id, wilson(reached, of));
  }
  const ids = [...shares.keys()];
  return {
    groups: Object.fromEntries(shares),
    pairs: ids.flatMap((a, i) =>
      ids.slice(i + 1).map((b) => ({ a, b, ...newcombe(shares.get(a)!, shares.get(b)!) })),
    ),
  };
}
