import type { Card } from '~/core/cards/deck';
import type { DeckVerdict } from '~/core/games/kit';
import type { RowParams } from '.';
import { callsAvailable, GRID, numbersFrom } from './rules';

/** The grids must be laid, and enough must be left to call. */
export function audit(params: RowParams, cards: readonly Card[]): DeckVerdict {
  const numbers = numbersFrom(cards).length;
  const grids = GRID * params.players;
  const calls = callsAvailable(params, numbers);
  const usual = callsAvailable(params, 40);
  if (numbers < grids || calls < 3)
    return {
      verdict: 'doesNotPlay',
      note: `${numbers} number cards are left; ${params.players} grids take ${grids}, and at least three are needed to call.`,
    };
  if (calls >= usual && numbers >= 40) return { verdict: 'plays', note: `${calls} cards to call.` };
  return {
    verdict: 'playsWithNote',
    note:
      params.callFrom === 'rest'
        ? `${calls} cards to call instead of ${usual}: fewer games finish. Calling from a second deck mends it.`
        : 'Use the whole deck to call from and this one for the grids; some called numbers lie in no grid.',
  };
}
