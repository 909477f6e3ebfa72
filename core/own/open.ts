/** Games as they are named by what is stored: one of the shelf, or one of the school's own with its definition. */
import type { Game } from '~/core/games/kit/types';
import { findGame } from '~/core/games/shelf';
import { closedGame } from './closed';
import type { OwnGame } from './definition';
import { ownFaults } from './faults';
import { ownGame } from './game';

/** A game as a variant names it: one of the shelf, or one of the school's own with its definition. */
export interface GameRef {
  gameId: string;
  own?: OwnGame | null;
}

const opened = new Map<string, Game>();
const MOST_OPENED = 200;

/**
 * The game that a variant is of. One that cannot be opened (rules that do not hold any more, a game that is not on
 * the shelf) is stood in for by one that says so: a single broken game takes no list down.
 */
export function gameFor({ gameId, own }: GameRef): Game {
  if (!own) return findGame(gameId) ?? closedGame(gameId, gameId, 'no game of the shelf has this name.');
  const key = `${gameId} ${JSON.stringify(own)}`;
  const known = opened.get(key);
  if (known) return known;
  if (opened.size >= MOST_OPENED) opened.clear();
  const game = openOwn(own, gameId);
  opened.set(key, game);
  return game;
}

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
