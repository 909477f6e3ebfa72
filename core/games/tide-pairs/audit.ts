import { showCard, type Card } from '~/core/cards/deck';
import type { DeckVerdict } from '~/core/games/kit';
import type { TideParams } from '.';
import { dealt, keptCards, pairing, spareCards, targetOf, worth } from './rules';

/** What these cards do to the game: what to take out, which card is left over. */
export function audit(params: TideParams, cards: readonly Card[]): DeckVerdict {
  const target = targetOf(params);
  const kept = keptCards(params, cards);
  const values = kept.map((card) => worth(card, params)!);
  const { pairs, leftover } = pairing(values, target, params.setSize);
  const hands = dealt({ ...params, ownDecks: false });
  if (pairs === 0 || kept.length - leftover.length < hands)
    return {
      verdict: 'doesNotPlay',
      note: `Only ${kept.length - leftover.length} cards can pair, and ${params.players} hands of ${params.hand} take ${hands}.`,
    };
  if (leftover.length === 0) return { verdict: 'plays', note: `${pairs} pairs, nothing left over.` };
  return {
    verdict: 'playsWithNote',
    note: `${pairs} pairs. Take out ${spareCards(params, kept).map(showCard).join(', ')} (or any other card of the same number): then everything pairs.`,
  };
}
