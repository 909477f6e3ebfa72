import { redirect } from 'react-router';
import { requireRole } from '~/server/people/session';
import { readScan } from '~/server/scan';
import type { Route } from './+types/scan';

/** Reads what came over the scan line, beside the copy or family that the desk holds already. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper');
  const search = new URL(request.url).searchParams;
  const q = (search.get('q') ?? '').trim().slice(0, 200);
  const held = { copy: search.get('copy'), family: search.get('family') };
  const reading = await readScan(at, q, held, role === 'coordinator');
  if (search.has('go')) throw redirect(reading.choices[0]?.go ?? '/lend');
  return reading;
}
