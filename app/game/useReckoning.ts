import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import type { FieldErrors } from '~/core/check/check';
import { assume, type AgeBand, type Assumptions, type Params, type Reckoning } from '~/core/games/kit/types';
import type { GameRef } from '~/core/own/made';
import type { ReckonMessage, ReckonRequest } from '~/app/workers/reckon.worker';
import type { Live } from './useLive';

/** A knob that is still being turned starts no worker. */
const PAUSE_MS = 250;

/** How far the heavy figures are, 0 to 1; who shows it listens to it, and nothing else is drawn anew. */
export class Progress {
  #share = 0;
  readonly #listeners = new Set<() => void>();
  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
  readonly now = (): number => this.#share;
  tell(share: number): void {
    this.#share = share;
    for (const listener of this.#listeners) listener();
  }
}
export const useProgress = (progress: Progress): number =>
  useSyncExternalStore(progress.subscribe, progress.now, progress.now);

export interface Reckoned {
  /** What is wrong with the parameters; nothing is reckoned then. */
  errors: FieldErrors;
  reckoning?: Reckoning | undefined;
  /** Something was changed before the game came: what is there is of another setting. */
  waiting: boolean;
  /** Present while heavy figures are under way. */
  progress?: Progress | undefined;
  cancel: () => void;
  /** The heavy figures were stopped by hand, and can be asked for again. */
  stopped: boolean;
  again: () => void;
}

/** A setting with its reckoning, as the server worked it out before the page came. */
export interface First {
  params: Params;
  ageBand: AgeBand;
  reckoning?: Reckoning | undefined;
  errors?: FieldErrors;
}

/**
 * The reckoning of parameters: what takes no time at once, exact or simulated figures that take longer from a
 * worker as soon as they are there. Until the game is alive, what the server worked out first stands.
 */
export function useReckoning(
  gameRef: GameRef,
  params: Params,
  assumptions: Assumptions,
  first: First,
  live?: Live,
): Reckoned {
  const key = JSON.stringify([gameRef, params, assumptions]);
  const isFirst = key === JSON.stringify([gameRef, first.params, assume(first.ageBand)]);
  const { reckoning: firstReckoning, errors: firstErrors } = first;
  const quick = useMemo(() => {
    if (isFirst) return { errors: firstErrors ?? {}, reckoning: firstReckoning };
    if (!live) return { errors: {} };
    const [, at, under] = JSON.parse(key) as [GameRef, Params, Assumptions];
    const errors = live.faults(at);
    return { errors, reckoning: Object.keys(errors).length ? undefined : live.settle(at).reckon(under) };
  }, [live, key, isFirst, firstReckoning, firstErrors]);
  const [progress] = useState(() => new Progress());
  const [heavy, setHeavy] = useState<{ key: string; reckoning: Reckoning }>();
  const [stoppedAt, setStopped] = useState<string>();
  const wanted = Boolean(quick.reckoning && (quick.reckoning.simulated || quick.reckoning.pending.length));
  const stopped = stoppedAt === key;
  useEffect(() => {
    if (!wanted || stopped) return;
    let worker: Worker | undefined;
    const timer = setTimeout(() => {
      worker = new Worker(new URL('../workers/reckon.worker.ts', import.meta.url), { type: 'module' });
      const [of, at, under] = JSON.parse(key) as [GameRef, Params, Assumptions];
      progress.tell(0);
      worker.onmessage = ({ data }: MessageEvent<ReckonMessage>) => {
        if (data.kind === 'progress') return progress.tell(data.share);
        setHeavy({ key, reckoning: data.reckoning });
        worker?.terminate();
      };
      worker.postMessage({ gameRef: of, params: at, assumptions: under } satisfies ReckonRequest);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [key, wanted, stopped, progress]);
  const here = heavy?.key === key ? heavy : undefined;
  return {
    waiting: !isFirst && !live,
    errors: quick.errors,
    reckoning: here?.reckoning ?? quick.reckoning,
    progress: wanted && !stopped && !here ? progress : undefined,
    cancel: () => setStopped(key),
    stopped: wanted && stopped && !here,
    again: () => setStopped(undefined),
  };
}
