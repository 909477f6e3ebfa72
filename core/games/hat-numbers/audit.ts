import type { Card } from '~/core/cards/deck';
import type { DeckVerdict } from '~/core/games/kit';
import type { HatParams } from '.';
import { hatValues, values } from './reckon';

export function audit(params: HatParams, cards: readonly Card[]): DeckVerdict {
  const now = Math.floor(hatValues(params, cards).length / 2);
  const usual = Math.floor(values({ ...params, missing: [] }).length / 2);
  if (now < 1) return { verdict: 'doesNotPlay', note: 'Fewer than two cards are left; a round takes two.' };
  if (now >= usual) return { verdict: 'plays', note: `${now} rounds.` };
  return {
    verdict: 'playsWithNote',
    note: `${usual - now} ${usual - now === 1 ? 'round' : 'rounds'} fewer: ${now}.`,
  };
}
