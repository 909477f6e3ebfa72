/** Games as a page in the browser gets them: it loads the code of those it shows, and of no others. */
import type { Game } from '~/core/games/kit/game';
import { loadGame } from '~/core/games/shelf/games';
import type { GameRef } from './made';

/** The game that is named, as soon as its code is there. */
export async function load({ gameId, own }: GameRef): Promise<Game> {
  const game = own ? undefined : await loadGame(gameId);
  if (game) return game;
  const { madeGame, unknownGame } = await import('./made');
  return own ? madeGame(own, gameId) : unknownGame(gameId);
}
