/** What is left to do in a build run, and who does it when: the run's page and its plan tell the same. */
import type { MakingStep } from '~/core/kits/making';
import type { Batch } from '~/core/pack/afternoon';
import type { SchoolHandle } from '~/data/db';
import type { MakingNow } from '~/data/queries/making';
import { schoolPrinting } from '~/data/queries/schools';
import { afternoonOf } from '../threads';

export interface Left {
  name: string;
  batch: Batch;
}

/** Copies that are not made, by the steps that are left of each; what is done is not done again. */
export function leftOf(run: MakingNow): Left[] {
  const groups = new Map<string, { name: string; steps: MakingStep[]; copies: number }>();
  for (const { readyAt, buildRunId, kitName, steps } of run.copies) {
    if (readyAt !== null) continue;
    const open = steps.filter(({ standing }) => standing !== 'done' && standing !== 'short');
    if (open.length === 0) continue;
    const key = `${buildRunId} ${open.map(({ id }) => id).join(' ')}`;
    const there = groups.get(key);
    if (there) there.copies++;
    else
      groups.set(key, {
        name: kitName,
        steps: open.map(({ id, quantity, seconds }) => ({ id, quantity, seconds })),
        copies: 1,
      });
  }
  return [...groups.values()].map(({ name, steps, copies }) => ({ name, batch: { steps, copies } }));
}

/** Who does what when, of what is left; undefined where nothing is. */
export async function planOfLeft(at: SchoolHandle, run: MakingNow, left: readonly Left[]) {
  if (left.length === 0) return undefined;
  const { helpers, laminators, cutters } = run;
  return afternoonOf({
    batches: left.map(({ batch }) => batch),
    printing: await schoolPrinting(at),
    helpers,
    laminators,
    cutters,
  });
}
