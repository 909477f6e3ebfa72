import { startTransition, useEffect, useState } from 'react';
import type { FieldErrors } from '~/core/check/check';
import type { Game, Variant } from '~/core/games/kit/game';
import { assume, type Params } from '~/core/games/kit/types';
import type { GameRef } from '~/core/own/made';

/** A game that can be computed with. */
export interface Live {
  game: Game;
  settle: (params: Params) => Variant;
  faults: (params: Params) => FieldErrors;
}

async function bringToLife(ref: GameRef): Promise<Live> {
  const [{ load }, { faultsOf, settle, startOf }] = await Promise.all([
    import('~/core/own/load'),
    import('~/core/games/kit/game'),
  ]);
  const game = await load(ref);
  // Reckoned once for nothing, while nobody waits: the second time is several times faster.
  const start = startOf(game);
  if (Object.keys(faultsOf(game, start)).length === 0) settle(game, start).reckon(assume('g1'));
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
    // The page answers first; what it computes with comes when it has a moment.
    const idle = requestIdleCallback(
      () =>
        void Promise.all(wanted.map(bringToLife)).then(
          (games) => {
            if (!left) startTransition(() => setLive({ key, games: byId(wanted, games) }));
          },
          // A page without its game would show numbers of another setting: it says that it could not be loaded.
          (error: unknown) => {
            if (!left)
              setLive(() => {
                throw error;
              });
          },
        ),
      { timeout: 300 },
    );
    return () => {
      left = true;
      cancelIdleCallback(idle);
    };
  }, [key]);
  return live?.key === key ? live.games : NONE;
}
const NONE: ReadonlyMap<string, Live> = new Map();
const byId = (refs: readonly GameRef[], games: readonly Live[]): ReadonlyMap<string, Live> =>
  new Map(games.map((one, i) => [refs[i]!.gameId, one]));
