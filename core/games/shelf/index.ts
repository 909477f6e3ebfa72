/** The shelf: every game there is. The server and the tests have all of them at hand. */
import type { Game } from '~/core/games/kit/game';
import { GAME_IDS, loadedGame, loadGame } from './games';

export const SHELF: readonly Game[] = await Promise.all(GAME_IDS.map(async (id) => (await loadGame(id))!));

/** The game with this id, or undefined. */
export const findGame = loadedGame;

/** The game with this id. Throws RangeError when there is none. */
export function gameOf(id: string): Game {
  const game = findGame(id);
  if (!game) throw new RangeError(`There is no game called "${id}". The games are: ${GAME_IDS.join(', ')}.`);
  return game;
}
