/** Games of a school's own as games like any other, and what stands in the place of one that cannot be opened. */
import { LRUCache } from 'lru-cache';
import type { Game } from '~/core/games/kit/game';
import { closedGame } from './closed';
import type { OwnGame } from './definition';
import { ownFaults } from './faults';
import { ownGame } from './game';

/** A game as what is stored names it: one of the shelf, or one of the school's own with its definition. */
export interface GameRef {
  gameId: string;
  own?: OwnGame | null | undefined;
}

const games = new LRUCache<string, Game>({ max: 200 });

/** The game that a definition makes; one that says so where its rules do not hold any more. */
export function madeGame(own: OwnGame, gameId: string): Game {
  const key = `${gameId} ${JSON.stringify(own)}`;
  const known = games.get(key);
  if (known) return known;
  const game = openOwn(own, gameId);
  games.set(key, game);
  return game;
}

/** In the place of a game that is not on the shelf. */
export const unknownGame = (gameId: string): Game =>
  closedGame(gameId, gameId, 'no game of the shelf has this name.');

function openOwn(own: OwnGame, gameId: string): Game {
  const names = own.name as Partial<OwnGame['name']> | undefined;
  const name = typeof names?.en === 'string' && names.en.trim() ? names.en : 'A game of your own';
  const { closed } = own as { closed?: unknown };
  if (typeof closed === 'string') return closedGame(gameId, name, closed);
  try {
    const [fault] = Object.values(ownFaults(own));
    return fault ? closedGame(gameId, name, fault) : ownGame(own, gameId);
  } catch {
    return closedGame(gameId, name, 'its rules cannot be read.');
  }
}
