/** Reckons a game with all its heavy figures, away from the page, and tells how far it is. */
import { FULL } from '~/core/chance/simulate';
import { settle } from '~/core/games/kit/game';
import { load } from '~/core/own/load';
import type { GameRef } from '~/core/own/made';
import type { Assumptions, Params, Reckoning } from '~/core/games/kit/types';

export interface ReckonRequest {
  gameRef: GameRef;
  params: Params;
  assumptions: Assumptions;
}
export type ReckonMessage = { kind: 'progress'; share: number } | { kind: 'done'; reckoning: Reckoning };

const MIN_STEP = 0.02;

self.onmessage = async ({ data: { gameRef, params, assumptions } }: MessageEvent<ReckonRequest>) => {
  const send = (message: ReckonMessage): void => self.postMessage(message);
  let told = 0;
  const progress = (share: number): void => {
    if (share - told < MIN_STEP) return;
    told = share;
    send({ kind: 'progress', share });
  };
  const variant = settle(await load(gameRef), params);
  send({ kind: 'done', reckoning: variant.reckon(assumptions, { ...FULL, progress }) });
};
