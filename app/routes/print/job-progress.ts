import type { JobProgress } from '~/core/pack/order';
import { requireRole } from '~/server/people/session';
import { requireJob } from '~/server/print/jobs';
import type { Route } from './+types/job-progress';

/** How far a print job is. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const { state, pagesDone, pages } = await requireJob(at, params.jobId);
  return Response.json({ state, pagesDone, pages } satisfies JobProgress);
}
