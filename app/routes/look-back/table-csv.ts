import { periodOf } from '~/server/looking/figures';
import { tableCsv } from '~/server/looking/tables';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/table-csv';

/** A table of looking back as a file. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const [, name] = /^([a-z-]+)\.csv$/.exec(params.table) ?? [];
  const { period, termEnds } = await periodOf(at, new URL(request.url).searchParams);
  const csv = name ? await tableCsv(at, name, period, termEnds) : undefined;
  if (csv === undefined) throw notFound('This table');
  return new Response(csv, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="${name}.csv"`,
    },
  });
}
