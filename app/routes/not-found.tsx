import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/not-found';

/** Every address that no page has. */
export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator', 'helper', 'reader');
  throw notFound('This page');
}

export async function action({ request }: Route.ActionArgs) {
  await requireRole(request, 'coordinator', 'helper', 'reader');
  throw notFound('This page');
}

export default function NotFound() {
  return null;
}
