import { paperResponse } from '~/server/lending/papers';
import { periodOf } from '~/server/looking/figures';
import { reportOf } from '~/server/looking/report';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/report-pdf';

/** The report of two pages; no family is named in it. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator');
  const { period, termEnds } = await periodOf(at, new URL(request.url).searchParams);
  const facts = await reportOf(at, school.name, period, termEnds);
  return paperResponse(school, { title: `A look back, ${school.name}`, file: 'look-back' }, 'report', facts);
}
