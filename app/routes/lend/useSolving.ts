import { useEffect, useState } from 'react';
import type { RoundStep } from '~/core/lending/round';
import type { Told } from './round-solve';
import type { Route } from './+types/round';

export type RoundData = Route.ComponentProps['loaderData'];
export type Plan = NonNullable<RoundData['plan']>;
export type Solved = NonNullable<Plan['solved']>;

export const STEPS: Record<RoundStep, string> = {
  families: 'Step 1 of 3: as many families as possible',
  languages: 'Step 2 of 3: the share of each language',
  score: 'Step 3 of 3: waiting, wishes and fit',
};

/** A large hand-out, solved while the page is open: the step it has come to, and what came of it. */
export function useSolving(url: string, wanted: boolean) {
  const [told, setTold] = useState<{ step?: RoundStep; solved?: Solved; problem?: string; url: string }>();
  const [stopped, setStopped] = useState(false);
  const [stop, setStop] = useState<AbortController>();
  useEffect(() => {
    if (!wanted) return;
    const control = new AbortController();
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setStop(control);
    setStopped(false);
    const read = async (): Promise<void> => {
      const answer = await fetch(url, { signal: control.signal });
      if (!answer.ok || !answer.body)
        return setTold({ url, problem: 'This could not be solved just now. Load the page again.' });
      const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
      let rest = '';
      for (let part = await reader.read(); !part.done; part = await reader.read()) {
        const lines = (rest + part.value).split('\n');
        rest = lines.pop()!;
        for (const line of lines) if (line) setTold({ url, ...(JSON.parse(line) as Told) });
      }
    };
    read().catch(() => {
      if (!control.signal.aborted) setTold({ url, problem: 'The connection was lost. Load the page again.' });
    });
    return () => control.abort();
  }, [url, wanted]);
  return {
    ...(told?.url === url ? told : {}),
    stopped,
    cancel: () => {
      stop?.abort();
      setStopped(true);
    },
  };
}
