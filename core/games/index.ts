/** The shelf: every game there is. Adding a game is adding its folder and one line here. */
import { twoToneSpill } from './two-tone-spill';
import type { Game } from './types';

export const SHELF: readonly Game[] = [twoToneSpill];

/** The game with this id, or undefined. */
export const findGame = (id: string): Game | undefined => SHELF.find((game) => game.id === id);

/** The game with this id. Throws RangeError when there is none. */
export function gameOf(id: string): Game {
  const game = findGame(id);
  if (!game)
    throw new RangeError(
      `There is no game called "${id}". The games are: ${SHELF.map((one) => one.id).join(', ')}.`,
    );
  return game;
}
