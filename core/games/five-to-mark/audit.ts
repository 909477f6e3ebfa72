import type { Card } from '~/core/cards/deck';
import type { DeckVerdict } from '~/core/games/kit';
import type { MarkParams } from '.';
import { deckNumbers } from './reckon';

/** Any six cards play; fewer than two targets' worth do not. */
export function audit(params: MarkParams, cards: readonly Card[]): DeckVerdict {
  const deck = deckNumbers(params, cards);
  const each = params.laid + 1;
  const full = deckNumbers({ ...params, missing: [] }).length;
  if (deck.length < each)
    return { verdict: 'doesNotPlay', note: `${deck.length} cards are left; one target takes ${each}.` };
  if (deck.length >= full) return { verdict: 'plays', note: `All ${deck.length} cards are there.` };
  const targets = Math.floor(deck.length / each);
  return {
    verdict: 'playsWithNote',
    note:
      targets === Math.floor(full / each)
        ? 'As many targets as usual; the missing numbers come up less often.'
        : `Shuffle after ${targets} ${targets === 1 ? 'target' : 'targets'} instead of ${Math.floor(full / each)}; the missing numbers come up less often.`,
  };
}
