/** Games by the id in an address: those of the shelf, and the school's own. */
import { findGame } from '~/core/games/shelf';
import { gameFor, type GameRef } from '~/core/own/open';
import { storedId } from '~/core/own/ids';
import type { SchoolHandle } from '~/data/db';
import { findOwnGame } from '~/data/queries/games';
import { isId } from '../ids';
import { AROUND, plainArgs, type Worded } from '~/core/pack/sources';
import { exampleArgs } from '~/core/games/kit/examples';
import { nameOf } from '~/core/words/reading';
import type { Args } from '~/core/words/message';
import { notFound } from '../refusals';

/** The game with this id. Throws a 404 page when there is none. */
export async function requireGame(at: SchoolHandle, gameId: string): Promise<GameRef> {
  if (findGame(gameId)) return { gameId };
  const id = storedId(gameId);
  const stored = id !== undefined && isId(id) ? await findOwnGame(at, id) : undefined;
  if (!stored) throw notFound('This game');
  return { gameId, own: stored.definition };
}

/** Something with lines by its id, with numbers by which they can be read. Throws a 404 page when there is none. */
export async function requireWorded(
  at: SchoolHandle,
  id: string,
): Promise<Worded & { title: string; args: Record<string, Args>; ref?: GameRef }> {
  const around = AROUND.find((one) => one.id === id);
  if (around) return { ...around, args: plainArgs(around) };
  const ref = await requireGame(at, id);
  const game = gameFor(ref);
  return { id: game.id, words: game.words, title: nameOf(game), args: exampleArgs(game), ref };
}
