/** What a copy lacks, in words. */
import { isCard, showCard } from '~/core/cards/deck';
import { SHIPPED, type Catalogue } from '~/core/materials/school';
import { listed } from '~/core/words/numbers';

/** "2 of 6 two-color counters", or the cards that a deck lacks. */
export function lackOf(
  one: { material: string; expected: number; counted: number; lacks?: readonly string[] },
  catalogue: Catalogue = SHIPPED,
): string {
  const { plural, name } = catalogue.of(one.material);
  const short = one.expected - one.counted;
  if (short > 0) return `${short} of ${one.expected} ${one.expected === 1 ? name : plural}`;
  const cards = (one.lacks ?? []).filter(isCard);
  return `${listed(cards.map(showCard))} of the deck`;
}
