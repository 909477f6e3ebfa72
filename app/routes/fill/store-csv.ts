import { listStock } from '~/data/queries/store';
import { storeToCsv } from '~/server/kits/store-csv';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/store-csv';

/** The store as CSV; it comes in again as the same. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  return new Response(storeToCsv(await listStock(at)), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="store.csv"',
    },
  });
}
