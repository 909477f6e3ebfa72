import { listFamilies } from '~/data/queries/families';
import { familiesToCsv } from '~/server/families/csv';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/families-csv';

/** All families as CSV; it imports again to the same. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  return new Response(familiesToCsv(await listFamilies(at)), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="families.csv"',
    },
  });
}
