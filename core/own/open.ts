/**
 * The one gate of what is stored: variants, plans of build runs, a browser's memory and files name a game (one of the
 * shelf, or one of the school's own with its definition) and its parameters, and are opened here.
 */
import { LRUCache } from 'lru-cache';
import { complete, settle, type Game, type Variant } from '~/core/games/kit/game';
import type { Params } from '~/core/games/kit/types';
import { findGame } from '~/core/games/shelf';
import { closedGame, isClosed } from './closed';
import { madeGame, unknownGame, type GameRef } from './made';

export type { GameRef };

/** A game with parameters, as they are stored. */
export interface VariantRef extends GameRef {
  name?: string;
  params: Params;
}

/**
 * The game that is named. One that cannot be opened (rules that do not hold any more, a game that is not on the
 * shelf) is stood in for by one that says so: a single broken game takes no list down.
 */
export const gameFor = ({ gameId, own }: GameRef): Game =>
  own ? madeGame(own, gameId) : (findGame(gameId) ?? unknownGame(gameId));

const WHY = 'its saved setting does not fit the game any more. Save it anew on the game bench.';
const variants = new LRUCache<string, Variant>({ max: 2000 });

/**
 * The variant that is named, its parameters checked and completed by the knobs the game has today. Where they do not
 * fit it any more, a closed game that says so, which has no parts and no steps.
 */
export function open({ gameId, own, name, params }: VariantRef): Variant {
  const key = JSON.stringify([gameId, name, params, own ?? null]);
  const known = variants.get(key);
  if (known) return known;
  const variant = openAt(gameFor({ gameId, own }), name ?? gameId, params);
  variants.set(key, variant);
  return variant;
}

function openAt(game: Game, name: string, params: Params): Variant {
  if (isClosed(game)) return settle(game, {});
  try {
    const found = complete(game, params);
    if (found) return found;
  } catch {
    // Its own rules cannot make sense of it.
  }
  return settle(closedGame(game.id, name, WHY), {});
}
