import { slipBag } from '~/server/listening/slip';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/slip-bag';

/** Of which bag a slip is that is being typed in. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const slip = (new URL(request.url).searchParams.get('slip') ?? '').slice(0, 40);
  return slipBag(at, slip);
}
