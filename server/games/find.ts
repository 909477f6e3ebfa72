/** Games by the id in an address: those of the shelf, and the school's own. */
import { findGame } from '~/core/games/shelf';
import type { GameRef } from '~/core/own/open';
import { storedId } from '~/core/own/ids';
import type { SchoolHandle } from '~/data/db';
import { findOwnGame } from '~/data/queries/games';
import { isId } from '../ids';
import { notFound } from '../refusals';

/** The game with this id. Throws a 404 page when there is none. */
export async function requireGame(at: SchoolHandle, gameId: string): Promise<GameRef> {
  if (findGame(gameId)) return { gameId };
  const id = storedId(gameId);
  const stored = id !== undefined && isId(id) ? await findOwnGame(at, id) : undefined;
  if (!stored) throw notFound('This game');
  return { gameId, own: stored.definition };
}
