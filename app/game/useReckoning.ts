import { useEffect, useMemo, useState } from 'react';
import type { FieldErrors } from '~/core/check/check';
import { faultsOf, settle } from '~/core/games/kit/game';
import { gameFor, type GameRef } from '~/core/own/open';
import { assume, type AgeBand, type Assumptions, type Params, type Reckoning } from '~/core/games/kit/types';
import type { ReckonMessage, ReckonRequest } from '~/app/workers/reckon.worker';

/** A knob that is still being turned starts no worker. */
const PAUSE_MS = 250;

export interface Reckoned {
  /** What is wrong with the parameters; nothing is reckoned then. */
  errors: FieldErrors;
  reckoning?: Reckoning;
  /** How far the heavy figures are, 0 to 1; undefined when nothing is under way. */
  progress?: number;
  cancel: () => void;
  /** The heavy figures were stopped by hand, and can be asked for again. */
  stopped: boolean;
  again: () => void;
}

/** A setting with its reckoning, as the server worked it out before the page came. */
export interface First {
  params: Params;
  ageBand: AgeBand;
  reckoning?: Reckoning;
}

/**
 * The reckoning of parameters: what takes no time at once, exact or simulated figures that take longer from a
 * worker as soon as they are there.
 */
export function useReckoning(
  gameRef: GameRef,
  params: Params,
  assumptions: Assumptions,
  first?: First,
): Reckoned {
  const key = JSON.stringify([gameRef, params, assumptions]);
  const known =
    first?.reckoning && key === JSON.stringify([gameRef, first.params, assume(first.ageBand)])
      ? first.reckoning
      : undefined;
  const quick = useMemo(() => {
    const [of, at, under] = JSON.parse(key) as [GameRef, Params, Assumptions];
    if (known) return { errors: {}, reckoning: known };
    const game = gameFor(of);
    const errors = faultsOf(game, at);
    return { errors, reckoning: Object.keys(errors).length ? undefined : settle(game, at).reckon(under) };
  }, [key, known]);
  const [heavy, setHeavy] = useState<{ key: string; progress?: number; reckoning?: Reckoning }>();
  const [stoppedAt, setStopped] = useState<string>();
  const wanted = Boolean(quick.reckoning && (quick.reckoning.simulated || quick.reckoning.pending.length));
  const stopped = stoppedAt === key;
  useEffect(() => {
    if (!wanted || stopped) return;
    let worker: Worker | undefined;
    const timer = setTimeout(() => {
      worker = new Worker(new URL('../workers/reckon.worker.ts', import.meta.url), { type: 'module' });
      const [of, at, under] = JSON.parse(key) as [GameRef, Params, Assumptions];
      setHeavy({ key, progress: 0 });
      worker.onmessage = ({ data }: MessageEvent<ReckonMessage>) => {
        setHeavy(data.kind === 'done' ? { key, reckoning: data.reckoning } : { key, progress: data.share });
        if (data.kind === 'done') worker?.terminate();
      };
      worker.onerror = () => setHeavy({ key });
      worker.postMessage({ gameRef: of, params: at, assumptions: under } satisfies ReckonRequest);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [key, wanted, stopped]);
  const here = heavy?.key === key ? heavy : undefined;
  return {
    errors: quick.errors,
    reckoning: here?.reckoning ?? quick.reckoning,
    progress: wanted && !stopped && !here?.reckoning ? (here?.progress ?? 0) : undefined,
    cancel: () => setStopped(key),
    stopped: wanted && stopped && !here?.reckoning,
    again: () => setStopped(undefined),
  };
}
