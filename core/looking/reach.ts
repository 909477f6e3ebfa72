/** Who is reached: the share of each group with its interval, and each pair of groups with that of its difference. */
import { Type, type Static } from '@sinclair/typebox';
import { newcombe, wilson, type Difference, type Share } from '~/core/chance/intervals';
import { ownIds } from '~/core/check/ids';
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

/** The share of a less that of b. */
export interface Pair extends Difference {
  a: string;
  b: string;
}

/** Shares of groups, and each pair of them in the order of the input. Throws RangeError for more reached than there are. */
export function reach({ groups }: ReachAsked): { groups: Record<string, Share>; pairs: Pair[] } {
  ownIds('group', groups);
  const shares = new Map<string, Share>();
  for (const { id, reached, of } of groups) {
    if (reached > of) throw new RangeError(`${id}: ${reached} are reached, and there are only ${of}.`);
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
