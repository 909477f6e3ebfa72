import { findRound } from '~/data/queries/rounds';
import { isId } from '~/server/ids';
import { roundInput, solveRound, type SolvedRound } from '~/server/lending/rounds';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { today } from '~/server/today';
import { weightsIn } from '~/server/lending/weights';
import type { RoundStep } from '~/core/lending/round';
import type { Route } from './+types/round-solve';

/** What is told of a solution, a line of JSON each: the step it has come to, then what came of it. */
export type Told = { step: RoundStep } | { solved: SolvedRound } | { problem: string };

/** Solves a large hand-out, and tells how far it has come. Whoever leaves the page gives it up. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const round = isId(params.roundId) ? await findRound(at, params.roundId) : undefined;
  if (round?.state !== 'planned') throw notFound('This hand-out');
  const weights = weightsIn(new URL(request.url).searchParams, round.choices.weights);
  const input = await roundInput(at, { ...round.choices, weights }, today(at));
  const stop = new AbortController();
  request.signal.addEventListener('abort', () => stop.abort());
  const lines = new TextEncoder();
  const stream = new ReadableStream({
    async start(controller) {
      const tell = (told: Told): void => {
        if (!stop.signal.aborted) controller.enqueue(lines.encode(`${JSON.stringify(told)}\n`));
      };
      try {
        tell({
          solved: await solveRound(input, { signal: stop.signal, progress: (step) => tell({ step }) }),
        });
      } catch (error) {
        if (stop.signal.aborted) return;
        tell({
          problem:
            error instanceof RangeError
              ? error.message
              : 'It took too long. Take fewer classes, or fewer kits, at once.',
        });
      }
      if (!stop.signal.aborted) controller.close();
    },
    cancel: () => stop.abort(),
  });
  return new Response(stream, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store, no-transform' },
  });
}
