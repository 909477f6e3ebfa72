import { useEffect, useState } from 'react';
import type { FieldErrors } from '~/core/check/check';
import type { Game, Variant } from '~/core/games/kit/game';
import type { Params } from '~/core/games/kit/types';
import type { GameRef } from '~/core/own/made';

/** A game that can be computed with. */
export interface Live {
  game: Game;
  settle: (params: Params) => Variant;
  faults: (params: Params) => FieldErrors;
}

async function bringToLife(ref: GameRef): Promise<Live> {
  const [{ load }, { faultsOf, settle }] = await Promise.all([
    import('~/core/own/load'),
    import('~/core/games/kit/game'),
  ]);
  const game = await load(ref);
  return { game, settle: (params) => settle(game, params), faults: (params) => faultsOf(game, params) };
}

/**
 * The games that are named, by their ids, once their code has come: the first page shows what the server worked out,
 * so that it is there before any game is.
 */
export function useLive(refs: readonly GameRef[]): ReadonlyMap<string, Live> {
  const [live, setLive] = useState<{ key: string; games: ReadonlyMap<string, Live> }>();
  const key = JSON.stringify(refs);
  useEffect(() => {
    let left = false;
    const wanted = JSON.parse(key) as GameRef[];
    void Promise.all(wanted.map(bringToLife)).then((games) => {
      if (!left) setLive({ key, games: new Map(games.map((one, i) => [wanted[i]!.gameId, one])) });
    });
    return () => {
      left = true;
    };
  }, [key]);
  return live?.key === key ? live.games : NONE;
}
const NONE: ReadonlyMap<string, Live> = new Map();
