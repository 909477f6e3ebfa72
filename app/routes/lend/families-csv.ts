import { listFamilies } from '~/data/queries/families';
import { familiesToCsv } from '~/server/families/csv';
import { noteSecurity } from '~/server/people/security';
import { requireProven } from '~/server/people/session';
import type { Route } from './+types/families-csv';

/** All families as CSV; it imports again to the same. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at, id } = await requireProven(request, 'coordinator');
  await noteSecurity(at, 'exported', id);
  return new Response(familiesToCsv(await listFamilies(at)), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="families.csv"',
    },
  });
}
