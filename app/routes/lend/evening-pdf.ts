import { clockTime, timesOf } from '~/core/evening/plan';
import { findEvening } from '~/data/queries/evenings';
import { readingsAt } from '~/data/queries/wording';
import { isId } from '~/server/ids';
import { paperResponse } from '~/server/lending/papers';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/evening-pdf';

const PAPERS = {
  'signs.pdf': { title: 'Table signs', file: 'table-signs', name: 'signs' },
  'hosts.pdf': { title: 'Cards for hosts', file: 'hosts', name: 'hosts' },
  'signin.pdf': { title: 'Sign-in sheet', file: 'sign-in', name: 'door' },
  'ways.pdf': { title: 'Ways of the groups', file: 'ways', name: 'ways' },
} as const;

/** Signs, hosts' cards, or the ways of the groups of an evening. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'helper');
  const paper = Object.hasOwn(PAPERS, params.paper) ? PAPERS[params.paper as keyof typeof PAPERS] : undefined;
  const found = paper && isId(params.eveningId) ? await findEvening(at, params.eveningId) : undefined;
  const rotation = found?.solved?.rotation;
  if (!paper || !found || !rotation) throw notFound('This paper');
  const { plan, startsAt } = found;
  const languages = ['en', ...[...plan.groups, ...plan.helpers].flatMap((one) => one.languages)];
  const readings = await readingsAt(at, [...new Set(languages)]);
  const times = timesOf({ startsAt }, plan).map(({ from }) => clockTime(from));
  return paperResponse(school, paper, paper.name, { name: found.name, plan, rotation, readings, times });
}
