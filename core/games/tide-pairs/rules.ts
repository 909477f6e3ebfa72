import { countValues, deckWithout, rankOf, valueOf, type Card } from '~/core/cards/deck';
import type { FieldErrors } from '~/core/check/check';
import { choices, remembered, type Ladder } from '~/core/games/kit';
import type { TideParams } from '.';

export const TARGETS = ['same', ...Array.from({ length: 16 }, (_, i) => i + 5)] as readonly (
  'same' | number
)[];

export const faults = (params: TideParams): FieldErrors =>
  keptCards(params).length === 0 ? { target: 'No two cards of this deck make this target.' } : {};

/** The target as a number; undefined when equal cards are a pair. */
export const targetOf = ({ target }: Pick<TideParams, 'target'>): number | undefined =>
  target === 'same' ? undefined : target;

/** What a card counts: its number, 0 for the chosen picture card; undefined for cards that are not used. */
export function worth(
  card: Card,
  { target, zeroCard }: Pick<TideParams, 'target' | 'zeroCard'>,
): number | undefined {
  if (target === 'same') return valueOf(card);
  const rank = rankOf(card);
  if ((rank === 'J' && zeroCard === 'jack') || (rank === 'Q' && zeroCard === 'queen')) return 0;
  return valueOf(card) <= 10 ? valueOf(card) : undefined;
}

/** The card value that completes a pair with this one. */
export const partner = (value: number, target: number | undefined): number =>
  target === undefined ? value : target - value;

/** The cards that stay in the deck: those whose partner there is, or that are in a three of the target. */
export function keptCards(params: TideParams, cards: readonly Card[] = deckWithout(params.missing)): Card[] {
  const target = targetOf(params);
  const counts = countValues(cards.map((card) => worth(card, params)).filter((value) => value !== undefined));
  const threes =
    params.setSize === 'twoOrThree' && target !== undefined ? inThrees(counts, target) : new Set();
  return cards.filter((card) => {
    const value = worth(card, params);
    if (value === undefined) return false;
    const other = partner(value, target);
    return (counts.get(other) ?? 0) > (other === value ? 1 : 0) || threes.has(value);
  });
}

/** Values that lie in at least one set of three cards that make the target. */
function inThrees(counts: ReadonlyMap<number, number>, target: number): Set<number> {
  const found = new Set<number>();
  const values = [...counts.keys()];
  for (const a of values)
    for (const b of values.filter((value) => value >= a)) {
      const c = target - a - b;
      if (c < b || !counts.has(c)) continue;
      const wanted = countValues([a, b, c]);
      if ([...wanted].every(([value, times]) => counts.get(value)! >= times))
        [a, b, c].forEach((value) => found.add(value));
    }
  return found;
}

/** How many pairs these values can make at most, and which values are left over then. */
export function pairing(
  values: readonly number[],
  target: number | undefined,
  setSize: TideParams['setSize'] = 'two',
): { pairs: number; leftover: number[] } {
  const counts = countValues(values);
  let pairs = 0;
  const leftover: number[] = [];
  // A card that fits a set of three is not left over for good.
  const threes =
    setSize === 'twoOrThree' && target !== undefined ? inThrees(counts, target) : new Set<number>();
  for (const [value, have] of counts) {
    const other = partner(value, target);
    if (other === value) {
      pairs += Math.floor(have / 2);
      if (have % 2 && !threes.has(value)) leftover.push(value);
    } else {
      const there = counts.get(other) ?? 0;
      if (value < other) pairs += Math.min(have, there);
      if (!threes.has(value)) for (let extra = there; extra < have; extra++) leftover.push(value);
    }
  }
  return { pairs, leftover };
}

/** Cards to take out so that everything pairs: one of the kept cards for each value that is left over. */
export function spareCards(params: TideParams, kept: readonly Card[]): Card[] {
  const values = kept.map((card) => worth(card, params)!);
  const wanted = countValues(pairing(values, targetOf(params), params.setSize).leftover);
  return [...wanted].flatMap(([value, times]) =>
    kept.filter((card) => worth(card, params) === value).slice(0, times),
  );
}

/** The numbers that are played with, from this deck. */
export const playedValues = remembered((params: TideParams): number[] =>
  keptCards(params).map((card) => worth(card, params)!),
);

/** The pairs that these cards can make at most. */
export const mostPairs = remembered(
  (params: TideParams): number => pairing(playedValues(params), targetOf(params)).pairs,
);

/** Cards that have to be dealt, from one deck. */
export const dealt = ({ hand, players, ownDecks }: TideParams): number => hand * (ownDecks ? 1 : players);

export const ladder = (params: TideParams): Ladder =>
  choices(
    params,
    'target',
    (['same', 5, 6, 7, 8, 9, 10, 12, 15] as const).map(
      (target) => [target, target === 'same' ? 'Pair equal cards' : `Make ${target}`] as const,
    ),
  );
