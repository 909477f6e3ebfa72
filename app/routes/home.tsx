import { redirect } from 'react-router';
import { listKits } from '~/data/queries/kits';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/home';

/** Everybody begins with the day; a school that has no kit yet begins with the games. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper', 'reader');
  const begins = role === 'coordinator' && (await listKits(at)).length === 0;
  throw redirect(begins ? '/choose' : '/today');
}
