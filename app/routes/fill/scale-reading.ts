import { requireRole } from '~/server/people/session';
import { scale } from '~/server/scale';
import type { Route } from './+types/scale-reading';

/** What lies on the scale now: grams and the step in which it shows them, or nothing. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const found = await scale.read(at);
  return Response.json({ reading: found && { grams: found.grams, resolutionG: found.resolutionG } });
}
