import { redirect } from 'react-router';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/home';

/** Everybody begins with the day; it also says with what a new school begins. */
export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator', 'helper', 'reader');
  throw redirect('/today');
}
