import { redirect } from 'react-router';
import { requireRole } from '~/server/people/session';
import { STATIONS } from '~/app/desk/stations';
import type { Route } from './+types/home';

/** The first page of a person is the first station where they work. */
export async function loader({ request }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper', 'reader');
  const first =
    person.role === 'helper'
      ? '/lend'
      : STATIONS.find((station) => station.roles.includes(person.role))!.path;
  throw redirect(first);
}
